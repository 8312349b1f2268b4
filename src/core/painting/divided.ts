/**
 * How two shapes that meet divide the places about their edge between them, by value: each place belongs to the two as it lies
 * between what is usual well inside the one and the other. It says less of where an edge is than laying profiles across it on
 * each other, and is hardly drawn aside where the whole thing lies a little off its place.
 */
import { median } from '../fitting/quantile';
import type { Plane } from '../raster/between';
import { squaredDistances } from '../raster/distance';
import { maskOf } from '../raster/zone';

/** So near to the edge, widths, places are divided; from so far on they are well inside, and up to so far they are asked. */
const ABOUT = 0.03;
const INSIDE = { from: 0.012, to: 0.06 } as const;
/** So near to what is neither of the two, widths, its paint may have run in. */
const OUTLINE = 0.006;
/** Usual values that lie nearer to each other, L*, divide nothing. */
const LEAST_APART = 4;

/**
 * Places that the first has more of than it should. Both shapes are places of both planes, L*, which lie on each other. Null
 * where they are too thin, or too much alike, to be told apart by value.
 */
export function takenOver(first: Int32Array, second: Int32Array, wanted: Plane, painted: Plane): number | null {
  const { width, height } = wanted;
  const [inFirst, inSecond] = [maskOf(first, width * height), maskOf(second, width * height)];
  const neither = inFirst.map((is, i) => (is === 1 || inSecond[i] === 1 ? 0 : 1));
  const [toFirst, toSecond, toNeither] = [inFirst, inSecond, neither].map((mask) =>
    squaredDistances(mask, width, height),
  ) as [Float64Array, Float64Array, Float64Array];
  const within = (far: number, widths: number) => far <= (widths * width) ** 2;
  const deep = (own: Int32Array, toOther: Float64Array) =>
    own.filter((i) => {
      const far = toOther[i] as number;
      return within(far, INSIDE.to) && !within(far, INSIDE.from) && !within(toNeither[i] as number, OUTLINE);
    });
  const [insideFirst, insideSecond] = [deep(first, toSecond), deep(second, toFirst)];
  if (insideFirst.length === 0 || insideSecond.length === 0) return null;
  const about = [
    ...first.filter((i) => within(toSecond[i] as number, ABOUT)),
    ...second.filter((i) => within(toFirst[i] as number, ABOUT)),
  ];
  /** How many of the places about the edge are the first's in a plane. */
  const firstOf = ({ data }: Plane): number | null => {
    const [own, other] = [insideFirst, insideSecond].map((places) =>
      median(Float32Array.from(places, (i) => data[i] as number)),
    ) as [number, number];
    if (Math.abs(own - other) < LEAST_APART) return null;
    return about.reduce((sum, i) => {
      const share = ((data[i] as number) - other) / (own - other);
      return sum + Math.min(1, Math.max(0, share));
    }, 0);
  };
  const [is, was] = [firstOf(painted), firstOf(wanted)];
  return is === null || was === null ? null : is - was;
}
