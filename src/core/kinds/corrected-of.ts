/** What a correction of a hand-in is held against: its exercise's steps and values, and the shapes that were measured. */
import type { CorrectedOf } from '../critique/correction/findings';
import { pictureStep, PICTURE_STEPS } from '../exercise/key';
import { type NumberedScale, type NumberingId, stepLabels } from '../exercise/numbering';
import type { Ends } from '../exercise/scale';
import { targetLightnesses } from '../exercise/targets';
import type { ExerciseTerms } from '../exercise/terms';
import type { MeasuredResult } from './measured-result';
import { labelsOf, valuesOf } from './table';

/** A picture in all its values is spoken of in the steps of a scale between its ends. */
const scaleOf = (ends: Ends): NumberedScale => ({
  steps: PICTURE_STEPS,
  order: 'light-first',
  spacing: 'lightness',
  ends,
});

/**
 * Steps in L*, values from the lightest as the class numbers them, and named shapes as shares of the picture; no shapes where nothing
 * was measured.
 */
export function correctedOf(result: MeasuredResult | null, terms: ExerciseTerms, numbering: NumberingId): CorrectedOf {
  const shapes = result?.kind === 'painting' ? result.shapes.map(({ name, box }) => ({ name, box })) : [];
  const own = labelsOf(terms, numbering);
  if (own.length > 1) {
    const wanted = valuesOf(terms);
    return {
      step: (Math.max(...wanted) - Math.min(...wanted)) / (wanted.length - 1),
      values: wanted.map((lightness, k) => ({ label: `step ${own[k] ?? k + 1}`, lightness })),
      shapes,
    };
  }
  const { ends } = terms;
  const wanted = targetLightnesses(PICTURE_STEPS, ends, 'light-first', 'lightness');
  const labels = stepLabels(numbering, scaleOf(ends));
  return {
    step: result?.kind === 'painting' ? result.step : pictureStep(ends),
    values: wanted.map((lightness, k) => ({ label: `step ${labels[k] ?? k + 1}`, lightness })),
    shapes,
  };
}
