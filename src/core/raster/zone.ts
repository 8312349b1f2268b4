/** The places of a thing and what lies about it, worked out near it alone: a picture has many things. */
import { type BoxOfPlaces, boxOfPlaces } from './box-of-places';
import { squaredDistances } from './distance';

interface Grid {
  readonly width: number;
  readonly height: number;
}

/** The mask of some places of a grid of so many. */
export function maskOf(places: Int32Array, length: number): Uint8Array {
  const mask = new Uint8Array(length);
  for (const i of places) mask[i] = 1;
  return mask;
}

/** The places of several things, row by row. */
export const joinedPlaces = (parts: readonly Int32Array[]): Int32Array =>
  Int32Array.from(parts.flatMap((places) => [...places])).sort();

/** Places of each number on a grid that holds numbers; `count` of them, from `first` on. Others are none of them. */
export function placesOfNumbers(numbers: Uint8Array | Int32Array, first: number, count: number): Int32Array[] {
  const sizes = new Int32Array(count);
  for (let i = 0; i < numbers.length; i++) {
    const k = (numbers[i] as number) - first;
    if (k >= 0 && k < count) sizes[k] = (sizes[k] as number) + 1;
  }
  const places = Array.from(sizes, (size) => new Int32Array(size));
  const filled = new Int32Array(count);
  for (let i = 0; i < numbers.length; i++) {
    const k = (numbers[i] as number) - first;
    const own = places[k];
    if (!own) continue;
    own[filled[k] as number] = i;
    filled[k] = (filled[k] as number) + 1;
  }
  return places;
}

/** Places no further than `reach` (places) from some, their own among them, row by row. */
export function zoneOf(places: Int32Array, reach: number, grid: Grid): Int32Array {
  const box = boxOfPlaces(places, grid.width);
  return box ? within(places, reach, box, grid) : new Int32Array(0);
}

/** A box of a grid that is worked in alone. */
interface Crop {
  readonly left: number;
  readonly top: number;
  readonly wide: number;
  readonly tall: number;
}

function cropOf([x0, y0, x1, y1]: BoxOfPlaces, pad: number, { width, height }: Grid): Crop {
  const [left, top] = [Math.max(0, x0 - pad), Math.max(0, y0 - pad)];
  return { left, top, wide: Math.min(width, x1 + pad) - left, tall: Math.min(height, y1 + pad) - top };
}

/** A mask of the crop: `is` where the places are, the other elsewhere. */
function maskIn(places: Int32Array, { left, top, wide, tall }: Crop, width: number, is: 0 | 1): Uint8Array {
  const mask = new Uint8Array(wide * tall).fill(1 - is);
  for (const i of places) mask[(Math.floor(i / width) - top) * wide + (i % width) - left] = is;
  return mask;
}

function within(places: Int32Array, reach: number, box: BoxOfPlaces, grid: Grid): Int32Array {
  const crop = cropOf(box, Math.ceil(reach), grid);
  const { left, top, wide, tall } = crop;
  const far = squaredDistances(maskIn(places, crop, grid.width, 1), wide, tall);
  const own = new Int32Array(far.length);
  let n = 0;
  for (let k = 0; k < far.length; k++)
    if ((far[k] as number) <= reach * reach) own[n++] = (top + Math.floor(k / wide)) * grid.width + left + (k % wide);
  return own.slice(0, n);
}

/** How far each of some places is from the nearest that is none of them, places; the grid's own edge is none. */
export function depthsOf(places: Int32Array, grid: Grid): Float64Array {
  const box = boxOfPlaces(places, grid.width);
  if (!box) return new Float64Array(0);
  const crop = cropOf(box, 1, grid);
  const far = squaredDistances(maskIn(places, crop, grid.width, 0), crop.wide, crop.tall);
  return Float64Array.from(places, (i) =>
    Math.sqrt(far[(Math.floor(i / grid.width) - crop.top) * crop.wide + (i % grid.width) - crop.left] as number),
  );
}
