/** How places, masses and amounts of a picture are called when they are spoken of. */
import type { ShareBox } from '../geometry/share-box';

const PREPOSITION = / > /;
const ARTICLE = /^(the|a|an|one|my|our|his|her|their|its) /i;
const withArticle = (name: string) => (ARTICLE.test(name) ? name : `the ${name}`);

/** A mass as it is spoken of: "loaf > lit side" is "the lit side of the loaf". */
export function massName(name: string): string {
  return name
    .split(PREPOSITION)
    .map((part) => withArticle(part.trim()))
    .reverse()
    .join(' of ');
}

/** Names in a row: “3”, “3 and 4”, “3, 4 and 5”. */
export function list(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Where in the picture a box lies, in words. */
export function place({ x, y, width, height }: ShareBox): string {
  const [cx, cy] = [x + width / 2, y + height / 2];
  const across = cx < 1 / 3 ? 'left' : cx > 2 / 3 ? 'right' : '';
  const down = cy < 1 / 3 ? 'top' : cy > 2 / 3 ? 'bottom' : '';
  if (!across && !down) return 'in the middle';
  return `at the ${[down, across].filter(Boolean).join(' ')}`;
}

/** How much of a thing, as it is said in front of it: "all", "most of", "half of", "some of", "a little of". */
export function partOf(share: number): string {
  if (share >= 0.95) return '';
  if (share >= 0.6) return 'most of ';
  if (share >= 0.4) return 'about half of ';
  return share >= 0.2 ? 'some of ' : 'a little of ';
}

/** A whole picture further off than this (shares of its width or height) is told. */
export const SHIFTED = 0.015;

/** Whither something went, in words: "a little to the right and clearly too low"; a way that is less than half of what is told of is left out. */
export function whither({ x, y }: { readonly x: number; readonly y: number }): string {
  const ways = [
    ...(Math.abs(x) > SHIFTED / 2 ? [`${howFar(Math.abs(x))} to the ${x > 0 ? 'right' : 'left'}`] : []),
    ...(Math.abs(y) > SHIFTED / 2 ? [`${howFar(Math.abs(y))} too ${y > 0 ? 'low' : 'high'}`] : []),
  ];
  return ways.join(' and ');
}

/** How far, for a share of the picture's width or height. */
export function howFar(share: number): string {
  if (share < 0.025) return 'a little';
  return share < 0.06 ? 'clearly' : 'far';
}
