import { bandPicture } from '../bands/band-picture';
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { exerciseLayout } from './exercise-layout';

/** Widths of what is to be filled, millimetres: cells, or bands by their area over half their edge. */
export function shapeWidths(terms: ExerciseTerms): number[] {
  if (terms.kind === 'bands') return bandPicture(terms).bands.map((b) => (2 * b.areaMm2) / Math.max(1, b.perimeterMm));
  const cells = exerciseLayout(terms).cells.map((c) => Math.min(c.widthMm, c.heightMm));
  return isStepped(terms) ? cells : cells.flatMap((w) => [w / 3, w / 8, w / 20]);
}
