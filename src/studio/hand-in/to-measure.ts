/** What is measured of a hand-in, and what comes of it. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { MeasuredResult } from '@/core/kinds/measured-result';
import type { attempts, classes, exercises, handIns, measurements } from '@/data/schema/tables';

/** A hand-in that is to be measured, and all that it belongs to. */
export interface ToMeasure {
  readonly attempt: typeof attempts.$inferSelect;
  readonly handIn: typeof handIns.$inferSelect;
  readonly exercise: typeof exercises.$inferSelect;
  readonly class: typeof classes.$inferSelect;
  /** The exercise as it stood when it was handed in. */
  readonly terms: ExerciseTerms;
}

/** What the workers made of a photograph. */
export interface Measured {
  readonly result: MeasuredResult;
  /** What it was measured against; null of what has no reference. */
  readonly against: typeof measurements.$inferInsert.against;
}
