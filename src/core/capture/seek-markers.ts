/** Markers of given ids in a photograph, looked for at several reduced sizes. */
import type { Photo } from '../raster/photo';
import { type GreyCopy, reduceToGrey } from '../raster/reduce';
import { findMarkers, type FoundMarker } from '../vision/markers';
import type { OpenCv } from '../vision/opencv';

/**
 * Long sides at which markers are looked for; most sheets show at the first, in half the time of the next.
 * The later ones only while those found make no whole number of sheets.
 */
const SEARCH_SIZES = [640, 1100, 2100, 4200] as const;

/** A sheet, or the pieces of a board, carry so many. */
const ON_ONE = 4;

/** Corners are in photo pixels. More of one id than one are all given. */
export function seekMarkers(cv: OpenCv, photo: Photo, ids: readonly number[]): FoundMarker[] {
  let markers: FoundMarker[] = [];
  const tried = new Set<number>();
  for (const size of SEARCH_SIZES) {
    const grey = reduceToGrey(photo, size);
    // In a small photograph several of the sizes come to the same.
    if (tried.has(grey.factor)) continue;
    tried.add(grey.factor);
    const found = findMarkers(cv, grey.data, grey.width, grey.height)
      .filter((m) => ids.includes(m.id))
      .map((m) => ({ id: m.id, corners: m.corners.map((c) => ({ x: c.x * grey.factor, y: c.y * grey.factor })) }));
    if (found.length > markers.length) markers = found;
    if (markers.length > 0 && markers.length % ON_ONE === 0) break;
  }
  return markers;
}

const known = (markers: readonly FoundMarker[], ids: readonly number[]) => markers.filter((m) => ids.includes(m.id));

/** Long side at which a mirror image is looked through: markers that fill a photograph show at it, and others are rare. */
const MIRROR_SIZE = 1600;

/** Markers that show in the mirror image of a photograph; their corners are those of the mirrored copy. */
export function mirroredMarkers(cv: OpenCv, photo: Photo, ids: readonly number[]): FoundMarker[] {
  const { data, width, height } = reduceToGrey(photo, MIRROR_SIZE);
  const mirrored = new Uint8Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) mirrored[y * width + x] = data[y * width + width - 1 - x] as number;
  return known(findMarkers(cv, mirrored, width, height), ids);
}

/** Photographs up to this large (long side) are looked through at twice their size. */
const ENLARGED_UP_TO = 3000;
/** Outlines of markers down to this share of the longer side. */
const SMALL_OUTLINE = 0.008;

/** Markers too small to be read by, looked for as small as they can be told; corners are those of the copy that they were found in. */
export function smallMarkers(cv: OpenCv, photo: Photo, ids: readonly number[]): FoundMarker[] {
  const long = Math.max(photo.width, photo.height);
  const grey = reduceToGrey(photo, long);
  const { data, width, height } = long > ENLARGED_UP_TO ? grey : enlarged(grey);
  return known(findMarkers(cv, data, width, height, SMALL_OUTLINE), ids);
}

/** Twice as large each way, straight between neighbours. */
function enlarged({ data, width, height }: Pick<GreyCopy, 'data' | 'width' | 'height'>) {
  const [w, h] = [2 * width - 1, 2 * height - 1];
  const out = new Uint8Array(w * h);
  const at = (x: number, y: number) => data[y * width + x] as number;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const [x0, y0, x1, y1] = [x >> 1, y >> 1, (x + 1) >> 1, (y + 1) >> 1];
      out[y * w + x] = (at(x0, y0) + at(x1, y0) + at(x0, y1) + at(x1, y1)) >> 2;
    }
  return { data: out, width: w, height: h };
}
