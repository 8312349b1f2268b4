/** From readings of the steps to what is said of them: targets, errors, gaps, flags, the whole in numbers. */
import { type Capture } from '../capture/capture-result';
import type { Sureness } from '../capture/sureness';
import { labToLinearRgb } from '../colour/lab';
import { hueTurn } from '../colour/oklab';
import type { Triple } from '../colour/srgb';
import { warmth } from '../colour/temperature';
import { median } from '../fitting/quantile';
import { evenness, LIMITS, measureGaps, type ScaleTerms, stepSize, targetsFor, valueFlags } from './flags';
import { leastWork } from './least-work';
import type { CellReading } from './read-cell';
import { type MeasuredStep, SCALE_RESULT_VERSION, type ScaleResult } from './result';

export interface ReadStep {
  readonly reading: CellReading;
  readonly sureness: Sureness;
  /** Spread (L*) that the photograph itself puts on a flat tone. */
  readonly grain: number;
}

/** Each reading with how sure the photograph makes a lightness, and the spread that it puts on it, L*. */
export const readSteps = (
  readings: readonly CellReading[],
  sureness: (lightness: number) => Sureness,
  grain: (lightness: number) => number,
): ReadStep[] =>
  readings.map((reading) => ({ reading, sureness: sureness(reading.lab[0]), grain: grain(reading.lab[0]) }));

function orderOf(gaps: ScaleResult['gaps']): 'kept' | 'reversed' | 'mixed' {
  if (gaps.every((g) => g.gap < 0)) return 'reversed';
  return gaps.some((g) => g.flags.includes('reversed')) ? 'mixed' : 'kept';
}

/** Which value flags may be drawn: relative readings know nothing of the ends, and without paper nothing of targets. */
type Known = 'all' | 'between-ends' | 'order-and-gaps';

function knownOf({ mode, paper }: Pick<Capture, 'mode' | 'paper'>): Known {
  if (mode === 'calibrated') return 'all';
  return paper === 'none' ? 'order-and-gaps' : 'between-ends';
}

/** Flags by value that a reading of this kind allows. */
function allowed(flags: MeasuredStep['flags'], known: Known): MeasuredStep['flags'] {
  if (known === 'all') return flags;
  return flags.filter((f) => f === 'off_target' && known === 'between-ends');
}

/** Warmth of each step against the median of its nearest neighbours, so that one that leans does not make the others lean the other way. */
function warmthAgainstNeighbours(labs: readonly Triple[]): number[] {
  const warm = labs.map((lab) => warmth(lab, [0, 0, 0]));
  return warm.map((own, i) => {
    const near = warm
      .map((w, k) => ({ w, off: Math.abs(k - i) }))
      .filter(({ off }) => off > 0 && off <= 3)
      .sort((a, b) => a.off - b.off)
      .slice(0, 4)
      .map(({ w }) => w)
      .sort((a, b) => a - b);
    const half = near.length / 2;
    return own - ((near[Math.ceil(half) - 1] ?? 0) + (near[Math.floor(half)] ?? 0)) / 2;
  });
}

const chroma = (lab: Triple): number => Math.hypot(lab[1], lab[2]);

/** Colours that the steps should have: of the paints where they are known, else all grey, or all of the strongest one's hue. */
function expectedLabs(
  labs: readonly Triple[],
  paints: readonly Triple[] | null,
): { readonly greys: readonly Triple[]; readonly hues: readonly Triple[] } {
  const strongest = labs.reduce((a, b) => (chroma(b) > chroma(a) ? b : a));
  return { greys: paints ?? labs.map((l): Triple => [l[0], 0, 0]), hues: paints ?? labs.map(() => strongest) };
}

/** Flags by colour, one list a step. `hue` is whether the scale is of one colour: its tints and shades then have a hue to keep. */
function colourFlags(labs: readonly Triple[], paints: readonly Triple[] | null, hue: boolean): MeasuredStep['flags'][] {
  const expected = expectedLabs(labs, paints);
  const [seen, foretold] = [warmthAgainstNeighbours(labs), warmthAgainstNeighbours(expected.greys)];
  return labs.map((lab, i) => {
    const flags: MeasuredStep['flags'] = [];
    const off = (seen[i] ?? 0) - (foretold[i] ?? 0);
    if (!hue && off > LIMITS.drift) flags.push('drift_warm');
    if (!hue && off < -LIMITS.drift) flags.push('drift_cool');
    const wanted = expected.hues[i] as Triple;
    if (
      hue &&
      chroma(lab) >= LIMITS.hueTold &&
      chroma(wanted) >= LIMITS.hueTold &&
      Math.abs(hueTurn(labToLinearRgb(wanted), labToLinearRgb(lab)) ?? 0) > LIMITS.hueTurn
    )
      flags.push('hue_turn');
    return flags;
  });
}

