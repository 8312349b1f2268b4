/** A painting and what was wanted of it, squinted at, with its named shapes: what the rules of form are asked of. */
import { quantile } from '../../fitting/quantile';
import type { ShareBox } from '../../geometry/share-box';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { placesOfNumbers, zoneOf } from '../../raster/zone';
import type { FormPart } from '../shapes/form-parts';
import { insideOf, type NamedShape } from '../shapes/named-shapes';

export interface FormShape extends NamedShape {
  /** Number from 1, as places have it. */
  readonly number: number;
  readonly places: Int32Array;
  /** Well inside it, where it is thick enough. */
  readonly inside: Int32Array;
}

/** Lightness of the same places, as it was wanted and as it was painted; NaN where nothing is known. */
export interface FormPlane {
  readonly width: number;
  readonly height: number;
  readonly numbers: Uint8Array;
  readonly wanted: Float32Array;
  readonly painted: Float32Array;
  readonly shapes: readonly FormShape[];
}

/** So near to its outline, places, hands and brushes of two shapes mix. */
const MEETING = 2;

/** Named shapes on a grid that holds their numbers, as rules of form see them. */
export const formShapes = (
  numbers: Uint8Array,
  grid: { readonly width: number; readonly height: number },
  named: readonly NamedShape[],
): FormShape[] => {
  const places = placesOfNumbers(numbers, 1, named.length);
  return named.map((shape, k) => {
    const own = places[k] as Int32Array;
    return { ...shape, number: k + 1, places: own, inside: insideOf(own, grid, MEETING) };
  });
};

/** Parts of things that hide what lies behind them, cast shadows among them. */
export const ON_TOP: readonly (FormPart | null)[] = [
  'lit',
  'halftone',
  'highlight',
  'shadow',
  'reflected',
  'accent',
  'cast',
];

export type Side = 'wanted' | 'painted';

/** Values of some places that are known, L*. */
export function valuesOf(plane: FormPlane, side: Side, places: Int32Array): Float32Array {
  const own = plane[side];
  const painted = plane.painted;
  return Float32Array.from(
    places.filter((i) => !Number.isNaN(painted[i])),
    (i) => own[i] as number,
  );
}

/** Of the values of some places, what a share lies below; NaN of none. */
export function shareBelow(plane: FormPlane, side: Side, places: Int32Array, share: number): number {
  const values = valuesOf(plane, side, places);
  return values.length === 0 ? NaN : quantile(values, share);
}

/** Mean of the values of some places; NaN of none. */
export function meanOf(plane: FormPlane, side: Side, places: Int32Array): number {
  const values = valuesOf(plane, side, places);
  return values.reduce((s, v) => s + v, 0) / values.length;
}

/** Objects that have a part of each kind that is asked for, each with those parts. */
export function objectsWith<P extends FormPart>(
  { shapes }: FormPlane,
  parts: readonly P[],
): { readonly object: string; readonly of: Record<P, readonly FormShape[]> }[] {
  const objects = [...new Set(shapes.map((s) => s.object))];
  return objects.flatMap((object) => {
    const own = shapes.filter((s) => s.object === object && s.places.length > 0);
    const of = Object.fromEntries(parts.map((part) => [part, own.filter((s) => s.part === part)])) as Record<
      P,
      FormShape[]
    >;
    return parts.every((part) => of[part].length > 0) ? [{ object, of }] : [];
  });
}

/** Well inside places of some shapes together. */
export const insideOfAll = (shapes: readonly FormShape[]): Int32Array =>
  Int32Array.from(shapes.flatMap(({ inside }) => [...inside]));

export const placesOfAll = (shapes: readonly FormShape[]): Int32Array =>
  Int32Array.from(shapes.flatMap(({ places }) => [...places])).sort();

/** The box round some shapes. */
export function boxRound(plane: FormPlane, shapes: readonly FormShape[]): ShareBox {
  const around = boxOfPlaces(placesOfAll(shapes), plane.width);
  if (!around) throw new RangeError('There is no box round nothing.');
  return shareBox(around, plane);
}

/** Where two shapes meet, so far from the line itself that neither hand nor squint mixes them, and no further than this; places. */
const BESIDE = { from: 2, to: 6 } as const;
/** Fewer places than this is a corner and no border. */
const LEAST_BORDER = 8;

/** Places of each of two sets near their common border; null where they hardly meet. */
export function alongBorder(
  plane: FormPlane,
  first: Int32Array,
  second: Int32Array,
): { readonly first: Int32Array; readonly second: Int32Array; readonly between: Int32Array } | null {
  const [nearFirst, nearSecond] = [first, second].map((own) => new Set(zoneOf(own, BESIDE.to, plane))) as [
    Set<number>,
    Set<number>,
  ];
  const [byFirst, bySecond] = [first, second].map((own) => new Set(zoneOf(own, BESIDE.from, plane))) as [
    Set<number>,
    Set<number>,
  ];
  const between = [...byFirst].filter((i) => bySecond.has(i));
  if (between.length < LEAST_BORDER) return null;
  const own = {
    first: first.filter((i) => nearSecond.has(i) && !bySecond.has(i)),
    second: second.filter((i) => nearFirst.has(i) && !byFirst.has(i)),
    between: Int32Array.from(between),
  };
  return own.first.length < LEAST_BORDER || own.second.length < LEAST_BORDER ? null : own;
}
