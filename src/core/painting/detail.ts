/** Shapes that are full of detail where the reference is quiet. */
import { quantile } from '../fitting/quantile';
import type { Plane } from '../raster/between';
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';
import { boxOf } from './named-shapes';

/** Detail lies between these sizes, widths of the picture. */
const DETAIL = { from: 0.006, to: 0.03 } as const;
/** It is told where it is so much livelier than the reference, L*, and than what the brush leaves in most other shapes. */
const LIVELY = { least: 2.4, times: 2.5 } as const;
/** So near to a shape's outline, widths, the hand strays. */
const OUTLINE = 0.008;

/** The part of a plane inside a box of places, its ends left out. */
function cropped(data: ArrayLike<number>, width: number, [x0, y0, x1, y1]: Crop): Float32Array {
  const wide = x1 - x0;
  return Float32Array.from(
    { length: wide * (y1 - y0) },
    (_, i) => data[(y0 + Math.floor(i / wide)) * width + x0 + (i % wide)] as number,
  );
}

/** Left, top, right and bottom, in places. */
type Crop = readonly [number, number, number, number];

/**
 * What lies between two sizes in a plane, within a mask: nothing of what lies beside it leaks in. Mean square over its
 * inside, all cropped to so many places across; `size` is a width of the picture in places.
 */
function liveliness(
  data: Float32Array,
  mask: Float32Array,
  inside: readonly number[],
  across: number,
  size: number,
): number {
  const own = data.map((l, i) => l * (mask[i] as number));
  const [fine, coarse] = [DETAIL.from, DETAIL.to].map((share) => {
    const [sum, weight] = [own, mask].map((plane) => quickBlur(plane, across, plane.length / across, share * size)) as [
      Float32Array,
      Float32Array,
    ];
    return (i: number) => (sum[i] as number) / (weight[i] as number);
  }) as [(i: number) => number, (i: number) => number];
  return inside.reduce((sum, i) => sum + (fine(i) - coarse(i)) ** 2, 0) / inside.length;
}

export interface Lively {
  /** Its place among the masks. */
  readonly shape: number;
  /** How much livelier it is than the reference, L*. */
  readonly by: number;
}

/** Shapes with more to see in them than the reference has there. Masks lie on the places of both planes of L*. */
export function lively(masks: readonly Uint8Array[], wanted: Plane, painted: Plane): Lively[] {
  const { width, height } = wanted;
  const read = masks.flatMap((mask, shape) => {
    const box = boxOf(mask, width, height);
    if (!box) return [];
    const at = (share: number, of: number) => Math.round(share * of);
    // A place more to every side, so that its outline is one everywhere.
    const crop: Crop = [
      Math.max(0, at(box.x, width) - 1),
      Math.max(0, at(box.y, height) - 1),
      Math.min(width, at(box.x + box.width, width) + 1),
      Math.min(height, at(box.y + box.height, height) + 1),
    ];
    const across = crop[2] - crop[0];
    const own = cropped(mask, width, crop);
    const far = squaredDistances(
      Uint8Array.from(own, (m) => 1 - m),
      across,
      own.length / across,
    );
    const inside: number[] = [];
    far.forEach((d, i) => {
      if (d > (OUTLINE * width) ** 2) inside.push(i);
    });
    if (inside.length < (DETAIL.to * width) ** 2) return [];
    const [made, was] = [painted, wanted].map((plane) =>
      liveliness(cropped(plane.data, width, crop), own, inside, across, width),
    ) as [number, number];
    const more = made - was;
    return [{ shape, more: Math.sqrt(Math.max(0, more)) }];
  });
  const usual =
    read.length === 0
      ? 0
      : quantile(
          read.map((r) => r.more),
          0.5,
        );
  const limit = Math.max(LIVELY.least, LIVELY.times * usual);
  return read.flatMap(({ shape, more }) => (more > limit ? [{ shape, by: more }] : []));
}
