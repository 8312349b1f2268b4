/** In which order pieces of a line stand on paper: what is written from right to left among what is not (UAX 9). */
import bidiFactory from 'bidi-js';

const bidi = bidiFactory();
/** Scripts that run from right to left; a line without any of them stands as it is written. */
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]|[\ud802\ud803\ud83a\ud83b]/;

/** Whether a paragraph begins at the right, as its first letter does. */
export const runsFromRight = (paragraph: string): boolean =>
  RIGHT_TO_LEFT.test(paragraph) && ((bidi.getEmbeddingLevels(paragraph).paragraphs[0]?.level ?? 0) & 1) === 1;

/** A stretch of text of one direction. What runs from the right is still written in reading order: its font turns it round. */
export interface Stretch {
  readonly text: string;
  readonly level: number;
}

const isOdd = ({ level }: Stretch) => (level & 1) === 1;

/** Words of their own where text runs from the right: each is turned by itself, and they by the line. */
const words = (text: string): string[] => text.match(/\s+|\S+/g) ?? [];

function stretchesOf(line: string): Stretch[] {
  const { levels } = bidi.getEmbeddingLevels(line);
  const found: { text: string; level: number }[] = [];
  let at = 0;
  for (const character of line) {
    const level = levels[at] ?? 0;
    at += character.length;
    const shown = (level & 1) === 1 ? (bidi.getMirroredCharacter(character) ?? character) : character;
    const last = found.at(-1);
    if (last?.level === level) last.text += shown;
    else found.push({ text: shown, level });
  }
  return found.flatMap((s) => (isOdd(s) ? words(s.text).map((text) => ({ text, level: s.level })) : [s]));
}

/** The stretches of a line from left to right as they stand on paper: rule L2 of UAX 9, from the highest level down. */
export function visualOrder(line: string): Stretch[] {
  if (!RIGHT_TO_LEFT.test(line)) return [{ text: line, level: 0 }];
  const stretches = stretchesOf(line);
  const highest = Math.max(...stretches.map((s) => s.level));
  for (let level = highest; level > 0; level--)
    for (let from = 0; from < stretches.length; from++) {
      if ((stretches[from]?.level ?? 0) < level) continue;
      let to = from;
      while ((stretches[to]?.level ?? -1) >= level) to++;
      stretches.splice(from, to - from, ...stretches.slice(from, to).reverse());
      from = to;
    }
  return stretches;
}
