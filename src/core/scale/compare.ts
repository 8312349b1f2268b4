/** From readings of the steps to what is said of them: targets, errors, gaps, flags, the whole in numbers. */
import { warmth } from '../colour/temperature';
import type { Triple } from '../colour/srgb';
import type { Sureness } from '../capture/calibrate';
import type { CellReading } from './read-cell';
import { evenness, LIMITS, measureGaps, type ScaleTerms, stepSize, targetsFor, valueFlags } from './flags';
import { type Capture, type MeasuredStep, SCALE_RESULT_VERSION, type ScaleResult } from './result';

export interface ReadStep {
  readonly reading: CellReading;
  readonly sureness: Sureness;
  /** Spread (L*) that the photograph itself puts on a flat tone. */
  readonly grain: number;
}

function orderOf(gaps: ScaleResult['gaps']): 'kept' | 'reversed' | 'mixed' {
  if (gaps.every((g) => g.gap < 0)) return 'reversed';
  return gaps.some((g) => g.flags.includes('reversed')) ? 'mixed' : 'kept';
}

export function driftOf(labs: readonly Triple[]): { warm: number[]; cool: number[] } {
  const warm: number[] = [];
  const cool: number[] = [];
  labs.forEach((lab, i) => {
    const beside = [labs[i - 1], labs[i + 1]].filter((l) => l !== undefined);
    const mean = [0, 1, 2].map((k) => beside.reduce((s, l) => s + (l[k] ?? 0), 0) / beside.length);
    const difference = warmth(lab, [mean[0] ?? 0, mean[1] ?? 0, mean[2] ?? 0]);
    if (difference > LIMITS.drift) warm.push(i + 1);
    if (difference < -LIMITS.drift) cool.push(i + 1);
  });
  return { warm, cool };
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

export function compareScale(terms: ScaleTerms, read: readonly ReadStep[], capture: Omit<Capture, 'uncertainty'>): ScaleResult {
  const lightness = read.map((r) => r.reading.lab[0]);
  const relative = capture.mode === 'relative';
  const known = knownOf(capture);
  const targets = targetsFor(terms, lightness);
  const size = stepSize(targets);
  const values = valueFlags(terms, lightness);
  const whiteStep = terms.order === 'light-first' ? 1 : terms.steps;
  const steps = read.map(({ reading, sureness, grain }, i): MeasuredStep => {
    const target = targets[i] ?? 0;
    const spread = Math.sqrt(Math.max(0, reading.spread ** 2 - grain ** 2));
    const flags = allowed(values[i] ?? [], known);
    if (spread > LIMITS.streaky) flags.push('streaky');
    const mayBeBare = terms.groundMayStand && i + 1 === whiteStep;
    if (!mayBeBare && (reading.bareGround ?? 0) > LIMITS.bareGround) flags.push('bare_ground');
    if ((reading.overflow ?? 0) > LIMITS.overTheLine) flags.push('over_the_line');
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
      flags,
    };
  });
  const gaps = measureGaps(terms, lightness, read.map((r) => r.sureness.own));
  const halves = steps.map((s) => s.uncertainty).sort((a, b) => a - b);
  return {
    version: SCALE_RESULT_VERSION,
    kind: 'scale',
    capture: { ...capture, uncertainty: halves[Math.floor(halves.length / 2)] ?? null },
    steps,
    gaps,
    summary: {
      evenness: evenness(gaps),
      order: orderOf(gaps),
      ends: { lightest: Math.max(...lightness), darkest: Math.min(...lightness) },
      drift: relative ? { warm: [], cool: [] } : driftOf(read.map((r) => r.reading.lab)),
    },
    findings: [],
  };
}

/** The result of a photograph that gave no readings. */
export function nothingRead(capture: Omit<Capture, 'uncertainty' | 'accepted'>): ScaleResult {
  return { version: SCALE_RESULT_VERSION, kind: 'scale', capture: { ...capture, accepted: false, uncertainty: null }, steps: [], gaps: [], summary: null, findings: [] };
}
