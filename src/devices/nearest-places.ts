/** Which marked place lies nearest to each place: the middle of what surrounds it moves inwards, ring by ring. */

/** Index of the nearest marked place, by its row and column; its own where none is marked. Near ties fall either way. */
export function nearestPlaces(marked: Uint8Array, width: number, height: number): Int32Array {
  const nearest = Int32Array.from(marked, (m, i) => (m === 1 ? i : -1));
  const far = (i: number, of: number) =>
    of < 0 ? Infinity : ((i % width) - (of % width)) ** 2 + (Math.floor(i / width) - Math.floor(of / width)) ** 2;
  const take = (i: number, x: number, y: number) => {
    if (x < 0 || y < 0 || x >= width || y >= height) return;
    const offered = nearest[y * width + x] as number;
    if (far(i, offered) < far(i, nearest[i] as number)) nearest[i] = offered;
  };
  // Forwards and backwards over the picture, each place asking the four neighbours that were just settled.
  for (const way of [1, -1])
    for (let k = 0; k < nearest.length; k++) {
      const i = way === 1 ? k : nearest.length - 1 - k;
      const [x, y] = [i % width, Math.floor(i / width)];
      take(i, x - way, y);
      take(i, x - 1, y - way);
      take(i, x, y - way);
      take(i, x + 1, y - way);
    }
  return nearest.map((of, i) => (of < 0 ? i : of));
}
