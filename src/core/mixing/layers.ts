/** A glaze over an underpainting: what lies below must be lighter than what is wanted, and not every value can be kept. */
import { lightnessToLuminance, linearRgbToLab } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { filmRgb, type PaintModel } from './paint-model';
import type { SurfaceId } from './surface';

const greyOf = (lightness: number): Triple => {
  const y = lightnessToLuminance(lightness);
  return [y, y, y];
};

/** L*a*b* of a grey underpainting of `lightness` after a glaze of `mm` (as laid wet). */
export function glazed(lightness: number, glaze: PaintModel, mm: number, surface: SurfaceId): Triple {
  return linearRgbToLab(filmRgb(glaze, mm, greyOf(lightness), surface));
}

export interface Underpainting {
  readonly wanted: number;
  /** Lightness below with which the glaze comes out as wanted; the nearest where none does. */
  readonly below: number;
  readonly after: number;
  readonly kept: boolean;
}

/** Lightest and darkest underpainting (L*) that can be laid. */
export interface Below {
  readonly light: number;
  readonly dark: number;
}

/** What the underpainting must be for each wanted lightness; a glaze that scatters also lifts the darks. */
export function underpaintingFor(
  wanted: readonly number[],
  glaze: PaintModel,
  mm: number,
  below: Below,
  surface: SurfaceId,
): Underpainting[] {
  const after = (l: number) => glazed(l, glaze, mm, surface)[0];
  return wanted.map((w) => {
    let [low, high] = [below.dark, below.light];
    const [least, most] = [after(low), after(high)];
    if (w <= least) return { wanted: w, below: low, after: least, kept: least - w < 0.5 };
    if (w >= most) return { wanted: w, below: high, after: most, kept: w - most < 0.5 };
    for (let i = 0; i < 40; i++) {
      const middle = (low + high) / 2;
      if (after(middle) < w) low = middle;
      else high = middle;
    }
    return { wanted: w, below: (low + high) / 2, after: after((low + high) / 2), kept: true };
  });
}
