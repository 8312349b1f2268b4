/**
 * Four corner pieces to cut out and lay round a board or canvas that is larger than a sheet: each with a marker,
 * greys and a line of 100 mm. The inner corner of a piece touches the painting's corner.
 */
import { type BoxMm, boxMm } from '../geometry/box';
import { cardLightness, RAMP_CODES } from './card';
import { type Mark, markerFills, type SheetDrawing, text } from './drawing';
import type { MarkerMm, PatchMm } from './frame';
import { type PaperId, PAPERS } from './paper';

export const BRACKET_CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;
export type BracketCorner = (typeof BRACKET_CORNERS)[number];
export const BRACKET_MARKER_IDS = [8, 9, 10, 11] as const;

export interface Bracket extends BoxMm {
  readonly corner: BracketCorner;
  readonly innerCornerMm: { readonly x: number; readonly y: number };
}

export interface BracketPage {
  readonly paper: PaperId;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly brackets: readonly Bracket[];
  readonly markers: readonly MarkerMm[];
  readonly patches: readonly PatchMm[];
  /** The lines of 100 mm, one a piece. */
  readonly lines: readonly BoxMm[];
}

const WIDE = 95;
const TALL = 125;
const GAP = 4;
const MARKER = { size: 40, inset: 8 } as const;
const GREY = { size: 10, pitch: 11, top: 5, side: 5 } as const;
const GREYS = 8;
const LINE = { length: 100, thick: 0.4, side: 10, top: 20 } as const;

/** Eight of a ramp's ten greys, its ends among them. */
const CODES = Array.from(
  { length: GREYS },
  (_, i) => RAMP_CODES[Math.round((i * (RAMP_CODES.length - 1)) / (GREYS - 1))] ?? 0,
);

/** Where the four corner pieces stand on a page, mm. */
export function bracketPage(paper: PaperId): BracketPage {
  const { widthMm, heightMm } = PAPERS[paper];
  const left = (widthMm - 2 * WIDE - GAP) / 2;
  const top = (heightMm - 2 * TALL - GAP) / 2;
  const pieces = BRACKET_CORNERS.map((corner, i) => {
    const right = corner.endsWith('right');
    const low = corner.startsWith('bottom');
    const piece = boxMm(left + (right ? WIDE + GAP : 0), top + (low ? TALL + GAP : 0), WIDE, TALL);
    // Everything is laid out for the top-left piece and mirrored for the others, so that what matters stays at the inner corner.
    const place = (x: number, y: number, w: number, h: number): BoxMm =>
      boxMm(piece.xMm + (right ? WIDE - x - w : x), piece.yMm + (low ? TALL - y - h : y), w, h);
    const marker = place(
      WIDE - MARKER.inset - MARKER.size,
      TALL - MARKER.inset - MARKER.size,
      MARKER.size,
      MARKER.size,
    );
    return {
      bracket: {
        corner,
        ...piece,
        innerCornerMm: { x: piece.xMm + (right ? 0 : WIDE), y: piece.yMm + (low ? 0 : TALL) },
      },
      marker: { id: BRACKET_MARKER_IDS[i] ?? 8, xMm: marker.xMm, yMm: marker.yMm, sizeMm: MARKER.size },
      // On opposite pieces the greys run in opposite directions, as on a sheet.
      patches: (low ? [...CODES].reverse() : CODES).map((code, k): PatchMm => ({
        ...place(GREY.side + k * GREY.pitch, GREY.top, GREY.size, GREY.size),
        code,
        lightness: cardLightness(code),
        a: 0,
        b: 0,
      })),
      line: place(LINE.side, LINE.top, LINE.thick, LINE.length),
    };
  });
  return {
    paper,
    widthMm,
    heightMm,
    brackets: pieces.map((p) => p.bracket),
    markers: pieces.map((p) => p.marker),
    patches: pieces.flatMap((p) => p.patches),
    lines: pieces.map((p) => p.line),
  };
}

/** The page of corner pieces as marks. */
export function drawBrackets(page: BracketPage): SheetDrawing {
  const marks: Mark[] = [
    ...page.brackets.map((b): Mark => ({ kind: 'outline', box: b, code: 120, lineMm: 0.2 })),
    ...markerFills(page.markers),
    ...page.patches.map((p): Mark => ({ kind: 'fill', box: p, code: p.code })),
    ...page.lines.map((box): Mark => ({ kind: 'fill', box, code: 0 })),
    ...page.brackets.flatMap((b, i): Mark[] => {
      const right = b.corner.endsWith('right');
      const x = right ? b.xMm + b.widthMm - 14 : b.xMm + 14;
      const y = b.corner.startsWith('bottom') ? b.yMm + 72 : b.yMm + 30;
      const align = right ? ('right' as const) : ('left' as const);
      const line = page.lines[i];
      return [
        text(b.corner.replace('-', ' '), x, y, 5, { weight: 'strong', align }),
        text('The corner by the marker touches the painting; lay the piece flat.', right ? x - 30 : x, y + 6, 3, {
          wrapMm: 30,
        }),
        ...(line ? [text('100 mm', x, y + 24, 3, { align })] : []),
      ];
    }),
  ];
  return { widthMm: page.widthMm, heightMm: page.heightMm, title: 'Corner pieces', marks };
}
