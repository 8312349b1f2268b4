/** Markers of given ids in a photograph, looked for at several reduced sizes. */
import type { Photo } from '../raster/photo';
import { reduceToGrey } from '../raster/reduce';
import { findMarkers, type FoundMarker } from '../vision/markers';
import type { OpenCv } from '../vision/opencv';

/** Long sides at which markers are looked for; the later ones only while those found make no whole number of sheets. */
const SEARCH_SIZES = [800, 1100, 2100, 4200] as const;

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
