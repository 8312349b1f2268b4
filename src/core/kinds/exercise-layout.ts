/** Where things stand on the sheet of any kind of exercise. */
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { type PictureLayout, pictureLayout } from '../sheet/picture-layout';
import { type ScaleLayout, scaleLayout } from '../sheet/scale-layout';

/** Rows of chips: room for all of them and, where it can be had, a row more than they need, since several may fall on one grey. */
export function chipRows(chips: number, steps: number): number {
  const needed = Math.ceil(chips / steps);
  return Math.max(needed, Math.min(3, needed + 1));
}

export function exerciseLayout(terms: ExerciseTerms): ScaleLayout | PictureLayout {
  if (terms.kind === 'bands') return pictureLayout(terms.paper, 1, terms.steps);
  if (isStepped(terms))
    return scaleLayout(terms.steps, terms.paper, {
      chipRows: terms.kind === 'colours-on-scale' ? chipRows(terms.chips, terms.steps) : 0,
      hue: terms.kind !== 'scale',
    });
  return pictureLayout(terms.paper, terms.kind === 'quick-studies' ? terms.goals.length : 1);
}
