/** A rectangle in shares of a picture's width and height, as results keep it. */
import { z } from 'zod';

export const shareBoxSchema = z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() });
export type ShareBox = z.infer<typeof shareBoxSchema>;

/** Whether two lie on each other. */
export const boxesMeet = (a: ShareBox, b: ShareBox): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

export const boxArea = ({ width, height }: ShareBox): number => width * height;

/** How much of the smaller of two lies in the other, 0 to 1. */
export function shareInside(a: ShareBox, b: ShareBox): number {
  const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const tall = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return (Math.max(0, wide) * Math.max(0, tall)) / Math.max(1e-9, Math.min(boxArea(a), boxArea(b)));
}

/** A box that reaches so much further on every side. */
export const grownBox = ({ x, y, width, height }: ShareBox, by: number): ShareBox => ({
  ...{ x: x - by, y: y - by, width: width + 2 * by, height: height + 2 * by },
});

/** The smallest box round several; null round none. */
export function shareBoxRound(boxes: readonly ShareBox[]): ShareBox | null {
  if (boxes.length === 0) return null;
  const [x, y] = [Math.min(...boxes.map((b) => b.x)), Math.min(...boxes.map((b) => b.y))];
  return {
    x,
    y,
    width: Math.max(...boxes.map((b) => b.x + b.width)) - x,
    height: Math.max(...boxes.map((b) => b.y + b.height)) - y,
  };
}
