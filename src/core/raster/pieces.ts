/** Pieces of a mask that hang together. */

/** Places of each piece, corners touching: the places of `mask` that are 1, row by row. */
export function piecesOf(mask: Uint8Array, width: number): Int32Array[] {
  const left = Uint8Array.from(mask);
  const pieces: Int32Array[] = [];
  const waiting: number[] = [];
  for (let first = 0; first < left.length; first++) {
    if (left[first] !== 1) continue;
    const own: number[] = [];
    left[first] = 0;
    waiting.push(first);
    for (let i = waiting.pop(); i !== undefined; i = waiting.pop()) {
      own.push(i);
      const x = i % width;
      for (const k of [-width, 0, width])
        for (const step of [-1, 0, 1]) {
          if (x + step < 0 || x + step >= width || left[i + k + step] !== 1) continue;
          left[i + k + step] = 0;
          waiting.push(i + k + step);
        }
    }
    pieces.push(Int32Array.from(own));
  }
  return pieces;
}
