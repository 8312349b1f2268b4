/** Rectangles on a page in millimetres. */

/** A rectangle on a page: top-left corner and size in millimetres, y down. */
export interface BoxMm {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A box with its numbers rounded to a ten-thousandth, so that geometry files read cleanly. */
export function boxMm(xMm: number, yMm: number, widthMm: number, heightMm: number): BoxMm {
  const r = (v: number) => Math.round(v * 1e4) / 1e4;
  return { xMm: r(xMm), yMm: r(yMm), widthMm: r(widthMm), heightMm: r(heightMm) };
}

/** Corners of a box: top-left, top-right, bottom-right, bottom-left. */
export const boxCorners = (b: BoxMm): readonly [Corner, Corner, Corner, Corner] => [
  [b.xMm, b.yMm],
  [b.xMm + b.widthMm, b.yMm],
  [b.xMm + b.widthMm, b.yMm + b.heightMm],
  [b.xMm, b.yMm + b.heightMm],
];
type Corner = readonly [xMm: number, yMm: number];

/** Whether two boxes share any place. */
export function boxesOverlap(a: BoxMm, b: BoxMm): boolean {
  return (
    a.xMm < b.xMm + b.widthMm && b.xMm < a.xMm + a.widthMm && a.yMm < b.yMm + b.heightMm && b.yMm < a.yMm + a.heightMm
  );
}

/** The box grown by `mm` on every side (shrunk when negative). */
export function grow(box: BoxMm, mm: number): BoxMm {
  return boxMm(box.xMm - mm, box.yMm - mm, box.widthMm + 2 * mm, box.heightMm + 2 * mm);
}
