/** Named shapes of a reference as they were painted. */
import type { ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { squaredDistances } from '../raster/distance';
import { onGrid } from '../raster/on-grid';
import type { PaintingResult } from './result';

export interface ShapePlane {
  readonly width: number;
  readonly height: number;
  /** Number of the shape that each place is of, as the list has it from 1; 0 for none. */
  readonly shapeOf: Uint8Array;
  readonly names: readonly string[];
}

/** So near to a shape's outline, in places, it is not read where it is thicker than that. */
const MEETING = 1.5;

/** The mask of one shape on another grid: the nearest place. */
export const maskOn = (shapes: ShapePlane, shape: number, grid: { width: number; height: number }): Uint8Array =>
  onGrid(shapes.shapeOf, shapes, grid).map((s) => (s === shape ? 1 : 0));

/** The smallest box round a mask, in shares of its grid; null round nothing. */
export function boxOf(mask: Uint8Array, width: number, height: number): ShareBox | null {
  let [x0, y0, x1, y1] = [width, height, 0, 0];
  mask.forEach((m, i) => {
    if (m !== 1) return;
    const [x, y] = [i % width, Math.floor(i / width)];
    [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x + 1), Math.max(y1, y + 1)];
  });
  return x1 === 0 ? null : { x: x0 / width, y: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height };
}

/** What lies in a named shape by more than this share goes by its name. */
const MOSTLY = 0.5;

/** The name of the shape that most places of a mask lie in; null where there is none. */
export function nameOfPlaces(
  shapes: ShapePlane,
  mask: Uint8Array,
  grid: { width: number; height: number },
): string | null {
  const { names } = shapes;
  const shapeOf = onGrid(shapes.shapeOf, shapes, grid);
  const counts = new Int32Array(names.length + 1);
  let places = 0;
  mask.forEach((m, i) => {
    if (m !== 1) return;
    places++;
    const shape = shapeOf[i] as number;
    counts[shape] = (counts[shape] as number) + 1;
  });
  const most = names.findIndex((_, k) => (counts[k + 1] as number) > MOSTLY * places);
  return names[most] ?? null;
}

/** Each named shape: what it was to be, what it became, and what the curve of the whole leaves of that. Null where it can't be read. */
export function readShapes(
  shapes: ShapePlane,
  target: Plane,
  painted: Plane,
  onCurve: (target: number) => number,
): PaintingResult['shapes'] {
  return shapes.names.flatMap((name, k): PaintingResult['shapes'] => {
    const mask = maskOn(shapes, k + 1, target);
    const box = boxOf(mask, target.width, target.height);
    if (!box) return [];
    const far = squaredDistances(
      mask.map((m) => 1 - m),
      target.width,
      target.height,
    );
    const deepest = Math.sqrt(far.reduce((a, b) => Math.max(a, b), 0));
    const least = Math.min(MEETING, 0.7 * deepest) ** 2;
    let [places, n, wanted, became] = [0, 0, 0, 0];
    mask.forEach((m, i) => {
      if (m !== 1) return;
      places++;
      const l = painted.data[i] as number;
      if (Number.isNaN(l) || (far[i] as number) < least) return;
      n++;
      wanted += target.data[i] as number;
      became += l;
    });
    const own = { name, box, area: places / mask.length };
    if (n === 0)
      return [{ ...own, lightness: null, target: meanOver(target, mask), deltaLightness: null, residual: null }];
    const [t, l] = [wanted / n, became / n];
    return [{ ...own, lightness: l, target: t, deltaLightness: l - t, residual: l - onCurve(t) }];
  });
}

function meanOver({ data }: Plane, mask: Uint8Array): number {
  let [sum, n] = [0, 0];
  mask.forEach((m, i) => {
    if (m !== 1) return;
    sum += data[i] as number;
    n++;
  });
  return sum / Math.max(1, n);
}
