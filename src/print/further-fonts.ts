/**
 * Fonts for scripts that the main font has not, and for emoji: shipped in pieces, each of which covers some ranges of Unicode and is
 * opened when a character of it is first printed.
 */
import { create, type Font } from 'fontkit';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { ShippedFont, Weight } from './shipped-font';

interface Family {
  readonly package: string;
  /** Pieces that are used: others hold signs that no letter needs, some of them in forms that can't be opened. */
  readonly pieces: RegExp;
}

/** In the order in which a character is looked for. */
const FAMILIES: readonly Family[] = [
  { package: 'noto-sans-hebrew', pieces: /^hebrew$/ },
  { package: 'noto-sans-arabic', pieces: /^arabic$/ },
  { package: 'noto-sans-sc', pieces: /^\d+$/ },
  { package: 'noto-emoji', pieces: /^\d+$/ },
];
const WEIGHTS: Record<Weight, number> = { regular: 400, strong: 600 };
const ROOT = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'node_modules/@fontsource');

interface Piece {
  readonly name: string;
  readonly ranges: readonly (readonly [from: number, to: number])[];
}

/** "U+23,U+2a-2c" as numbers. */
const rangesOf = (css: string): Piece['ranges'] =>
  css.split(',').map((range) => {
    const [from = 0, to = from] = range
      .trim()
      .replace(/^U\+/i, '')
      .split('-')
      .map((hex) => Number.parseInt(hex, 16));
    return [from, to];
  });

const pieces = new Map<Family, readonly Piece[]>();

function piecesOf(family: Family): readonly Piece[] {
  let own = pieces.get(family);
  if (!own) {
    const listed = JSON.parse(readFileSync(path.join(ROOT, family.package, 'unicode.json'), 'utf8')) as Record<
      string,
      string
    >;
    // A numbered piece stands in brackets there, and without them in its file's name.
    own = Object.entries(listed)
      .map(([name, css]) => ({ name: name.replace(/[[\]]/g, ''), ranges: rangesOf(css) }))
      .filter(({ name }) => family.pieces.test(name));
    pieces.set(family, own);
  }
  return own;
}

const opened = new Map<string, ShippedFont>();

function openPiece(family: Family, { name }: Piece, weight: Weight): ShippedFont {
  const key = `${family.package}-${name}-${WEIGHTS[weight]}`;
  let own = opened.get(key);
  if (!own) {
    // Out of the newer form, WOFF2, a document would take empty glyphs.
    const file = `${key}-normal.woff`;
    const bytes = readFileSync(path.join(ROOT, family.package, 'files', file));
    own = { key, bytes, font: create(bytes) as Font };
    opened.set(key, own);
  }
  return own;
}

/** Whether a font has a character. One of the pieces can't be read: nothing is printed with it. */
function hasGlyph({ font }: ShippedFont, code: number): boolean {
  try {
    return font.hasGlyphForCodePoint(code);
  } catch {
    return false;
  }
}

/** The font that has a character; null where none has. */
export function furtherFont(code: number, weight: Weight): ShippedFont | null {
  for (const family of FAMILIES)
    for (const piece of piecesOf(family)) {
      if (!piece.ranges.some(([from, to]) => code >= from && code <= to)) continue;
      const font = openPiece(family, piece, weight);
      if (hasGlyph(font, code)) return font;
    }
  return null;
}
