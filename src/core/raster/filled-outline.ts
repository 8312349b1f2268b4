/** Sets all places whose middle lies in a ring to a value, in the plane that is given, by the even-odd rule. `points`: shares of the picture. */
export function filledOutline(
  plane: Uint8Array,
  width: number,
  height: number,
  points: readonly (readonly [x: number, y: number])[],
  value: number,
): void {
  const ys = points.map(([, y]) => y * height);
  const first = Math.max(0, Math.ceil(Math.min(...ys) - 0.5));
  const last = Math.min(height - 1, Math.floor(Math.max(...ys) - 0.5));
  for (let row = first; row <= last; row++) {
    const y = row + 0.5;
    const crossings = points
      .flatMap(([x1, y1], k) => {
        const [x2, y2] = points[(k + 1) % points.length] as readonly [number, number];
        const [top, bottom] = [y1 * height, y2 * height];
        // One end of a side belongs to it and the other to its neighbour, so that a corner crosses once.
        if (top <= y === bottom <= y) return [];
        return [(x1 + ((x2 - x1) * (y - top)) / (bottom - top)) * width];
      })
      .sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil((crossings[k] as number) - 0.5));
      const to = Math.min(width, Math.ceil((crossings[k + 1] as number) - 0.5));
      if (to > from) plane.fill(value, row * width + from, row * width + to);
    }
  }
}
