/**
 * The fewest steps to paint again that bring a scale within tolerance, by dynamic programming over the steps: a step
 * either stays or is brought to its target, and only neighbours bind each other.
 */
import { LIMITS, type ScaleTerms, stepSize, targetsFor } from './flags';
import type { Repaint } from './result';

interface Rule {
  readonly targets: readonly number[];
  /** L* that a step may be off. */
  readonly within: number;
  /** L* that a gap may and must have, one a pair. */
  readonly gaps: readonly { readonly least: number; readonly most: number }[];
  readonly sign: 1 | -1;
  readonly white: number;
  readonly black: number;
  readonly ends: boolean;
}

function ruleOf(terms: ScaleTerms, lightness: readonly number[]): Rule {
  const targets = targetsFor(terms, lightness);
  const lightFirst = terms.order === 'light-first';
  return {
    targets,
    within: terms.toleranceSteps * stepSize(targets),
    gaps: targets.slice(1).map((t, i) => {
      const ideal = Math.abs((targets[i] ?? 0) - t);
      return { least: LIMITS.tooClose * ideal, most: LIMITS.tooWide * ideal };
    }),
    sign: lightFirst ? 1 : -1,
    white: lightFirst ? 0 : targets.length - 1,
    black: lightFirst ? targets.length - 1 : 0,
    ends: terms.anchor !== 'own',
  };
}

/** Whether a step may stay at a lightness. An end that goes further than was hoped for is nothing to mend. */
function mayStay(rule: Rule, i: number, lightness: number): boolean {
  const off = lightness - (rule.targets[i] ?? 0);
  if (i === rule.white && off > 0) return true;
  if (i === rule.black && off < 0) return true;
  if (rule.ends && i === rule.white && off < -LIMITS.weakWhite) return false;
  if (rule.ends && i === rule.black && off > LIMITS.weakBlack) return false;
  return Math.abs(off) <= rule.within;
}

/** Room for rounding: a gap exactly at its limit is within it. */
const HAIR = 1e-9;

/** An end that reaches further than its target counts as on it: the gap beside it is wide for a good reason. */
function counted(rule: Rule, i: number, lightness: number): number {
  const target = rule.targets[i] ?? 0;
  if (i === rule.white) return Math.min(lightness, target);
  return i === rule.black ? Math.max(lightness, target) : lightness;
}

function agree(rule: Rule, i: number, first: number, second: number): boolean {
  const gap = rule.sign * (counted(rule, i, first) - counted(rule, i + 1, second));
  const { least, most } = rule.gaps[i] ?? { least: 0, most: 0 };
  return gap >= least - HAIR && gap <= most + HAIR;
}

/** Whether a scale needs nothing more. Exported so that its tests can try every choice. */
export function withinTolerance(terms: ScaleTerms, measured: readonly number[], painted: readonly number[]): boolean {
  const rule = ruleOf(terms, measured);
  return painted.every((l, i) => mayStay(rule, i, l) && (i === 0 || agree(rule, i - 1, painted[i - 1] as number, l)));
}

/**
 * Steps to paint again, in reading order; of several choices with as few steps the one that moves them least. To paint
 * all of them is always a choice.
 */
export function leastWork(terms: ScaleTerms, lightness: readonly number[]): Repaint[] {
  const rule = ruleOf(terms, lightness);
  const n = lightness.length;
  const value = (i: number, again: number): number => (again === 1 ? rule.targets[i] : lightness[i]) as number;
  const cost = (i: number, again: number): number =>
    again === 1 ? 1 + 1e-6 * Math.abs((rule.targets[i] as number) - (lightness[i] as number)) : 0;
  const allowed = (i: number, again: number): boolean => again === 1 || mayStay(rule, i, lightness[i] as number);
  const best = [0, 1].map((again) => [allowed(0, again) ? cost(0, again) : Infinity]);
  const from = [0, 1].map(() => [0]);
  for (let i = 1; i < n; i++)
    for (const again of [0, 1]) {
      let [least, back] = [Infinity, 0];
      if (allowed(i, again))
        for (const before of [0, 1]) {
          const sum = (best[before]?.[i - 1] ?? Infinity) + cost(i, again);
          if (sum < least && agree(rule, i - 1, value(i - 1, before), value(i, again))) [least, back] = [sum, before];
        }
      (best[again] as number[])[i] = least;
      (from[again] as number[])[i] = back;
    }
  let at = (best[0]?.[n - 1] ?? Infinity) <= (best[1]?.[n - 1] ?? Infinity) ? 0 : 1;
  const found: Repaint[] = [];
  for (let i = n - 1; i >= 0; i--) {
    if (at === 1) found.unshift({ step: i + 1, from: lightness[i] as number, to: rule.targets[i] as number });
    at = from[at]?.[i] ?? 0;
  }
  return found;
}
