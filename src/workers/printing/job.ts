/** What is printed: pages that are drawn already, or the pages of an exercise for each of its students. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { drawExerciseSheet, drawHandout, type ExerciseWords } from '@/core/handout/exercise-sheet';
import { drawRecipePage } from '@/core/handout/recipe-page';
import type { SheetDrawing } from '@/core/sheet/drawing';

export type PrintJob =
  | { readonly kind: 'drawn'; readonly sheets: readonly SheetDrawing[] }
  | { readonly kind: 'exercise'; readonly terms: ExerciseTerms; readonly for: readonly ExerciseWords[] };

/** The pages of an exercise for one student: a sheet, its handout, and its mixes where there are any. */
export function exercisePages(terms: ExerciseTerms, words: ExerciseWords): SheetDrawing[] {
  const mixes = drawRecipePage(terms, words);
  return [drawExerciseSheet(terms, words), drawHandout(terms, words), ...(mixes ? [mixes] : [])];
}

/** The pages of a job, each drawn when it is asked for. */
export function* pagesOf(job: PrintJob): Generator<SheetDrawing> {
  if (job.kind === 'drawn') yield* job.sheets;
  else for (const words of job.for) yield* exercisePages(job.terms, words);
}
