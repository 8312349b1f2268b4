/** One corner piece as it lies beside a painting: places on it from its own inner corner, mm. */
import { boxesOverlap, boxMm, grow, type BoxMm } from '../geometry/box';
import { bracketPage, type BracketCorner } from './brackets';
import type { PatchMm } from './frame';

export interface Piece {
  readonly corner: BracketCorner;
  readonly markerId: number;
  /** All from the inner corner, x to the right and y down as the piece lies in its corner. */
  readonly marker: BoxMm;
  readonly patches: readonly PatchMm[];
  readonly blanks: readonly BoxMm[];
}

const PLACE_MM = 3;
const PITCH_MM = 9;

/** Words of a piece stand in this part of its outer side, from its top for pieces at the top and at the bottom. */
const WORDS = { xMm: 8, widthMm: 46, heightMm: 38, topMm: 23, lowTopMm: 65 } as const;

/** The four pieces; all papers print the same ones. */
export const PIECES: readonly Piece[] = (() => {
  const page = bracketPage('a4');
  return page.brackets.map((piece, i): Piece => {
    const { x, y } = piece.innerCornerMm;
    const from = (b: BoxMm): BoxMm => boxMm(b.xMm - x, b.yMm - y, b.widthMm, b.heightMm);
    const inside = (b: BoxMm) =>
      b.xMm >= piece.xMm &&
      b.xMm < piece.xMm + piece.widthMm &&
      b.yMm >= piece.yMm &&
      b.yMm < piece.yMm + piece.heightMm;
    const marker = page.markers[i] as (typeof page.markers)[number];
    const right = piece.corner.endsWith('right');
    const low = piece.corner.startsWith('bottom');
    const wordsLeft = right ? piece.xMm + piece.widthMm - WORDS.xMm - WORDS.widthMm : piece.xMm + WORDS.xMm;
    const taken = [
      grow(boxMm(marker.xMm, marker.yMm, marker.sizeMm, marker.sizeMm), 2.5),
      ...page.patches.filter(inside).map((p) => grow(p, 1.2)),
      ...page.lines.filter(inside).map((l) => grow(l, 1.5)),
      boxMm(wordsLeft, piece.yMm + (low ? WORDS.lowTopMm : WORDS.topMm), WORDS.widthMm, WORDS.heightMm),
    ];
    const blanks: BoxMm[] = [];
    for (let py = piece.yMm + 4; py + PLACE_MM < piece.yMm + piece.heightMm - 3; py += PITCH_MM)
      for (let px = piece.xMm + 4; px + PLACE_MM < piece.xMm + piece.widthMm - 3; px += PITCH_MM) {
        const box = boxMm(px, py, PLACE_MM, PLACE_MM);
        if (!taken.some((t) => boxesOverlap(box, t))) blanks.push(from(box));
      }
    return {
      corner: piece.corner,
      markerId: marker.id,
      marker: from(boxMm(marker.xMm, marker.yMm, marker.sizeMm, marker.sizeMm)),
      patches: page.patches.filter(inside).map((p) => ({ ...p, ...from(p) })),
      blanks,
    };
  });
})();
