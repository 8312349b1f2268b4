/**
 * Fits a studio's own paints to its logged mixes: tinting strength and colour from the tube of each, leaning on what is
 * usual (priors) where the mixes say little. Maximum a posteriori by damped least squares; what is left uncertain is
 * the linearised posterior (C. M. Bishop, "Pattern Recognition and Machine Learning", 2006, section 4.4).
 */
import { inverse, Matrix } from 'ml-matrix';
import type { MediumId } from '../exercise/media';
import type { PaintId } from '../exercise/paints';
import { leastSquares } from '../fitting/least-squares';
import { dryOf, type DryShift, fitDryShift, USUAL_SHIFT, type WetDryPair } from './dry-shift';
import { type LoggedMix, readColour, sameMix } from './logged-mix';
import {
  coveringLab,
  type Figures,
  figuresOf,
  isWhite,
  mixModel,
  modelOf,
  type PaintFigures,
  type Palette,
  paletteOf,
  type Parts,
} from './paint-model';
import { SURFACE_OF } from './surface';

/** Standard deviations of paints in tubes about their catalogue figures. */
const PRIOR = {
  logTinting: 0.6,
  logTintingWhite: 0.25,
  lightness: 2.5,
  lightnessWhite: 1,
  hue: 4,
  hueWhite: 1,
} as const;
/** What three bands miss of real paint, L*: no reading counts as better than this. */
const MODEL_NOISE = 0.5;
/** Colour readings are less sure than lightness ones. */
const HUE_NOISE = 2;

/** How a paint's figures lie off the catalogue's: log of tinting, L*, a*, b*. */
const PER_PAINT = 4;

export interface PaintFit {
  readonly figures: Figures;
  readonly shift: DryShift;
  /** Of each mix, in the order given: L* read less L* predicted, before and after. */
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** Mixes (indexes) that don't agree with the rest: off by more than this many times what is usual. */
  readonly odd: readonly number[];
  /** Standard deviation of the predicted lightness of a mix, L*. */
  readonly uncertaintyOf: (parts: Parts) => number;
}

/** A dry mix is odd when it is off by more than this many standard deviations. */
const ODD = 3.5;

const usual = (id: PaintId): readonly number[] =>
  isWhite(id)
    ? [PRIOR.logTintingWhite, PRIOR.lightnessWhite, PRIOR.hueWhite, PRIOR.hueWhite]
    : [PRIOR.logTinting, PRIOR.lightness, PRIOR.hue, PRIOR.hue];

function moved({ massTone, tinting }: PaintFigures, by: ArrayLike<number>, at: number): PaintFigures {
  const [t = 0, l = 0, a = 0, b = 0] = [by[at], by[at + 1], by[at + 2], by[at + 3]];
  return {
    massTone: [Math.min(99.5, Math.max(6, massTone[0] + l)), massTone[1] + a, massTone[2] + b],
    tinting: tinting * Math.exp(t),
  };
}

function paletteAt(ids: readonly PaintId[], start: Figures, by: ArrayLike<number>): Palette {
  return new Map(ids.map((id, i) => [id, modelOf(moved(figuresOf(id, start), by, PER_PAINT * i), isWhite(id))]));
}

/** Pairs of readings of one mix, wet and dry. */
export function wetDryPairs(mixes: readonly LoggedMix[]): WetDryPair[] {
  return mixes
    .filter((m) => m.wet)
    .flatMap((wet) =>
      mixes
        .filter((m) => !m.wet && sameMix(m.parts, wet.parts))
        .map((dry) => ({ wet: wet.lightness, dry: dry.lightness })),
    );
}

/**
 * Fits the paints of a palette. `start` are figures to lean on in place of the catalogue's (the teacher's own). Without
 * mixes it gives the start back, with its own uncertainty. Throws RangeError when a mix holds a paint that is not in `ids`.
 */
