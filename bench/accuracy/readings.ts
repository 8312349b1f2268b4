/** What is told of readings: how far off they are, whether the stated interval holds, as numbers in a table. */
import { quantile } from '../tally';
import type { TrialOutcome, TrialReading } from '../trial-outcome';

/** L* of paint that the promises speak of. */
export const PROMISED = { dark: 18, light: 97 } as const;

export const promised = (outcomes: readonly TrialOutcome[]): TrialReading[] =>
  outcomes.flatMap((o) => o.readings).filter((r) => r.truth >= PROMISED.dark && r.truth <= PROMISED.light);

/** Error of a reading, L*. */
export const off = (r: TrialReading): number => Math.abs(r.read - r.truth);

/** The share of readings whose stated interval holds the truth. */
export const within = (readings: readonly TrialReading[]): number =>
  readings.filter((r) => off(r) <= r.uncertainty).length / readings.length;

/** The error in L* that a share of the readings stays within. */
export const errorAt = (outcomes: readonly TrialOutcome[], share: number): number =>
  quantile(promised(outcomes).map(off), share);

/** The error in a* and b* that 95 of 100 readings stay within. */
export const colourError = (outcomes: readonly TrialOutcome[]): number =>
  quantile(
    promised(outcomes)
      .flatMap((r) => r.ab.map(Math.abs))
      .filter((v) => !Number.isNaN(v)),
    0.95,
  );

/** Half the stated interval, median, L*. */
export const halfWidth = (outcomes: readonly TrialOutcome[]): number =>
  quantile(
    promised(outcomes).map((r) => r.uncertainty),
    0.5,
  );

export const twoPlaces = (v: number): string => (Number.isFinite(v) ? v.toFixed(2) : '–');
export const percent = (v: number): string => (Number.isFinite(v) ? `${(100 * v).toFixed(1)} %` : '–');
