/** What came of a trial: each reading beside its truth. */
import type { ScaleResult } from '@/core/scale/result';
import type { Trial, TrialOutcome, TrialReading } from './trial-outcome';

/** What was painted; colour left out where it is not to be compared. */
interface Truth {
  readonly lightness: number;
  readonly a?: number;
  readonly b?: number;
}

/** Truths in the order of the steps; a step without one is left out. */
export function outcomeOf(
  trial: Trial,
  { capture: { accepted, issues }, steps }: ScaleResult,
  truths: readonly Truth[],
  more: Partial<Pick<TrialOutcome, 'fixes' | 'pixels'>> = {},
): TrialOutcome {
  const readings = steps.flatMap((s, i): TrialReading[] => {
    const truth = truths[i];
    if (!truth) return [];
    const off = (read: number | null, real = Number.NaN) => (read ?? Number.NaN) - real;
    return [
      {
        step: s.index,
        truth: truth.lightness,
        read: s.lightness,
        uncertainty: s.uncertainty,
        ab: [off(s.a, truth.a), off(s.b, truth.b)],
      },
    ];
  });
  return {
    trial,
    accepted,
    fixes: [],
    pixels: null,
    codes: issues.map((i) => i.code),
    values: issues.map((i) => i.value),
    readings: accepted ? readings : [],
    ...more,
  };
}
