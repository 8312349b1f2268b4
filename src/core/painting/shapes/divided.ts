/**
 * How two shapes that meet divide the places about their edge between them, by value: each place belongs to the two as it lies
 * between what is usual well inside the one and the other. It says less of where an edge is than laying profiles across it on
 * each other, and is hardly drawn aside where the whole thing lies a little off its place.
 */
import { median } from '../../fitting/quantile';
import type { Plane } from '../../raster/between';
import { squaredDistances } from '../../raster/distance';
import { maskOf } from '../../raster/zone';
import type { OfTwo, UsualValues } from './edges';

/** So near to the edge, widths, places are divided; from so far on they are well inside, and up to so far they are asked. */
const ABOUT = 0.03;
const INSIDE = { from: 0.012, to: 0.06 } as const;
/** So near to what is neither of the two, widths, its paint may have run in. */
const OUTLINE = 0.006;
/** Usual values that lie nearer to each other, L*, divide nothing. */
const LEAST_APART = 4;

interface Sides {
  readonly inFirst: Uint8Array;
  /** Places well inside either (all of them where it is nowhere thick enough), and all those about the edge between them. */
  readonly insideFirst: Int32Array;
  readonly insideSecond: Int32Array;
  readonly about: readonly number[];
}

function sidesOf(first: Int32Array, second: Int32Array, { width, height }: Plane): Sides {
  const [inFirst, inSecond] = [maskOf(first, width * height), maskOf(second, width * height)];
  const neither = inFirst.map((is, i) => (is === 1 || inSecond[i] === 1 ? 0 : 1));
  const [toFirst, toSecond, toNeither] = [inFirst, inSecond, neither].map((mask) =>
    squaredDistances(mask, width, height),
  ) as [Float64Array, Float64Array, Float64Array];
  const within = (far: number, widths: number) => far <= (widths * width) ** 2;
  const inside = (own: Int32Array, toOther: Float64Array) => {
    const deep = own.filter((i) => {
      const far = toOther[i] as number;
      return within(far, INSIDE.to) && !within(far, INSIDE.from) && !within(toNeither[i] as number, OUTLINE);
    });
    return deep.length > 0 ? deep : own;
  };
  const about = [
    ...first.filter((i) => within(toSecond[i] as number, ABOUT)),
    ...second.filter((i) => within(toFirst[i] as number, ABOUT)),
  ];
  return { inFirst, insideFirst: inside(first, toSecond), insideSecond: inside(second, toFirst), about };
}

/** What is usual well inside either, L*. */
function usualIn(data: Float32Array, { insideFirst, insideSecond }: Sides): OfTwo {
  const usual = (places: Int32Array) => median(Float32Array.from(places, (i) => data[i] as number));
  return [usual(insideFirst), usual(insideSecond)];
}

/** How many of the places about the edge are the first's by value. */
function takenIn(valueAt: (place: number) => number, about: readonly number[], [own, other]: OfTwo): number {
  const share = (i: number) => Math.min(1, Math.max(0, (valueAt(i) - other) / (own - other)));
  return about.reduce((sum, i) => sum + share(i), 0);
}

export interface Divided {
  /** What is usual well inside either, L*. */
  readonly usual: UsualValues;
  /** Places that the first has more of than it should; null where the two are too much alike to be told apart by value. */
  readonly taken: number | null;
}

/** Both shapes are places of both planes, L*, which lie on each other. */
export function divided(first: Int32Array, second: Int32Array, wanted: Plane, painted: Plane): Divided {
  const sides = sidesOf(first, second, wanted);
  const { about, inFirst } = sides;
  const [was, is] = [usualIn(wanted.data, sides), usualIn(painted.data, sides)];
  const usual = { wanted: was, painted: is };
  const [apart, made] = [was[0] - was[1], is[0] - is[1]];
  if (Math.abs(apart) < LEAST_APART || Math.abs(made) < LEAST_APART) return { usual, taken: null };
  // One that is lighter or darker than it should be is so up to its edge, and has taken nothing over for it.
  const expectedAt = (i: number) => (wanted.data[i] as number) + (inFirst[i] === 1 ? made - apart : 0);
  const [had, has] = [
    takenIn(expectedAt, about, [was[1] + made, was[1]]),
    takenIn((i) => painted.data[i] as number, about, is),
  ];
  return { usual, taken: has - had };
}
