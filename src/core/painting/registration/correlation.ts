/** How alike planes are under a map of one picture onto the other. */
import { between, type Plane } from '../../raster/between';
import type { Affine } from './affine';

/**
 * Correlation of planes of a reference with those of a painting, each with its own, all together; only places that lie on the
 * painting count. The planes of each side are of one size; what they hold is about 0 on the whole.
 */
export function correlation(
  pairs: readonly (readonly [reference: Plane, painting: Plane])[],
  [a, b, tx, c, d, ty]: Affine,
): number {
  let rp = 0;
  let rr = 0;
  let pp = 0;
  for (const [{ width, height, data }, painting] of pairs) {
    const { width: across, height: down } = painting;
    // No pair of numbers is made for any place: this is asked thousands of times.
    for (let row = 0, i = 0; row < height; row++)
      for (let column = 0; column < width; column++, i++) {
        const x = (column + 0.5 - width / 2) / width;
        const y = (row + 0.5 - height / 2) / width;
        const u = (a * x + b * y + tx + 0.5) * across;
        const v = (c * x + d * y + ty) * across + down / 2;
        if (u < 0 || v < 0 || u > across || v > down) continue;
        const r = data[i] as number;
        const p = between(painting, u, v);
        rp += r * p;
        rr += r * r;
        pp += p * p;
      }
  }
  return rp / Math.sqrt(Math.max(1e-12, rr * pp));
}
