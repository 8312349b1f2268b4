/** A piece cut out of a picture, worked on alone, and laid back by weights. */
import type { BoxOfPlaces } from '../raster/box-of-places';
import type { Grid, Weights } from './mask';

export interface Cut {
  readonly left: number;
  readonly top: number;
  readonly wide: number;
  readonly tall: number;
  /** Three channels of linear light, interleaved. */
  readonly data: Float32Array;
}

/** A box of a picture with so many places about it. */
export function cutOut(
  picture: Float32Array,
  { width, height }: Grid,
  [x0, y0, x1, y1]: BoxOfPlaces,
  pad: number,
): Cut {
  const [left, top] = [Math.max(0, x0 - pad), Math.max(0, y0 - pad)];
  const [wide, tall] = [Math.min(width, x1 + pad) - left, Math.min(height, y1 + pad) - top];
  const data = new Float32Array(3 * wide * tall);
  for (let y = 0; y < tall; y++) {
    const from = 3 * ((top + y) * width + left);
    data.set(picture.subarray(from, from + 3 * wide), 3 * y * wide);
  }
  return { left, top, wide, tall, data };
}

/** The weight of a mask at a place of the picture. */
export function weightAt({ box: [x0, y0], wide, tall, data }: Weights, x: number, y: number): number {
  const [u, v] = [x - x0, y - y0];
  return u < 0 || v < 0 || u >= wide || v >= tall ? 0 : (data[v * wide + u] as number);
}
