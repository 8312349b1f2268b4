/** A recipe in words, for handouts, phones and tables. */
import { PAINTS } from '../exercise/paints';
import type { PuddleRecipe, Recipe, Source } from './recipe';

/** The class's name of a puddle; greys on the way are named by letters, in the order of mixing. */
export function puddleName(recipe: Recipe, step: number, labels: readonly string[]): string {
  if (Number.isInteger(step)) return labels[step - 1] ?? String(step);
  const onTheWay = recipe.order.filter((s) => !Number.isInteger(s));
  return `grey ${String.fromCharCode(65 + Math.max(0, onTheWay.indexOf(step)))}`;
}

const sourceName = (recipe: Recipe, source: Source, labels: readonly string[]): string =>
  'paint' in source ? PAINTS[source.paint].name : `of ${puddleName(recipe, source.step, labels)}`;

const parts = (n: number): string => (n === 1 ? '1 part' : `${n} parts`);

/** "5 parts titanium white + 1 part of 3", or "titanium white, from the tube". */
export function sayMix(recipe: Recipe, puddle: PuddleRecipe, labels: readonly string[]): string {
  const [only] = puddle.mix;
  if (puddle.mix.length === 1 && only) return `${sourceName(recipe, only.source, labels)}, from the tube`;
  return puddle.mix.map((m) => `${parts(m.parts)} ${sourceName(recipe, m.source, labels)}`).join(' + ');
}

export const sayMillilitres = (ml: number): string => (ml < 0.095 ? `${ml.toFixed(2)} ml` : `${ml.toFixed(1)} ml`);

/** More than this to one part can't be measured out. */
const MOST_LEFT = 40;

/**
 * "1 part ivory black to 12 parts of what is left of 5"; empty where that is no way, where it can't be measured, or
 * where the lighter puddle is mixed only later.
 */
export function sayFromLeft(recipe: Recipe, puddle: PuddleRecipe, labels: readonly string[]): string {
  const { fromLeft } = puddle;
  if (!fromLeft) return '';
  const { of, parts: left, dark } = fromLeft;
  if (left > MOST_LEFT || recipe.order.indexOf(of) > recipe.order.indexOf(puddle.step)) return '';
  const measured =
    left < 1
      ? `${Number((1 / left).toFixed(1))} parts ${PAINTS[dark].name} to one part`
      : `1 part ${PAINTS[dark].name} to ${left < 10 ? Number(left.toFixed(1)) : Math.round(left)} parts`;
  return `${measured} of what is left of ${puddleName(recipe, of, labels)}`;
}

export interface RecipeLine {
  readonly step: number;
  readonly name: string;
  readonly mix: string;
  /** The other way to it; empty where there is none. */
  readonly orFromLeft: string;
  readonly amount: string;
  readonly washFirst: boolean;
  readonly coats: number;
}

/** The recipe line by line, in the order to mix. */
export function recipeLines(recipe: Recipe, labels: readonly string[]): RecipeLine[] {
  const all = [...recipe.steps, ...recipe.onTheWay];
  return recipe.order.flatMap((step) => {
    const puddle = all.find((p) => p.step === step);
    return puddle
      ? [
          {
            step,
            name: puddleName(recipe, step, labels),
            mix: sayMix(recipe, puddle, labels),
            orFromLeft: puddle.mix.length > 1 ? sayFromLeft(recipe, puddle, labels) : '',
            amount: sayMillilitres(puddle.millilitres),
            washFirst: puddle.washBefore,
            coats: puddle.coats,
          },
        ]
      : [];
  });
}

/** What the recipe can't do, in one sentence; empty where all is reached. */
export function sayBeyond(recipe: Recipe, labels: readonly string[]): string {
  if (recipe.beyond.length === 0) return '';
  const named = recipe.beyond.map((s) => puddleName(recipe, s, labels)).join(', ');
  const { light, dark } = recipe.reach;
  const steps = recipe.beyond.length > 1 ? 'steps' : 'step';
  return (
    `These paints don’t reach ${steps} ${named}: ` +
    `they go from L* ${light.toFixed(0)} to ${dark.toFixed(0)}, and the nearest stands in.`
  );
}
