/** What is taken of a picture: cropped, set straight, its perspective undone. */
import { srgbToLinear } from '../colour/srgb';
import { homographyThrough } from '../geometry/homography';
import type { Point } from '../geometry/point';
import { cornersFault } from '../geometry/quadrilateral';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import { WORKING_PX } from './luminance-plane';

/** Top left, top right, bottom right, bottom left, as shares of the picture's width and height. */
export type Corners = readonly [Point, Point, Point, Point];

/** The corners make no picture; `message` says what to do. */
export class BadFrame extends RangeError {
  override readonly name = 'BadFrame';
}

/** Smaller corners than this share of the picture hold nothing. */
const LEAST = 1e-4;

const UNIT_SQUARE = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
] as const;

/** Size of what is worked on, for a proportion of width over height. */
export function workingSize(proportion: number, longSide = WORKING_PX): { width: number; height: number } {
  return proportion >= 1
    ? { width: longSide, height: Math.max(1, Math.round(longSide / proportion)) }
    : { width: Math.max(1, Math.round(longSide * proportion)), height: longSide };
}

/**
 * Linear RGB of what lies between four corners, on a grid of that proportion, each place the mean of what it covers. Throws
 * BadFrame where the corners make no picture.
 */
export function framed(photo: Photo, corners: Corners, proportion: number, longSide = WORKING_PX): Raster<'linear', 3> {
  if (cornersFault(corners, LEAST))
    throw new BadFrame(
      'The four corners cross, or lie on one line: drag each to its own corner of what is to be taken.',
    );
  const h = homographyThrough(UNIT_SQUARE.map((from, k) => ({ from, to: corners[k] as Point })));
  const { width, height } = workingSize(proportion, longSide);
  const linear = Float64Array.from({ length: 256 }, (_, code) => srgbToLinear(code / 255));
  const { data } = photo.stored;
  const out = new Float32Array(3 * width * height);
  const [h0, h1, h2, h3, h4, h5, h6, h7] = h as [number, number, number, number, number, number, number, number];
  // As many samples a place as it covers pixels, so that nothing is skipped.
  const wide =
    Math.hypot((corners[1].x - corners[0].x) * photo.width, (corners[1].y - corners[0].y) * photo.height) / width;
  const times = Math.max(1, Math.ceil(wide));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [r, g, b] = [0, 0, 0];
      for (let s = 0; s < times * times; s++) {
        const u = (x + ((s % times) + 0.5) / times) / width;
        const v = (y + (Math.floor(s / times) + 0.5) / times) / height;
        const w = 1 / (h6 * u + h7 * v + 1);
        const px = Math.min(photo.width - 1.001, Math.max(0, (h0 * u + h1 * v + h2) * w * photo.width - 0.5));
        const py = Math.min(photo.height - 1.001, Math.max(0, (h3 * u + h4 * v + h5) * w * photo.height - 0.5));
        const [cx, cy] = [Math.floor(px), Math.floor(py)];
        const [fx, fy] = [px - cx, py - cy];
        const p = photo.origin + cx * photo.alongX + cy * photo.alongY;
        const [q, t] = [p + photo.alongX, p + photo.alongY];
        const o = q + photo.alongY;
        const [a, e, c, d] = [(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy, fx * fy];
        r +=
          a * linear[data[p] as number]! +
          e * linear[data[q] as number]! +
          c * linear[data[t] as number]! +
          d * linear[data[o] as number]!;
        g +=
          a * linear[data[p + 1] as number]! +
          e * linear[data[q + 1] as number]! +
          c * linear[data[t + 1] as number]! +
          d * linear[data[o + 1] as number]!;
        b +=
          a * linear[data[p + 2] as number]! +
          e * linear[data[q + 2] as number]! +
          c * linear[data[t + 2] as number]! +
          d * linear[data[o + 2] as number]!;
      }
      const i = 3 * (y * width + x);
      const n = times * times;
      out[i] = r / n;
      out[i + 1] = g / n;
      out[i + 2] = b / n;
    }
  return raster('linear', width, height, 3, out);
}

/** Corners for a picture that was taken at a slant: a frame of that proportion, as large as fits, turned by degrees. */
export function straightened(pictureProportion: number, proportion: number, degrees: number): Corners {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  // Half sizes in units of the picture's height; the largest for which every corner stays inside.
  const reach = (hw: number, hh: number) =>
    [Math.abs(hw * c) + Math.abs(hh * s), Math.abs(hw * s) + Math.abs(hh * c)] as const;
  const [rx, ry] = reach(proportion, 1);
  const scale = Math.min(pictureProportion / 2 / rx, 0.5 / ry);
  const at = (u: number, v: number): Point => {
    const [dx, dy] = [u * proportion * scale, v * scale];
    const clamp = (value: number) => Math.min(1, Math.max(0, value));
    return { x: clamp(0.5 + (dx * c - dy * s) / pictureProportion), y: clamp(0.5 + dx * s + dy * c) };
  };
  return [at(-1, -1), at(1, -1), at(1, 1), at(-1, 1)];
}
