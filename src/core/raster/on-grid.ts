/** What places of one kind or another (masks, numbers of shapes) are on a grid of another size: that of the nearest place. */

interface Grid {
  readonly width: number;
  readonly height: number;
}

/** `values` lie on `from`, row by row; the result lies on `to`, which covers the same picture. */
export function onGrid(values: Uint8Array, from: Grid, to: Grid): Uint8Array {
  const columns = Int32Array.from({ length: to.width }, (_, x) => Math.floor(((x + 0.5) * from.width) / to.width));
  const out = new Uint8Array(to.width * to.height);
  for (let y = 0, i = 0; y < to.height; y++) {
    const row = Math.floor(((y + 0.5) * from.height) / to.height) * from.width;
    for (let x = 0; x < to.width; x++, i++) out[i] = values[row + (columns[x] as number)] as number;
  }
  return out;
}
