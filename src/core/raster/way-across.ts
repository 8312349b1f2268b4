/** Which way an outline is crossed at a place of it. */

/**
 * Out of what lies on one side (`sideOf` below 0) into what lies on the other (above 0), from so many places about; its length
 * grows with how plainly the two are parted, and is 0 where they are not. Places past the grid count for neither.
 */
export function wayAcross(
  place: number,
  about: number,
  { width, height }: { readonly width: number; readonly height: number },
  sideOf: (place: number) => number,
): { readonly x: number; readonly y: number } {
  const [column, row] = [place % width, Math.floor(place / width)];
  let [x, y] = [0, 0];
  for (let dy = -Math.min(about, row); dy <= Math.min(about, height - 1 - row); dy++)
    for (let dx = -Math.min(about, column); dx <= Math.min(about, width - 1 - column); dx++) {
      const side = sideOf(place + dy * width + dx);
      x += side * dx;
      y += side * dy;
    }
  return { x, y };
}
