/** How places, tones, masses and amounts of a picture are called when they are spoken of. */
import type { ShareBox } from '../../geometry/share-box';

/** What a class calls its values, the lightest first. */
export interface ToneNames {
  readonly labels: readonly string[];
}

const ORDINALS = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'];

/** What a tone (1 the lightest) is called, as something that a place is: the class's number only where there are several between light and dark. */
export function toneName(tone: number, { labels }: ToneNames): string {
  if (tone === 1) return 'light';
  if (tone === labels.length) return 'dark';
  if (labels.length === 3) return 'the middle tone';
  const label = labels[tone - 1] ?? String(tone);
  const ordinal = /^\d+$/.test(label) ? ORDINALS[Number(label)] : undefined;
  return ordinal ? `the ${ordinal} tone` : `tone ${label}`;
}

/** The same as something that a place belongs to: "the light", "the second tone". */
export function toneGroup(tone: number, names: ToneNames): string {
  const name = toneName(tone, names);
  return name === 'light' || name === 'dark' ? `the ${name}` : name;
}

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

/** How far, for a share of the picture's width or height. */
export function howFar(share: number): string {
  if (share < 0.025) return 'a little';
  return share < 0.06 ? 'clearly' : 'far';
}
