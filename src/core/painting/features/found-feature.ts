/** A feature of a painting that was found, as it is told, and where nothing else can be told because of it. */
import type { Plane } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { squaredDistances } from '../../raster/distance';
import { maskOf } from '../../raster/zone';
import { type Affine, after, undone } from '../registration/affine';
import type { PaintingResult } from '../result';
import type { Displaced } from './feature';

type Grid = Pick<Plane, 'width' | 'height'>;

export interface FoundFeature extends Displaced {
  /** Of the reference, on the grid that drawing is compared on. */
  readonly places: Int32Array;
  /** Whether it is all of an object, and not one of its parts. */
  readonly entire: boolean;
  readonly told: Omit<PaintingResult['displacements'][number], 'id'>;
}

/** Of no place none. `grid` is what the places are of. */
export function foundFeature(
  places: Int32Array,
  { name, entire }: { readonly name: string | null; readonly entire: boolean },
  displaced: Displaced,
  grid: Grid,
): FoundFeature[] {
  const around = boxOfPlaces(places, grid.width);
  return around
    ? [{ ...displaced, places, entire, told: { box: shareBox(around, grid), name, ...displaced.displacement } }]
    : [];
}

/** So near to the outline of what stands elsewhere, widths, its old place and its new one can't be told apart exactly. */
const RIM = 0.022;

/** 1 along the outlines of features where they should stand and where they do, on the places of the reference. */
export function rimsOf(features: readonly FoundFeature[], whole: Affine, grid: Grid): Uint8Array {
  const { width, height } = grid;
  const rims = new Uint8Array(width * height);
  for (const { places, map } of features) {
    const mask = maskOf(places, rims.length);
    const [a, b, tx, c, d, ty] = after(undone(map), whole);
    const stands = Uint8Array.from(mask, (_, i) => {
      const [x, y] = [((i % width) + 0.5) / width - 0.5, (Math.floor(i / width) + 0.5 - height / 2) / width];
      const from = Math.floor((a * x + b * y + tx + 0.5) * width);
      const line = Math.floor((c * x + d * y + ty) * width + height / 2);
      return from >= 0 && line >= 0 && from < width && line < height ? (mask[line * width + from] as number) : 0;
    });
    for (const own of [mask, stands]) {
      const [inside, outside] = [own.map((m) => 1 - m), own].map((m) => squaredDistances(m, width, height));
      const reach = (RIM * width) ** 2;
      for (let i = 0; i < rims.length; i++)
        if ((own[i] === 1 ? (inside?.[i] ?? 0) : (outside?.[i] ?? 0)) <= reach) rims[i] = 1;
    }
  }
  return rims;
}
