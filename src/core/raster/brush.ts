/** A stroke of a round brush over a plane of numbers. */
import { z } from 'zod';

const share = z.number().min(0).max(1);

export const strokeSchema = z.object({
  /** Width of the brush, share of the longer side. */
  width: z.number().min(0.001).max(0.3),
  /** Places as shares of width and height: x, y, x, y … */
  points: z.array(share).min(2).max(4000),
});
export type Stroke = z.infer<typeof strokeSchema>;

/** Sets all places within half the width of a stroke to a value, in the plane that is given. */
export function brushed(
  plane: Uint8Array,
  width: number,
  height: number,
  { width: wide, points }: Stroke,
  value: number,
): void {
  const r = (wide * Math.max(width, height)) / 2;
  const at = (k: number) => [(points[k] as number) * width, (points[k + 1] ?? 0) * height] as const;
  const last = points.length - 2;
  for (let k = 0; k <= Math.max(0, last - 2); k += 2) {
    const [ax, ay] = at(k);
    const [bx, by] = at(Math.min(last, k + 2));
    const [dx, dy] = [bx - ax, by - ay];
    const length2 = Math.max(1e-9, dx * dx + dy * dy);
    for (
      let y = Math.max(0, Math.floor(Math.min(ay, by) - r));
      y < Math.min(height, Math.ceil(Math.max(ay, by) + r));
      y++
    )
      for (
        let x = Math.max(0, Math.floor(Math.min(ax, bx) - r));
        x < Math.min(width, Math.ceil(Math.max(ax, bx) + r));
        x++
      ) {
        const [px, py] = [x + 0.5 - ax, y + 0.5 - ay];
        const t = Math.min(1, Math.max(0, (px * dx + py * dy) / length2));
        if ((px - t * dx) ** 2 + (py - t * dy) ** 2 <= r * r) plane[y * width + x] = value;
      }
  }
}
