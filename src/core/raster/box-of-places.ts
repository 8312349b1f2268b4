/** The smallest box round some places of a grid. */
import type { ShareBox } from '../geometry/share-box';

/** Left, top, and one past right and bottom, in places. */
export type BoxOfPlaces = readonly [x0: number, y0: number, x1: number, y1: number];

/** Null round nothing. `width` is the grid's. */
export function boxOfPlaces(places: Int32Array, width: number): BoxOfPlaces | null {
  let [x0, y0, x1, y1] = [Infinity, Infinity, 0, 0];
  for (const i of places) {
    const [x, y] = [i % width, Math.floor(i / width)];
    if (x < x0) x0 = x;
    if (x >= x1) x1 = x + 1;
    if (y < y0) y0 = y;
    if (y >= y1) y1 = y + 1;
  }
  return x1 === 0 ? null : [x0, y0, x1, y1];
}

/** The same in shares of its grid. */
export const shareBox = (
  [x0, y0, x1, y1]: BoxOfPlaces,
  { width, height }: { readonly width: number; readonly height: number },
): ShareBox => ({ x: x0 / width, y: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height });

/** The smallest box round two; null where both are round nothing. */
export const boxRound = (a: BoxOfPlaces | null, b: BoxOfPlaces | null): BoxOfPlaces | null =>
  a && b ? [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])] : (a ?? b);