/** What a comparison may know beside the readings. */
export interface Expectation {
  /** Colours that the paints of the exercise predict for its steps, L*a*b*. */
  readonly paints: readonly Triple[] | null;
  /** Whether the steps are of one colour. */
  readonly hue: boolean;
}

/** A measured scale against its exercise: targets, errors (L* and steps), gaps, flags, least work. */
export function compareScale(
  terms: ScaleTerms,
  read: readonly ReadStep[],
  capture: Omit<Capture, 'uncertainty'>,
  expected: Expectation = { paints: null, hue: false },
): ScaleResult {
  const lightness = read.map((r) => r.reading.lab[0]);
  const relative = capture.mode === 'relative';
  const known = knownOf(capture);
  const targets = targetsFor(terms, lightness);
  const size = stepSize(targets);
  const values = valueFlags(terms, lightness);
  const whiteStep = terms.order === 'light-first' ? 1 : terms.steps;
  const colours = relative
    ? []
    : colourFlags(
        read.map((r) => r.reading.lab),
        expected.paints,
        expected.hue,
      );
  const steps = read.map(({ reading, sureness, grain }, i): MeasuredStep => {
    const target = targets[i] ?? 0;
    const spread = Math.sqrt(Math.max(0, reading.spread ** 2 - grain ** 2));
    const flags = allowed(values[i] ?? [], known);
    if (spread > LIMITS.streaky) flags.push('streaky');
    const mayBeBare = terms.groundMayStand && i + 1 === whiteStep;
    if (!mayBeBare && (reading.bareGround ?? 0) > LIMITS.bareGround) flags.push('bare_ground');
    if ((reading.overflow ?? 0) > LIMITS.overTheLine) flags.push('over_the_line');
    if (Math.abs(reading.edges?.rim ?? 0) > LIMITS.builtUpEdge) flags.push('built_up_edge');
    if ((reading.edges?.lineShows ?? 0) > LIMITS.lineShows) flags.push('line_shows');
    flags.push(...(colours[i] ?? []));
    return {
      index: i + 1,
      lightness: reading.lab[0],
      a: relative ? null : reading.lab[1],
      b: relative ? null : reading.lab[2],
      target,
      error: reading.lab[0] - target,
      errorSteps: (reading.lab[0] - target) / size,
      uncertainty: sureness.whole,
      ownUncertainty: sureness.own,
      extrapolated: sureness.extrapolated,
      spread,
      bareGround: reading.bareGround,
      overflow: reading.overflow,
      rim: reading.edges?.rim ?? null,
      lineShows: reading.edges?.lineShows ?? null,
      flags,
    };
  });
  const gaps = measureGaps(
    terms,
    lightness,
    read.map((r) => r.sureness.own),
  );
  return {
    version: SCALE_RESULT_VERSION,
    kind: 'scale',
    capture: { ...capture, uncertainty: steps.length > 0 ? median(steps.map((s) => s.uncertainty)) : null },
    steps,
    gaps,
    summary: {
      evenness: evenness(gaps),
      order: orderOf(gaps),
      ends: { lightest: Math.max(...lightness), darkest: Math.min(...lightness) },
      drift: {
        warm: colours.flatMap((f, i) => (f.includes('drift_warm') ? [i + 1] : [])),
        cool: colours.flatMap((f, i) => (f.includes('drift_cool') ? [i + 1] : [])),
      },
    },
    pure: terms.pure ?? null,
    leastWork: known === 'order-and-gaps' ? null : leastWork(terms, lightness),
    silhouette: null,
    chips: [],
  };
}

/** The result of a photograph that gave no readings. */
export function nothingRead(capture: Omit<Capture, 'uncertainty' | 'accepted'>): ScaleResult {
  return {
    version: SCALE_RESULT_VERSION,
    kind: 'scale',
    capture: { ...capture, accepted: false, uncertainty: null },
    steps: [],
    gaps: [],
    summary: null,
    pure: null,
    leastWork: null,
    silhouette: null,
    chips: [],
  };
}
