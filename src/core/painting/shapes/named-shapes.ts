/** Named shapes of a reference as they were painted. */
import type { Plane } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { onGrid } from '../../raster/on-grid';
import { depthsOf } from '../../raster/zone';
import { shapeGradient } from './gradients';
import type { MaterialSeen } from '../../tones/mass';
import type { FormPart } from './form-parts';
import type { PaintingResult } from '../result';
import type { LeftBeside } from '../values/value-curve';

/** A shape that has a name, and what is asked of it. */
export interface NamedShape {
  readonly name: string;
  /** The object that it is a part of: rules of light and shadow hold within one. */
  readonly object: string;
  readonly part: FormPart | null;
  readonly material: MaterialSeen;
  /** Steps (1 the lightest) that it is allotted; null for any. */
  readonly steps: { readonly from: number; readonly to: number } | null;
  /** How much what is said of it weighs; 1 unless said. */
  readonly emphasis?: number;
}

export interface ShapePlane {
  readonly width: number;
  readonly height: number;
  /** Number of the shape that each place is of, as the list has it from 1; 0 for none. */
  readonly shapeOf: Uint8Array;
  readonly shapes: readonly NamedShape[];
  readonly lights: number;
}

/** So near to a shape's outline, in places, it is not read where it is thicker than that. */
const MEETING = 1.5;

/** What lies in a named shape by more than this share goes by its name. */
const MOSTLY = 0.5;

/** The name of the shape that most of some places lie in; null where there is none. */
export function nameOfPlaces(
  shapes: ShapePlane,
  places: Int32Array,
  grid: { width: number; height: number },
): string | null {
  const names = shapes.shapes;
  const shapeOf = onGrid(shapes.shapeOf, shapes, grid);
  const counts = new Int32Array(names.length + 1);
  for (const i of places) {
    const shape = shapeOf[i] as number;
    counts[shape] = (counts[shape] as number) + 1;
  }
  const most = names.findIndex((_, k) => (counts[k + 1] as number) > MOSTLY * places.length);
  return names[most]?.name ?? null;
}

/** Places of a shape that are read: `meeting` places inside it where it is thick enough, else along its middle. */
export function insideOf(places: Int32Array, grid: { width: number; height: number }, meeting = MEETING): Int32Array {
  const far = depthsOf(places, grid);
  let deepest = 0;
  for (const d of far) deepest = Math.max(deepest, d);
  const least = Math.min(meeting, 0.7 * deepest);
  return places.filter((_, k) => (far[k] as number) >= least);
}

/** Each named shape: what it was to be, what it became, and what the curve of the whole leaves of that. Null where it can't be read. */
export function readShapes(
  shapes: readonly (Pick<NamedShape, 'name' | 'part' | 'emphasis'> & { readonly places: Int32Array })[],
  target: Plane,
  painted: Plane,
  { onCurve, left }: { readonly onCurve: (target: number) => number; readonly left: LeftBeside },
  edgeMm: (number: number) => number | null,
): PaintingResult['shapes'] {
  return shapes.flatMap(({ name, part, emphasis = 1, places }, k): PaintingResult['shapes'] => {
    const around = boxOfPlaces(places, target.width);
    if (!around) return [];
    const box = shareBox(around, target);
    let [n, wanted, became] = [0, 0, 0];
    const inside = insideOf(places, target);
    for (const i of inside) {
      const l = painted.data[i] as number;
      if (Number.isNaN(l)) continue;
      n++;
      wanted += target.data[i] as number;
      became += l;
    }
    const area = places.length / target.data.length;
    const own = { name, part, emphasis, a: null, b: null, box, area, edgeMm: edgeMm(k + 1) };
    const unread = { lightness: null, deltaLightness: null, residual: null, gradient: null };
    if (n === 0) return [{ ...own, ...unread, target: meanOver(target, places) }];
    const [t, l] = [wanted / n, became / n];
    const gradient = shapeGradient(inside, target, painted, onCurve);
    return [
      { ...own, lightness: l, target: t, deltaLightness: l - t, residual: left({ target: t, painted: l }), gradient },
    ];
  });
}

function meanOver({ data }: Plane, places: Int32Array): number {
  let sum = 0;
  for (const i of places) sum += data[i] as number;
  return sum / Math.max(1, places.length);
}
