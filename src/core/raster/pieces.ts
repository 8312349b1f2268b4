/** Pieces of a mask that hang together. */

/** Places of each piece, corners touching: the places of `mask` that are 1, row by row. */
export function piecesOf(mask: Uint8Array, width: number): Int32Array[] {
  const left = Uint8Array.from(mask);
  const pieces: Int32Array[] = [];
  // Places in the order in which they are met: each piece is a stretch of it.
  const met = new Int32Array(mask.length);
  let count = 0;
  const meet = (i: number) => {
    if (left[i] !== 1) return;
    left[i] = 0;
    met[count++] = i;
  };
  for (let first = left.indexOf(1); first >= 0; first = left.indexOf(1, first + 1)) {
    const start = count;
    meet(first);
    for (let k = start; k < count; k++) {
      const i = met[k] as number;
      const x = i % width;
      const from = x > 0 ? -1 : 0;
      const to = x + 1 < width ? 1 : 0;
      for (let step = from; step <= to; step++) {
        meet(i - width + step);
        meet(i + step);
        meet(i + width + step);
      }
    }
    pieces.push(met.slice(start, count));
  }
  return pieces;
}
