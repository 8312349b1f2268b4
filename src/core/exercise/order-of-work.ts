/** The order in which a scale's steps are mixed, as numbered lines for the printed sheet and the phone. */
import type { ReadingOrder, WorkOrder } from './scale';

/** Steps (1-based, reading order) in the order they are mixed. */
export function mixingOrder(steps: number, order: ReadingOrder, work: WorkOrder): number[] {
  const reading = Array.from({ length: steps }, (_, i) => i + 1);
  const lightToDark = order === 'light-first' ? reading : [...reading].reverse();
  if (work === 'light-to-dark') return lightToDark;
  if (work === 'dark-to-light') return [...lightToDark].reverse();
  const done = [1, steps];
  const spans: [number, number][] = [[1, steps]];
  while (spans.length > 0) {
    const [from, to] = spans.shift() as [number, number];
    if (to - from < 2) continue;
    const middle = Math.floor((from + to) / 2);
    done.push(middle);
    spans.push([from, middle], [middle, to]);
  }
  return done;
}

/**
 * Lines to print. `recipe` names the puddles in the order to mix them, where there is a recipe.
 * `labels` are the class's names of the steps in reading order.
 */
export function orderOfWork(
  steps: number,
  order: ReadingOrder,
  work: WorkOrder,
  labels: readonly string[],
  recipe: readonly string[] | null = null,
): string[] {
  const named = mixingOrder(steps, order, work).map((s) => labels[s - 1] ?? String(s));
  const list = (names: readonly string[]) => names.join(', ');
  const first = recipe
    ? [
        `Mix in this order, each from what is there already: ${list(recipe)}.`,
        ...(work === 'ends-first'
          ? ['Paint the ends first, then the middle: it should look as far from one end as from the other.']
          : [`Paint in this order: ${list(named)}.`]),
      ]
    : work === 'ends-first'
      ? [
          `Ends first: ${named[0]} and ${named[1]}, as light and as dark as the paint goes.`,
          `Then the middle: ${named[2]}. It should look as far from one end as from the other.`,
          ...(named.length > 3 ? [`Then halve each gap: ${list(named.slice(3))}.`] : []),
        ]
      : [`Mix and paint in this order: ${list(named)}.`];
  return [
    ...first,
    'Black is strong: add it in tiny amounts, mix right through, then look.',
    'Try each mix on a test dab and let it dry before you judge it.',
    'Paint flat and opaque, over the faint line but not past it.',
    'When it is dry: squint, compare neighbours, then photograph the whole sheet, flat, in even light.',
  ];
}
