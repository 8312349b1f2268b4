/**
 * The shipped fonts. Sheets are set in these alone: in the PDF as embedded fonts, in the PNG as glyph
 * outlines, so that no machine's own fonts can change a sheet.
 */
import { create, type Font } from 'fontkit';
import LineBreaker from 'linebreak';
import { LRUCache } from 'lru-cache';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { furtherFont } from './further-fonts';
import type { ShippedFont, Weight } from './shipped-font';
import { visualOrder } from './visual-order';

const SUBSETS = ['latin', 'latin-ext', 'greek', 'cyrillic'] as const;
const WEIGHTS: Record<Weight, number> = { regular: 400, strong: 600 };

const FOLDER = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'node_modules/@fontsource/source-sans-3/files');
const loaded = new Map<Weight, ShippedFont[]>();

/** The subsets of a weight, in the order in which a character is looked for. */
export function shippedFonts(weight: Weight): ShippedFont[] {
  let fonts = loaded.get(weight);
  if (!fonts) {
    fonts = SUBSETS.map((subset) => {
      const bytes = readFileSync(path.join(FOLDER, `source-sans-3-${subset}-${WEIGHTS[weight]}-normal.woff`));
      return { key: `${subset}-${WEIGHTS[weight]}`, bytes, font: create(bytes) as Font };
    });
    loaded.set(weight, fonts);
  }
  return fonts;
}

export interface TextRun {
  readonly font: ShippedFont;
  readonly text: string;
  /** Width for a type size of 1. */
  readonly advance: number;
}

function fontFor(character: string, weight: Weight): ShippedFont | undefined {
  const code = character.codePointAt(0) ?? 0;
  return shippedFonts(weight).find((f) => f.font.hasGlyphForCodePoint(code)) ?? furtherFont(code, weight) ?? undefined;
}

/** Marks that take no room and show nothing; the fonts have no outline for some of them, and none is missed on paper. */
const visible = (text: string): string => text.replace(/[\p{Cf}\p{Cc}\p{Variation_Selector}]/gu, '');

/** Whether every character of the text that shows can be printed. */
export function canPrint(text: string, weight: Weight = 'regular'): boolean {
  return [...visible(text)].every((c) => fontFor(c, weight) !== undefined);
}

/** The same lines stand on the sheet of everybody in a class: they are set once. */
const set = new LRUCache<string, TextRun[]>({ max: 5000 });

/** The text cut into runs of one font each, from left to right as they stand; characters that no font has become "?". */
export function textRuns(text: string, weight: Weight): TextRun[] {
  const key = `${weight} ${text}`;
  const known = set.get(key);
  if (known) return known;
  const runs = runsOf(text, weight);
  set.set(key, runs);
  return runs;
}

function ofOneFont(text: string, weight: Weight): { font: ShippedFont; text: string }[] {
  const runs: { font: ShippedFont; text: string }[] = [];
  for (const character of text) {
    const own = fontFor(character, weight);
    const font = own ?? shippedFonts(weight)[0];
    if (!font) continue;
    const glyph = own ? character : '?';
    const last = runs.at(-1);
    if (last?.font === font) last.text += glyph;
    else runs.push({ font, text: glyph });
  }
  return runs;
}

function runsOf(text: string, weight: Weight): TextRun[] {
  const runs = visualOrder(visible(text)).flatMap((stretch) => {
    const own = ofOneFont(stretch.text, weight);
    return (stretch.level & 1) === 1 ? own.reverse() : own;
  });
  return runs.map((run) => ({
    ...run,
    advance: run.font.font.layout(run.text).advanceWidth / run.font.font.unitsPerEm,
  }));
}

export function textWidth(text: string, weight: Weight, size: number): number {
  return size * textRuns(text, weight).reduce((sum, run) => sum + run.advance, 0);
}

/** Lines broken to the given width where Unicode lets a line end (UAX 14); line feeds are kept. */
export function breakLines(text: string, weight: Weight, size: number, width: number | null): string[] {
  return text.split('\n').flatMap((paragraph) => {
    if (width === null) return [paragraph];
    const lines: string[] = [];
    const breaker = new LineBreaker(paragraph);
    let [from, line] = [0, ''];
    for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
      const longer = line + paragraph.slice(from, next.position);
      if (line !== '' && textWidth(longer.trimEnd(), weight, size) > width) {
        lines.push(line.trimEnd());
        line = longer.slice(line.length);
      } else line = longer;
      from = next.position;
    }
    return [...lines, line];
  });
}

/** Distance of baselines as a multiple of the type size. */
export const LEADING = 1.35;
