/** What a student sees of mixing: the recipe of an exercise in the class's paints, and their own walk to each step. */
import type { Triple } from '@/core/colour/srgb';
import { PAINTS } from '@/core/exercise/paints';
import { isStepped } from '@/core/exercise/terms';
import { recipeOf, recipePaints } from '@/core/kinds/exercise-recipe';
import { type RecipeLine, recipeLines, sayBeyond } from '@/core/mixing/recipe-words';
import { labelsOf } from '../../core/kinds/table';
import { exerciseFor, type Student } from '../access/actor';
import type { House } from '../house';
import { type DabCheck, walkOf } from './checks';
import { figuresFor } from './palettes';

export interface MyMixes {
  readonly lines: readonly RecipeLine[];
  /** What each puddle should dry to, L*a*b*. */
  readonly colours: ReadonlyMap<number, Triple>;
  readonly beyond: string;
  /** Names of the light and dark paint, for what to add; null where dabs can't be checked. */
  readonly names: { readonly light: string; readonly dark: string } | null;
  readonly walk: readonly DabCheck[];
}

/** Null where the exercise's paints make no row of steps. */
export async function myMixes(house: House, student: Student, exerciseId: string): Promise<MyMixes | null> {
  const { exercise, class: own } = await exerciseFor(house, student, exerciseId);
  const { terms } = exercise;
  const recipe = recipeOf(terms, await figuresFor(house, own.id, terms.medium));
  const paints = recipePaints(terms);
  if (!recipe || !paints) return null;
  const labels = labelsOf(terms, own.numbering);
  return {
    lines: recipeLines(recipe, labels),
    colours: new Map([...recipe.steps, ...recipe.onTheWay].map((p) => [p.step, p.lab])),
    beyond: sayBeyond(recipe, labels),
    names: isStepped(terms) ? { light: PAINTS[paints.light].name, dark: PAINTS[paints.dark].name } : null,
    walk: await walkOf(house, student, exerciseId),
  };
}
