/** Places of a sheet where bare paper must show: the white that a photograph's light is judged from. */
import { boxesOverlap, type BoxMm, boxMm, grow } from '../geometry/box';
import type { SheetLayout } from './layout';

const PLACE_MM = 2.4;
const PITCH_MM = 13;

/**
 * Boxes that are printed with nothing and that paint should not reach. They lie on a grid over the
 * whole sheet, moved a little where print is in the way.
 */
export function blankPlaces(layout: SheetLayout): readonly BoxMm[] {
  const before = foundBefore.get(layout);
  if (before) return before;
  const places = findPlaces(layout);
  foundBefore.set(layout, places);
  return places;
}

/** A photograph asks several times for the places of one sheet. */
const foundBefore = new WeakMap<SheetLayout, readonly BoxMm[]>();

function findPlaces(layout: SheetLayout): BoxMm[] {
  const words = boxMm(layout.inside.xMm, layout.wordsTopMm, layout.inside.widthMm, layout.wordsHeightMm);
  const head = boxMm(layout.inside.xMm, 26, layout.inside.widthMm, 24);
  const taken: BoxMm[] = [
    ...layout.markers.map((m) => grow(boxMm(m.xMm, m.yMm, m.sizeMm, m.sizeMm), 1)),
    ...layout.patches.map((p) => grow(p, 0.8)),
    // Kept free even where nothing is printed in it: whoever reads a sheet need not know whether hue was asked for.
    layout.chromaticRow,
    ...layout.ticks.map((t) => grow(t, 1)),
    ...layout.cells.map((c) => grow(c, 3.2)),
    ...layout.cells.map((c) => boxMm(c.xMm, c.yMm - 7.5, c.widthMm, 6)),
    ...layout.dabs.map((d) => grow(d, 3.5)),
    ...layout.chips.map((c) => grow(c, 3.2)),
    words,
    head,
  ];
  const places: BoxMm[] = [];
  for (let y = 5.5; y < layout.heightMm - 5; y += PITCH_MM)
    for (let x = 5.5; x < layout.widthMm - 5; x += PITCH_MM) {
      const spots = [
        [0, 0],
        [3, 0],
        [-3, 0],
        [0, 3],
        [0, -3],
        [5, 0],
        [-5, 0],
        [0, 5],
        [0, -5],
      ] as const;
      for (const [dx, dy] of spots) {
        const box = boxMm(x + dx - PLACE_MM / 2, y + dy - PLACE_MM / 2, PLACE_MM, PLACE_MM);
        const onPage =
          box.xMm >= 3 &&
          box.yMm >= 3 &&
          box.xMm + PLACE_MM <= layout.widthMm - 3 &&
          box.yMm + PLACE_MM <= layout.heightMm - 3;
        if (onPage && !taken.some((t) => boxesOverlap(box, t)) && !places.some((p) => boxesOverlap(box, p))) {
          places.push(box);
          break;
        }
      }
    }
  return places;
}
