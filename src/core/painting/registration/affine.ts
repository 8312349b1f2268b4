/**
 * How a painting sits on its reference. Places of both are in widths about their middles, y down; a painting is stretched to
 * its reference's proportion first, since both are meant to fill the same frame.
 */
import { z } from 'zod';

/** painting = (a x + b y + tx, c x + d y + ty). */
export type Affine = readonly [a: number, b: number, tx: number, c: number, d: number, ty: number];

export const AS_IT_IS: Affine = [1, 0, 0, 0, 1, 0];

export const placed = ([a, b, tx, c, d, ty]: Affine, x: number, y: number): [number, number] => [
  a * x + b * y + tx,
  c * x + d * y + ty,
];

/** Where a place of the painting lies on the reference. */
export function undone([a, b, tx, c, d, ty]: Affine): Affine {
  const det = a * d - b * c;
  const [ia, ib, ic, id] = [d / det, -b / det, -c / det, a / det];
  return [ia, ib, -(ia * tx + ib * ty), ic, id, -(ic * tx + id * ty)];
}

/** One map after another. */
export const after = ([a, b, tx, c, d, ty]: Affine, [e, f, ux, g, h, uy]: Affine): Affine => [
  a * e + b * g,
  a * f + b * h,
  a * ux + b * uy + tx,
  c * e + d * g,
  c * f + d * h,
  c * ux + d * uy + ty,
];

export const registrationSchema = z.object({
  /** To the right as a share of the width, down as a share of the height. */
  shift: z.object({ x: z.number(), y: z.number() }),
  scale: z.object({ x: z.number(), y: z.number() }),
  /** Degrees, clockwise. */
  rotation: z.number(),
  shear: z.number(),
});
export type Registration = z.infer<typeof registrationSchema>;

/**
 * An affine map as `R(rotation) [[sx, k], [0, sy]]` and a shift. `aspect` is height over width, as the shift down is told as a
 * share of the height.
 */
export function registrationOf([a, b, tx, c, d, ty]: Affine, aspect: number): Registration {
  const turn = Math.atan2(c, a);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return {
    shift: { x: tx, y: ty / aspect },
    scale: { x: Math.hypot(a, c), y: cos * d - sin * b },
    rotation: (turn * 180) / Math.PI,
    shear: cos * b + sin * d,
  };
}
