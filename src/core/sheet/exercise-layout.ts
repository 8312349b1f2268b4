/** Where things stand on the sheet of any kind of exercise. */
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { type PictureLayout, pictureLayout } from './picture-layout';
import { type ScaleLayout, scaleLayout } from './scale-layout';

export function exerciseLayout(terms: ExerciseTerms): ScaleLayout | PictureLayout {
  if (terms.kind === 'bands') return pictureLayout(terms.paper, 1, terms.steps);
  if (isStepped(terms)) return scaleLayout(terms.steps, terms.paper);
  return pictureLayout(terms.paper, terms.kind === 'quick-studies' ? terms.goals.length : 1);
}
