/** Flags of steps and gaps: the limits as data, and the rules that apply them. */
import type { ScaleExercise } from '../exercise/scale';
import { type PureAt, targetLightnesses, throughPure } from '../exercise/targets';
import type { GapFlag, MeasuredGap, StepFlag } from './result';

export const LIMITS = {
  /** Shares of the ideal gap. */
  tooClose: 0.5,
  tooWide: 1.5,
  /** A gap the wrong way round by less than this is a tie (L*). */
  reversed: 1,
  weakBlack: 5,
  weakWhite: 4,
  /** Standard deviation, L*. */
  streaky: 1.5,
  /** Shares. */
  bareGround: 0.03,
  overTheLine: 0.02,
  /** L* by which paint along the edge differs from the middle: a pool or a ridge. */
  builtUpEdge: 2.5,
  /** Share of the printed line that shows. */
  lineShows: 0.3,
  /** Units of warmth against the neighbours, beyond what the paints predict. */
  drift: 2,
  /** Degrees of hue (Oklab) beyond what the paints predict, of colours at least this strong (chroma a*b*). */
  hueTurn: 14,
  hueTold: 10,
} as const;

/** What of an exercise the flags depend on. */
export type ScaleTerms = Pick<
  ScaleExercise,
  'steps' | 'order' | 'spacing' | 'anchor' | 'ends' | 'toleranceSteps' | 'groundMayStand'
> & {
  /** The pure colour of a monochrome scale, which the targets run through. */
  readonly pure?: { readonly lightness: number; readonly at: PureAt };
  /** Targets in reading order that were worked out before, in place of those that follow from the rest. */
  readonly targets?: readonly number[];
};

/** Targets for readings: the exercise's ends, the student's own, or theoretical white and black. */
export function targetsFor(terms: ScaleTerms, lightness: readonly number[]): number[] {
  if (terms.targets) return [...terms.targets];
  const ends = {
    medium: () => terms.ends,
    own: () => ({ light: Math.max(...lightness), dark: Math.min(...lightness) }),
    theoretical: () => ({ light: 100, dark: 0 }),
  }[terms.anchor]();
  const even = targetLightnesses(terms.steps, ends, terms.order, terms.spacing);
  return terms.pure ? throughPure(even, terms.order, terms.pure.lightness, terms.pure.at).targets : even;
}

/** Mean distance of neighbouring targets: what "a step" is worth in L*. */
export function stepSize(targets: readonly number[]): number {
  return Math.abs((targets[0] ?? 0) - (targets.at(-1) ?? 0)) / (targets.length - 1);
}

/** Value flags of each step. */
export function valueFlags(terms: ScaleTerms, lightness: readonly number[]): StepFlag[][] {
  const targets = targetsFor(terms, lightness);
  const limit = terms.toleranceSteps * stepSize(targets);
  const [whiteAt, blackAt] = terms.order === 'light-first' ? [0, terms.steps - 1] : [terms.steps - 1, 0];
  return lightness.map((l, i) => {
    const target = targets[i] ?? 0;
    const flags: StepFlag[] = [];
    if (Math.abs(l - target) > limit) flags.push('off_target');
    if (terms.anchor !== 'own' && i === blackAt && l > target + LIMITS.weakBlack) flags.push('weak_black');
    if (terms.anchor !== 'own' && i === whiteAt && l < target - LIMITS.weakWhite) flags.push('weak_white');
    return flags;
  });
}

/**
 * Gaps in reading order. `ownHalfWidth` is the 95 % half-width of each reading without what all
 * readings of the sheet share.
 */
export function measureGaps(
  terms: ScaleTerms,
  lightness: readonly number[],
  ownHalfWidth: readonly number[],
): MeasuredGap[] {
  const sign = terms.order === 'light-first' ? 1 : -1;
  const range = Math.max(...lightness) - Math.min(...lightness);
  const even = range / (lightness.length - 1);
  const targets = terms.pure ? targetsFor(terms, lightness) : null;
  const whole = targets ? Math.abs((targets[0] ?? 0) - (targets.at(-1) ?? 0)) : 0;
  return lightness.slice(1).map((next, i) => {
    // Two straight halves meet in the pure colour: each has gaps of its own.
    const ideal = targets ? (range * Math.abs((targets[i] ?? 0) - (targets[i + 1] ?? 0))) / whole : even;
    const gap = sign * ((lightness[i] ?? 0) - next);
    const u = Math.hypot(ownHalfWidth[i] ?? 0, ownHalfWidth[i + 1] ?? 0) / 2;
    const flags: GapFlag[] = [];
    if (gap < -Math.max(LIMITS.reversed, 2 * u)) flags.push('reversed');
    else if (gap < LIMITS.tooClose * ideal) flags.push('too_close');
    else if (gap > LIMITS.tooWide * ideal) flags.push('too_wide');
    return { between: [i + 1, i + 2], gap, ideal, flags };
  });
}

/** Root mean square departure of the gaps from their ideal, as a share of it. */
export function evenness(gaps: readonly MeasuredGap[]): number {
  const ideal = gaps.reduce((s, g) => s + g.ideal, 0) / Math.max(1, gaps.length);
  if (ideal === 0) return 0;
  return Math.sqrt(gaps.reduce((s, g) => s + (g.gap - g.ideal) ** 2, 0) / gaps.length) / ideal;
}
