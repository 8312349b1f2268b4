/** A rectangle in shares of a picture's width and height, as results keep it. */
import { z } from 'zod';

export const shareBoxSchema = z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() });
export type ShareBox = z.infer<typeof shareBoxSchema>;

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
