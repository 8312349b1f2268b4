/** How much of each paint an exercise takes. An estimate to shop by. */
import { type PaintId, PAINTS } from '../exercise/paints';
import type { ExerciseTerms } from '../exercise/terms';
import { millilitres } from '../mixing/film';
import type { Figures, Parts } from '../mixing/paint-model';
import { recipeOf } from './exercise-recipe';
import { areasOf } from './table';

/** Millilitres of each paint for one student, waste included; by the studio's own figures where it has some. */
export function paintFor(terms: ExerciseTerms, own: Figures = {}): Partial<Record<PaintId, number>> {
  const { paints } = terms.materials;
  const whole = millilitres(
    areasOf(terms).reduce((sum, a) => sum + a.areaMm2, 0),
    terms.medium,
  );
  const white = paints.find((p) => PAINTS[p].family === 'white');
  const greys: Parts = recipeOf(terms, own)?.tubes ?? (white ? { [white]: whole } : {});
  const used = paints.filter((p) => greys[p] !== undefined);
  const others = paints.filter((p) => greys[p] === undefined);
  // Hues that no recipe names share half of what is painted evenly: how a picture's colours are mixed is the painter's own.
  const left = used.length === 0 ? 1 : others.length === 0 ? 0 : 0.5;
  const need: Partial<Record<PaintId, number>> = {};
  for (const p of used) need[p] = (greys[p] ?? 0) * (1 - left);
  for (const p of others) need[p] = (whole * left) / others.length;
  return need;
}
