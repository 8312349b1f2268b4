/** Papers a sheet is printed on, always portrait, in millimetres. */
export const PAPERS = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297, markerIds: [0, 1, 2, 3] },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4, markerIds: [4, 5, 6, 7] },
} as const;

export type PaperId = keyof typeof PAPERS;
export const PAPER_IDS = Object.keys(PAPERS) as [PaperId, ...PaperId[]];

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

/** The box grown by `mm` on every side (shrunk when negative). */
export function grow(box: BoxMm, mm: number): BoxMm {
  return boxMm(box.xMm - mm, box.yMm - mm, box.widthMm + 2 * mm, box.heightMm + 2 * mm);
}
