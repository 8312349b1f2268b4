/** Shapes that are full of detail where the reference is quiet. */
import { median } from '../../fitting/quantile';
import type { Plane } from '../../raster/between';
import { quickBlur } from '../../raster/blur';
import { boxOfPlaces } from '../../raster/box-of-places';
import { depthsOf } from '../../raster/zone';

/** Detail lies between these sizes, widths of the picture. */
const DETAIL = { from: 0.006, to: 0.03 } as const;
/**
 * What is lively already may be so many times as lively. It is told where what is beyond that is so much, L*, and so many times
 * what the brush leaves in most other shapes. A stroke more or less says little of a large shape and much of a small one: to the
 * least of it comes so much over the side (widths) of a square as large.
 */
const LIVELY = { beside: 1.2, least: 0.6, small: 0.08, times: 1.75 } as const;
/** A shape has room for so many of its largest detail, or says nothing. */
const ROOM = 4;
/** So near to a shape's outline, widths, the hand strays. */
const OUTLINE = 0.008;

/** The part of a plane inside a box of places, its ends left out. */
function cropped(data: ArrayLike<number>, width: number, [x0, y0, x1, y1]: Crop): Float32Array {
  const out = new Float32Array((x1 - x0) * (y1 - y0));
  for (let y = y0, i = 0; y < y1; y++) for (let x = x0; x < x1; x++, i++) out[i] = data[y * width + x] as number;
  return out;
}

/** Left, top, right and bottom, in places. */
type Crop = readonly [number, number, number, number];

/**
 * What lies between two sizes in a plane, within a mask: nothing of what lies beside it leaks in. Mean square over its
 * inside, all cropped to so many places across; `size` is a width of the picture in places.
 */
function liveliness(data: Float32Array, mask: Float32Array, inside: Int32Array, across: number, size: number): number {
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
  /** Its place among the shapes. */
  readonly shape: number;
  /** How much livelier it is than the reference, L*. */
  readonly by: number;
}

/** Shapes with more to see in them than the reference has there; each is a list of places of both planes of L*. */
export function lively(named: readonly Int32Array[], wanted: Plane, painted: Plane): Lively[] {
  const { width, height } = wanted;
  const read = named.flatMap((places, shape) => {
    const around = boxOfPlaces(places, width);
    if (!around) return [];
    const [x0, y0, x1, y1] = around;
    // A place more to every side, so that its outline is one everywhere.
    const crop: Crop = [Math.max(0, x0 - 1), Math.max(0, y0 - 1), Math.min(width, x1 + 1), Math.min(height, y1 + 1)];
    const across = crop[2] - crop[0];
    const at = (i: number) => (Math.floor(i / width) - crop[1]) * across + (i % width) - crop[0];
    const own = new Float32Array(across * (crop[3] - crop[1]));
    for (const i of places) own[at(i)] = 1;
    const depths = depthsOf(places, wanted);
    const inside = places.filter((_, k) => (depths[k] as number) > OUTLINE * width).map(at);
    if (inside.length < ROOM * (DETAIL.to * width) ** 2) return [];
    const [made, was] = [painted, wanted].map((plane) =>
      liveliness(cropped(plane.data, width, crop), own, inside, across, width),
    ) as [number, number];
    return [
      {
        ...{ shape, more: Math.sqrt(Math.max(0, made - was)) },
        beyond: Math.sqrt(Math.max(0, made - LIVELY.beside ** 2 * was)),
        least: LIVELY.least + (LIVELY.small * width) / Math.sqrt(inside.length),
      },
    ];
  });
  return read.flatMap(({ shape, more, beyond, least }) => {
    const others = read.filter((r) => r.shape !== shape).map((r) => r.more);
    return beyond > Math.max(least, LIVELY.times * median(others)) ? [{ shape, by: more }] : [];
  });
}
