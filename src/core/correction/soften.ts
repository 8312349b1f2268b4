/** Softens what lies under a mask, in linear light, as an eye fuses it. */
import { wideBlur } from '../raster/blur';
import { cutOut } from './cut';
import type { Grid, Weights } from './mask';
import { forEachIn } from './light';

/** Softens by a Gaussian of `sigma` places. Changes `picture`. */
export function soften(picture: Float32Array, grid: Grid, weights: Weights, sigma: number): void {
  if (sigma < 0.2) return;
  const cut = cutOut(picture, grid, weights.box, Math.ceil(3 * sigma));
  const { left, top, wide, tall, data } = cut;
  const soft = [0, 1, 2].map((c) =>
    wideBlur(
      Float32Array.from({ length: wide * tall }, (_, i) => data[3 * i + c] as number),
      wide,
      tall,
      sigma,
    ),
  );
  forEachIn(weights, grid, (p, weight) => {
    const place = p / 3;
    const i = (Math.floor(place / grid.width) - top) * wide + (place % grid.width) - left;
    for (let c = 0; c < 3; c++)
      picture[p + c] = (1 - weight) * (picture[p + c] as number) + weight * ((soft[c] as Float32Array)[i] as number);
  });
}
