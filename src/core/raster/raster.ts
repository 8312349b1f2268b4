/**
 * The one raster type. The encoding is part of the type, so that a picture in camera codes can't be
 * handed to a kernel that needs linear light: mixing them up does not compile.
 */

/**
 * - `srgb8`: gamma-encoded codes 0 to 255 as a camera or printer file has them
 * - `linear`: linear light or reflectance, 1 = perfect white, floating point
 * - `lightness`: CIE L*, floating point
 */
export type Encoding = 'srgb8' | 'linear' | 'lightness';

type Samples<E extends Encoding> = E extends 'srgb8' ? Uint8Array : Float32Array;

export interface Raster<E extends Encoding = Encoding, C extends 1 | 3 = 1 | 3> {
  readonly encoding: E;
  readonly width: number;
  readonly height: number;
  readonly channels: C;
  /** Row-major, channels interleaved, `width * height * channels` long. */
  readonly data: Samples<E>;
}

/** A raster over existing samples. Throws RangeError when sizes and length don't agree. */
export function raster<E extends Encoding, C extends 1 | 3>(
  encoding: E,
  width: number,
  height: number,
  channels: C,
  data: Samples<E>,
): Raster<E, C> {
  if (!Number.isInteger(width) || !Number.isInteger(height) || width < 1 || height < 1)
    throw new RangeError(`A raster needs whole sizes of at least 1, got ${width} x ${height}.`);
  if (data.length !== width * height * channels)
    throw new RangeError(
      `A raster of ${width} x ${height} x ${channels} needs ${width * height * channels} samples, got ${data.length}.`,
    );
  return { encoding, width, height, channels, data };
}
