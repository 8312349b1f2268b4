/**
 * What is wrong with the values of a scale, each thing once.
 *
 * One misplaced step raises several flags: it is off its target, too close to one neighbour and too far
 * from the other. So causes are sought, not flags listed: for every short run of steps that err the
 * same way it is tried what moving them to their targets would clear, and the run that clears
 * most for the least repainting is taken first; then what is left is looked at again.
 */
import { measureGaps, type ScaleTerms, stepSize, targetsFor, valueFlags } from '../../scale/flags';
import type { GapFlag, StepFlag } from '../../scale/result';

export const VALUE_CODES = ['weak_black', 'weak_white', 'reversed', 'too_close', 'too_wide', 'off_target'] as const;
export type ValueCode = (typeof VALUE_CODES)[number];

export interface Cause {
  readonly code: ValueCode;
  /** Steps to repaint, 1-based. */
  readonly steps: readonly number[];
  /** The pair that shows it, for codes about a gap. */
  readonly pair: readonly [number, number] | null;
  /** Mean error of those steps, L*; positive is too light. */
  readonly error: number;
}

interface Raised {
  readonly id: string;
  readonly code: StepFlag | GapFlag;
  readonly at: readonly number[];
  readonly severity: number;
}

function raised(terms: ScaleTerms, lightness: readonly number[], own: readonly number[]): Raised[] {
  const targets = targetsFor(terms, lightness);
  const size = stepSize(targets);
  const [whiteAt, blackAt] = terms.order === 'light-first' ? [0, terms.steps - 1] : [terms.steps - 1, 0];
  // An end that goes further than was hoped for is nothing to mend.
  const beyondEnd = (i: number) => {
    const error = (lightness[i] ?? 0) - (targets[i] ?? 0);
    return (i === whiteAt && error > 0) || (i === blackAt && error < 0);
  };
  const steps = valueFlags(terms, lightness).flatMap((flags, i) =>
    (beyondEnd(i) ? [] : flags).map((code): Raised => ({
      id: `${code} ${i + 1}`,
      code,
      at: [i + 1],
      severity: Math.abs((lightness[i] ?? 0) - (targets[i] ?? 0)) / size,
    })),
  );
  const gaps = measureGaps(terms, lightness, own).flatMap((g) =>
    g.flags.map((code): Raised => ({
      id: `${code} ${g.between[0]}`,
      code,
      at: g.between,
      severity: Math.abs(g.gap - g.ideal) / size,
    })),
  );
  return [...steps, ...gaps];
}

interface Candidate {
  readonly steps: readonly number[];
  readonly moved: readonly number[];
  readonly cleared: readonly Raised[];
  readonly score: number;
}

const LONGEST_RUN = 5;

/** Runs worth trying: neighbours that err the same way by a noticeable amount. */
function runs(lightness: readonly number[], targets: readonly number[], size: number): number[][] {
  const found: number[][] = [];
  const error = lightness.map((l, i) => l - (targets[i] ?? 0));
  for (let from = 0; from < error.length; from++) {
    const sign = Math.sign(error[from] ?? 0);
    for (let to = from; to < Math.min(error.length, from + LONGEST_RUN); to++) {
      const e = error[to] ?? 0;
      if (Math.sign(e) !== sign || Math.abs(e) < 0.3 * size) break;
      found.push(Array.from({ length: to - from + 1 }, (_, i) => from + i + 1));
    }
  }
  return found;
}

/** Pairs that stand the wrong way round: both are moved. */
function swappedPairs(now: readonly Raised[]): number[][] {
  return now.filter((r) => r.code === 'reversed').map((r) => [...r.at]);
}

/** What to call a cause: an end out of reach, a pair the wrong way round, one step's worst gap, or just off. */
function name(steps: readonly number[], cleared: readonly Raised[]): ValueCode {
  const code = VALUE_CODES.find((c) => cleared.some((r) => r.code === c)) ?? 'off_target';
  return steps.length > 1 && (code === 'too_close' || code === 'too_wide') ? 'off_target' : code;
}

/**
 * Causes in the order in which mending them clears most. `own` are the 95 % half-widths that readings
 * do not share. Always ends: each cause moves steps to their targets for good.
 */
export function diagnose(terms: ScaleTerms, measured: readonly number[], own: readonly number[]): Cause[] {
  const causes: Cause[] = [];
  let lightness = [...measured];
  for (let round = 0; round < terms.steps; round++) {
    const now = raised(terms, lightness, own);
    if (now.length === 0) break;
    const targets = targetsFor(terms, lightness);
    const size = stepSize(targets);
    let best: Candidate | null = null;
    for (const steps of [...swappedPairs(now), ...runs(lightness, targets, size)]) {
      const moved = lightness.map((l, i) => (steps.includes(i + 1) ? (targets[i] ?? l) : l));
      const after = new Map(raised(terms, moved, own).map((r) => [r.id, r.severity]));
      const before = new Set(now.map((r) => r.id));
      const cleared = now.filter((r) => !after.has(r.id));
      const added = [...after].filter(([id]) => !before.has(id)).reduce((s, [, severity]) => s + severity, 0);
      const gain = cleared.reduce((s, r) => s + r.severity, 0) - added;
      const score = gain / (0.6 + 0.4 * steps.length);
      if (cleared.length > 0 && gain > 0 && (!best || score > best.score + 1e-9))
        best = { steps, moved, cleared, score };
    }
    if (!best) break;
    const code = name(best.steps, best.cleared);
    const pairFlag = best.cleared.find((r) => r.at.length === 2 && r.code === code);
    causes.push({
      code,
      steps: best.steps,
      pair: pairFlag ? [pairFlag.at[0] ?? 0, pairFlag.at[1] ?? 0] : null,
      error: best.steps.reduce((s, k) => s + (lightness[k - 1] ?? 0) - (targets[k - 1] ?? 0), 0) / best.steps.length,
    });
    lightness = [...best.moved];
  }
  return causes;
}
