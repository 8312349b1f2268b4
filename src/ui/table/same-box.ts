/** Whether two parts of a picture are one: boxes that went through JSON. */
interface At {
  readonly x: number;
  readonly y: number;
}

export const sameBox = (a: At | undefined, b: At | undefined): boolean =>
  a !== undefined && b !== undefined && Math.abs(a.x - b.x) + Math.abs(a.y - b.y) < 1e-6;