export function fitPaints(
  ids: readonly PaintId[],
  mixes: readonly LoggedMix[],
  medium: MediumId,
  start: Figures = {},
): PaintFit {
  const surface = SURFACE_OF[medium];
  const shift = fitDryShift(wetDryPairs(mixes), USUAL_SHIFT[medium]);
  const n = PER_PAINT * ids.length;
  const priors = ids.flatMap(usual);
  const dry = mixes.map((m) => (m.wet ? dryOf(m.lightness, shift) : m.lightness));
  const noise = mixes.map((m) => Math.hypot(m.noise, MODEL_NOISE, m.wet ? 1 : 0));
  const evaluate = (by: ArrayLike<number>, out: Float64Array) => {
    const palette = paletteAt(ids, start, by);
    mixes.forEach((mix, i) => {
      const [l, a, b] = coveringLab(mixModel(palette, mix.parts), surface);
      const colour = mix.wet ? null : readColour(mix);
      out[3 * i] = (l - (dry[i] as number)) / (noise[i] as number);
      out[3 * i + 1] = colour ? (a - colour[1]) / HUE_NOISE : 0;
      out[3 * i + 2] = colour ? (b - colour[2]) / HUE_NOISE : 0;
    });
    for (let k = 0; k < n; k++) out[3 * mixes.length + k] = (by[k] ?? 0) / (priors[k] as number);
  };
  const zero = new Float64Array(n);
  const problem = {
    residuals: 3 * mixes.length + n,
    evaluate,
    softScale: 3,
    robustCount: 3 * mixes.length,
    maxIterations: 60,
  };
  const fit = leastSquares({ ...problem, start: [...zero] });
  const offBy = (by: ArrayLike<number>) => {
    const palette = paletteAt(ids, start, by);
    return mixes.map((m, i) => (dry[i] as number) - coveringLab(mixModel(palette, m.parts), surface)[0]);
  };
  const after = offBy(fit.parameters);
  const covariance = posterior(fit.parameters, n, evaluate, problem.residuals);
  const uncertaintyOf = (parts: Parts): number => {
    const gradient = gradientAt(
      fit.parameters,
      (by) => coveringLab(mixModel(paletteAt(ids, start, by), parts), surface)[0],
    );
    const row = Matrix.rowVector(gradient);
    return Math.sqrt(Math.max(0, row.mmul(covariance).mmul(row.transpose()).get(0, 0)) + MODEL_NOISE ** 2);
  };
  return {
    figures: Object.fromEntries(ids.map((id, i) => [id, moved(figuresOf(id, start), fit.parameters, PER_PAINT * i)])),
    shift,
    before: offBy(zero),
    after,
    odd: after.flatMap((off, i) => (Math.abs(off) > ODD * (noise[i] as number) ? [i] : [])),
    uncertaintyOf,
  };
}

const STEP = 1e-4;

function gradientAt(at: Float64Array, value: (by: Float64Array) => number): number[] {
  const here = value(at);
  return Array.from(at, (_, k) => {
    const there = Float64Array.from(at);
    there[k] = (there[k] as number) + STEP;
    return (value(there) - here) / STEP;
  });
}

/** Covariance of the parameters: the inverse of J'J, in which the priors have their rows. */
function posterior(
  at: Float64Array,
  n: number,
  evaluate: (by: Float64Array, out: Float64Array) => void,
  residuals: number,
): Matrix {
  const here = new Float64Array(residuals);
  const there = new Float64Array(residuals);
  evaluate(at, here);
  const jacobian = Matrix.zeros(residuals, n);
  for (let k = 0; k < n; k++) {
    const next = Float64Array.from(at);
    next[k] = (next[k] as number) + STEP;
    evaluate(next, there);
    for (let i = 0; i < residuals; i++) jacobian.set(i, k, ((there[i] as number) - (here[i] as number)) / STEP);
  }
  return inverse(jacobian.transpose().mmul(jacobian));
}

/**
 * The mix to log next: of those that can be measured out, the one whose reading would leave the wanted mixes most
 * sure, all together (a linear-Gaussian design, V-optimal after K. Chaloner and I. Verdinelli, "Bayesian experimental
 * design", 1995). Null where nothing can be gained.
 */
export function mixToAskFor(
  ids: readonly PaintId[],
  mixes: readonly LoggedMix[],
  wanted: readonly Parts[],
  candidates: readonly Parts[],
  medium: MediumId,
  start: Figures = {},
): Parts | null {
  const palette = paletteOf(ids, fitPaints(ids, mixes, medium, start).figures);
  // A reading that comes out as foretold moves no figure: it only makes them surer.
  const unsure = (more: readonly Parts[]): number => {
    const asked = more.map((parts): LoggedMix => ({
      parts,
      lightness: coveringLab(mixModel(palette, parts), SURFACE_OF[medium])[0],
      a: null,
      b: null,
      wet: false,
      noise: 1,
    }));
    const { uncertaintyOf } = fitPaints(ids, [...mixes, ...asked], medium, start);
    return wanted.reduce((sum, parts) => sum + uncertaintyOf(parts) ** 2, 0);
  };
  const free = candidates.filter((c) => !mixes.some((m) => sameMix(m.parts, c)));
  let best: Parts | null = null;
  let least = unsure([]) - 1e-6;
  for (const candidate of free) {
    const left = unsure([candidate]);
    if (left < least) [best, least] = [candidate, left];
  }
  return best;
}
