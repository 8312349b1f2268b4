/** Reduced grey copies of a photograph, for finding things; nothing is measured on them. */
import type { Raster } from './raster';

export interface GreyCopy {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
  /** Whole number of photo pixels along one pixel of the copy. */
  readonly factor: number;
}

/**
 * Means of the green codes over squares of whole pixels, at most `longSide` large. From squares of
 * three up every second pixel each way is enough: neighbours in a photograph say nearly the same.
 */
export function reduceToGrey(photo: Raster<'srgb8', 3>, longSide: number): GreyCopy {
  const factor = Math.max(1, Math.ceil(Math.max(photo.width, photo.height) / longSide));
  const width = Math.floor(photo.width / factor);
  const height = Math.floor(photo.height / factor);
  const data = new Uint8Array(width * height);
  const sums = new Uint32Array(width);
  const source = photo.data;
  const stride = factor >= 3 ? 2 : 1;
  const area = Math.ceil(factor / stride) ** 2;
  for (let y = 0; y < height; y++) {
    sums.fill(0);
    for (let k = 0; k < factor; k += stride) {
      const row = (y * factor + k) * photo.width * 3 + 1;
      for (let x = 0; x < width; x++) {
        let s = 0;
        const from = row + x * factor * 3;
        for (let j = 0; j < factor; j += stride) s += source[from + 3 * j] as number;
        sums[x] = (sums[x] as number) + s;
      }
    }
    for (let x = 0; x < width; x++) data[y * width + x] = (sums[x] as number) / area;
  }
  return { data, width, height, factor };
}
