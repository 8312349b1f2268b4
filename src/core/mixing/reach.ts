/** From what is wanted to what to mix: a lightness between two puddles, a colour from several paints. */
import { ciede2000 } from '../colour/ciede2000';
import type { Triple } from '../colour/srgb';
import type { PaintId } from '../exercise/paints';
import { leastSquares } from '../fitting/least-squares';
import { coveringLab, mixModel, type PaintModel, type Palette, type Parts } from './paint-model';
import type { SurfaceId } from './surface';

/** A mix of two models, `share` (0 to 1) of the second by volume. */
export function blend(first: PaintModel, second: PaintModel, share: number): PaintModel {
  const mix = (a: Triple, b: Triple): Triple => [
    a[0] + share * (b[0] - a[0]),
    a[1] + share * (b[1] - a[1]),
    a[2] + share * (b[2] - a[2]),
  ];
  return { absorption: mix(first.absorption, second.absorption), scattering: mix(first.scattering, second.scattering) };
}

export interface ReachedShare {
  /** Of the second, 0 to 1. */
  readonly share: number;
  readonly lightness: number;
  /** Whether the wanted lightness lies between the two. */
  readonly reachable: boolean;
}

/**
 * Share of the second puddle in a mix with the first that dries to `lightness`, the nearer end where neither reaches
 * it. By bisection: between two paints lightness runs one way, but for a dip that mixes of far hues can have, which is
 * skipped by searching from the lighter end.
 */
export function shareFor(first: PaintModel, second: PaintModel, lightness: number, surface: SurfaceId): ReachedShare {
  const at = (share: number) => coveringLab(blend(first, second, share), surface)[0];
  const [a, b] = [at(0), at(1)];
  const [low, high] = [Math.min(a, b), Math.max(a, b)];
  if (lightness >= high || lightness <= low) {
    const share = Math.abs(lightness - a) <= Math.abs(lightness - b) ? 0 : 1;
    return { share, lightness: share === 0 ? a : b, reachable: lightness === a || lightness === b };
  }
  let [lighter, darker] = a > b ? [0, 1] : [1, 0];
  for (let i = 0; i < 50; i++) {
    const middle = (lighter + darker) / 2;
    if (at(middle) > lightness) lighter = middle;
    else darker = middle;
  }
  const share = (lighter + darker) / 2;
  return { share, lightness: at(share), reachable: true };
}

export interface ReachedColour {
  readonly parts: Parts;
  readonly lab: Triple;
  /** CIEDE2000 to what was wanted. */
  readonly off: number;
}

/** Colours nearer than this can hardly be told apart beside each other. */
export const SAME_COLOUR = 1.5;

/**
 * The mix nearest to a colour (L*a*b*). Shares are a softmax of free numbers, so that they stay positive and sum to 1;
 * damped least squares from each paint and from their middle, the best of them kept. Throws RangeError without paints.
 */
export function reachColour(palette: Palette, wanted: Triple, surface: SurfaceId): ReachedColour {
  const ids = [...palette.keys()];
  if (ids.length === 0) throw new RangeError('Choose at least one paint.');
  const sharesOf = (free: ArrayLike<number>): number[] => {
    const most = Math.max(...Array.from(free));
    const powers = ids.map((_, i) => Math.exp((free[i] ?? 0) - most));
    const sum = powers.reduce((a, b) => a + b, 0);
    return powers.map((p) => p / sum);
  };
  const partsOf = (free: ArrayLike<number>): Parts =>
    Object.fromEntries(sharesOf(free).map((s, i) => [ids[i] as PaintId, s]));
  const labOf = (free: ArrayLike<number>) => coveringLab(mixModel(palette, partsOf(free)), surface);
  let best: ReachedColour | null = null;
  for (let from = -1; from < ids.length; from++) {
    const fit = leastSquares({
      start: ids.map((_, i) => (i === from ? 3 : 0)),
      residuals: 3 + ids.length,
      evaluate: (free, out) => {
        const lab = labOf(free);
        for (let c = 0; c < 3; c++) out[c] = (lab[c] ?? 0) - (wanted[c] ?? 0);
        // Free numbers are only told apart by their differences: a weak pull to nought keeps them from drifting.
        for (let i = 0; i < ids.length; i++) out[3 + i] = 1e-3 * (free[i] ?? 0);
      },
      softScale: 1e3,
      robustCount: 0,
      maxIterations: 60,
    });
    const lab = labOf(fit.parameters);
    const off = ciede2000(lab, wanted);
    if (!best || off < best.off) best = { parts: partsOf(fit.parameters), lab, off };
  }
  return best as ReachedColour;
}
