/** What is too light or too dark beside the rest: named shapes, parts of them, and parts of what has no name. */
import { withIds } from '../geometry/place-ids';
import type { ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { outlineOf } from '../raster/outline';
import { maskOf, placesOfNumbers } from '../raster/zone';
import { rimsOf } from './features/found-feature';
import type { FormShape } from './form/form-plane';
import type { LaidPainting } from './lay-painting';
import { nameOfPlaces } from './shapes/named-shapes';
import type { PaintingReference } from './reference';
import { regionsOf } from './values/regions';
import type { PaintingResult } from './result';

type Told = Omit<PaintingResult['regions'][number], 'id' | 'outline' | 'deltaSteps'> & { readonly places: Int32Array };

/** What stands further than this, widths, has an outline that no part of the painting is judged by. */
const PLAINLY_ASTRAY = 0.0125;
/** A region that lies along the outlines of what stands elsewhere by more than this share is told with that. */
const MOSTLY = 0.5;
/** A named shape that is off is told as a whole, unless parts of it that are off as it is make up so much of it. */
const MOST_OF_IT = 0.6;

/** Which places are of some parts, each of which is a list of places. */
const placesOf = (places: readonly Int32Array[], parts: readonly number[]): Int32Array =>
  Int32Array.from(parts.flatMap((part) => [...(places[part] as Int32Array)])).sort();

function outlineIn(places: Int32Array, box: ShareBox, grid: Plane): [number, number][][] {
  const mask = maskOf(places, grid.data.length);
  return outlineOf((i) => mask[i] === 1, box, grid);
}

/** How many of some places are marked, as a share. */
const shareOf = (places: Int32Array, marked: Uint8Array): number =>
  places.reduce((s, i) => s + (marked[i] as number), 0) / Math.max(1, places.length);

/** Parts that are off, but for those that only lie along what stands elsewhere. */
function partsIn(
  { coarse, shapes, numbers }: PaintingReference,
  { astray, map, parts, left }: LaidPainting,
  tolerance: number,
): Told[] {
  const plainly = astray.filter(({ told }) => Math.hypot(told.dx, told.dy) > PLAINLY_ASTRAY);
  const rims = rimsOf(plainly, map, coarse);
  const placesOfParts = placesOfNumbers(parts.cut.partOf, 0, parts.cut.count);
  return regionsOf(parts, left, tolerance, numbers).flatMap(({ parts: own, ...region }) => {
    const places = placesOf(placesOfParts, own);
    const around = boxOfPlaces(places, coarse.width);
    if (!around || shareOf(places, rims) >= MOSTLY) return [];
    const box = shareBox(around, coarse);
    return [{ ...region, box, places, shape: shapes && nameOfPlaces(shapes, places, coarse) }];
  });
}

/** Named shapes that are off all over, be they so thin that no part of them can be told. */
function shapesOff(
  named: readonly FormShape[],
  shapes: PaintingResult['shapes'],
  parts: readonly Told[],
  tolerance: number,
): Told[] {
  return shapes.flatMap(({ name, box, area, deltaLightness, residual }): Told[] => {
    const places = named.find((n) => n.name === name)?.places;
    if (!places || residual === null || deltaLightness === null || Math.abs(residual) <= tolerance) return [];
    const told = parts.filter((p) => p.shape === name && Math.sign(p.residual) === Math.sign(residual));
    return told.reduce((s, p) => s + p.area, 0) >= MOST_OF_IT * area
      ? []
      : [{ shape: name, box, area, deltaLightness, residual, places }];
  });
}

/** All that is off beside the curve of the whole, the largest first; `step` is what one of the exercise is, L*. */
export function partsOff(
  reference: PaintingReference,
  laid: LaidPainting,
  shapes: PaintingResult['shapes'],
  { step, toleranceSteps }: { readonly step: number; readonly toleranceSteps: number },
): PaintingResult['regions'] {
  const tolerance = toleranceSteps * step;
  const parts = partsIn(reference, laid, tolerance);
  const whole = shapesOff(reference.named, shapes, parts, tolerance);
  const isIn = (part: Told) =>
    whole.some((w) => w.shape === part.shape && Math.sign(w.residual) === Math.sign(part.residual));
  const all = [...whole, ...parts.filter((part) => !isIn(part))].sort((a, b) => b.area - a.area);
  return withIds(
    all.map(({ places, ...region }) => ({
      ...region,
      outline: outlineIn(places, region.box, reference.coarse),
      deltaSteps: region.deltaLightness / step,
    })),
  );
}
