/** What to add for each step of the least work, by the class's own paints. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { repaintNudges } from '@/core/kinds/repaint-nudges';
import type { ScaleResult } from '@/core/scale/result';
import type { House } from '../house';
import { figuresFor } from '../mixing/palettes';

/** One sentence a step of the least work; null where there is none, or the paints tell nothing. */
export async function repaintWords(
  house: House,
  classId: string,
  terms: ExerciseTerms,
  result: ScaleResult | null,
  labels: readonly string[],
): Promise<readonly string[] | null> {
  if (!result?.leastWork || result.leastWork.length === 0) return null;
  return repaintNudges(
    terms,
    await figuresFor(house, classId, terms.medium),
    result.leastWork,
    result.steps.map((s) => s.target),
    labels,
  );
}
