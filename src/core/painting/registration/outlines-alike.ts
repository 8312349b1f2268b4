/**
 * How alike two pictures are in where their outlines run, whichever side of each is the lighter: what was painted light for
 * dark still has the same ones. Ways across an outline are compared by twice their angle, under which both of its sides are the
 * same (J. Bigün and G. H. Granlund, "Optimal orientation detection of linear symmetry", ICCV 1987).
 */
import { type Plane, shrunk } from '../../raster/between';
import { gaussianBlur } from '../../raster/blur';
import type { Affine } from './affine';
import { correlation } from './correlation';

/** Places across at which outlines are looked at, and the blur that large brushes need, places. */
const ACROSS = 64;
const BLUR = 1.2;
/** An outline of this much, L* over two places, counts half; there is no more to one than to be there. */
const HALF = 4;
/** Hands shift and stretch: so many places to each side, and by these shares, about where the picture was laid. */
const SHIFTS = [-3, -2, -1, 0, 1, 2, 3];
const STRETCHES = [0.96, 1, 1.04] as const;

/** Twice the angle across the outlines of a plane of L*, as long as they count: its cosine and its sine. */
export interface Outlines {
  readonly cosine: Plane;
  readonly sine: Plane;
}

/** Of a plane of L* of any size. */
export function outlinesOf(plane: Plane): Outlines {
  const { width, height, data } = shrunk(
    plane,
    Math.min(ACROSS, plane.width),
    Math.min(plane.height, Math.max(2, Math.round((ACROSS * plane.height) / plane.width))),
  );
  const soft = gaussianBlur(data, width, height, BLUR);
  const [cosine, sine] = [new Float32Array(soft.length), new Float32Array(soft.length)];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      const right = (soft[i + 1] as number) - (soft[i - 1] as number);
      const down = (soft[i + width] as number) - (soft[i - width] as number);
      const steep = Math.hypot(right, down);
      if (steep === 0) continue;
      const counts = 1 / (steep * (steep + HALF));
      cosine[i] = counts * (right * right - down * down);
      sine[i] = counts * 2 * right * down;
    }
  return { cosine: { width, height, data: cosine }, sine: { width, height, data: sine } };
}

/** How alike the outlines are where they were laid on each other, or near to that: 1 the same, near 0 of two pictures. */
export function outlinesAlike(reference: Outlines, painting: Outlines, [a, b, tx, c, d, ty]: Affine): number {
  const maps = STRETCHES.flatMap((s) =>
    SHIFTS.flatMap((x) => SHIFTS.map((y): Affine => [s * a, s * b, tx + x / ACROSS, s * c, s * d, ty + y / ACROSS])),
  );
  const pairs = [
    [reference.cosine, painting.cosine],
    [reference.sine, painting.sine],
  ] as const;
  return Math.max(...maps.map((map) => correlation(pairs, map)));
}
