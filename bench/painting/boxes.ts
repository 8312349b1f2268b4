/** Boxes of a picture, in shares of it: what was planted against what is told. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Whether two lie on each other, or nearer than `by`: thin lines have thin boxes. */
export function meet(a: Box, b: Box, by = 0): boolean {
  const [x0, x1] = [Math.max(a.x, b.x), Math.min(a.x + a.width, b.x + b.width)];
  const [y0, y1] = [Math.max(a.y, b.y), Math.min(a.y + a.height, b.y + b.height)];
  return x1 > x0 - by && y1 > y0 - by;
}

/** So near to each other two boxes of thin lines are one. */
export const THIN = 0.005;
