/** Places of a grid that lie beside or above each other. */

/** Calls once for each pair of them, by their indices, row by row. */
export function forEachTouching(
  { width, height }: { readonly width: number; readonly height: number },
  pair: (i: number, j: number) => void,
): void {
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (x + 1 < width) pair(i, i + 1);
      if (y + 1 < height) pair(i, i + width);
    }
}
