/** A picture's light at the size in which it is worked on. */
import type { ColourMatrix } from '../colour/primaries';
import { luminanceToLightness } from '../colour/lab';
import { srgbToLinear, type Triple } from '../colour/srgb';
import { LUMINANCE_WEIGHTS } from '../colour/xyz';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';

/** Longer side of what is prepared, and of what is compared with paintings, pixels. */
export const WORKING_PX = 1000;

/** What each linear channel of a picture adds to relative luminance. */
function weightsOf(primaries: ColourMatrix | null): Triple {
  if (!primaries) return LUMINANCE_WEIGHTS;
  const of = (channel: 0 | 1 | 2) => LUMINANCE_WEIGHTS.reduce((sum, w, row) => sum + w * (primaries[row]?.[channel] ?? 0), 0);
  return [of(0), of(1), of(2)];
}

/** Relative luminance, each place the mean in linear light of what it covers; never larger than the picture itself. */
export function luminancePlane(photo: Photo, longSide = WORKING_PX): Raster<'linear', 1> {
  const scale = Math.min(1, longSide / Math.max(photo.width, photo.height));
  const [width, height] = [Math.max(1, Math.round(photo.width * scale)), Math.max(1, Math.round(photo.height * scale))];
  const linear = Float64Array.from({ length: 256 }, (_, code) => srgbToLinear(code / 255));
  const [wr, wg, wb] = weightsOf(photo.primaries);
  const data = photo.stored.data;
  const bounds = (n: number, of: number) => Int32Array.from({ length: n + 1 }, (_, i) => Math.round((i * of) / n));
  const [xs, ys] = [bounds(width, photo.width), bounds(height, photo.height)];
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [sum, count] = [0, 0];
      for (let v = ys[y] as number; v < (ys[y + 1] as number); v++)
        for (let u = xs[x] as number, p = photo.origin + v * photo.alongY + u * photo.alongX; u < (xs[x + 1] as number); u++, p += photo.alongX) {
          sum += wr * (linear[data[p] as number] as number) + wg * (linear[data[p + 1] as number] as number) + wb * (linear[data[p + 2] as number] as number);
          count++;
        }
      out[y * width + x] = sum / count;
    }
  return raster('linear', width, height, 1, out);
}

/** Blurred as narrowed eyes do: in linear light, by a Gaussian of so many percent of the longer side. 0 leaves it as it is. */
export function squinted(plane: Raster<'linear', 1>, percent: number): Raster<'linear', 1> {
  if (percent <= 0) return plane;
  const { width, height, data } = plane;
  return raster('linear', width, height, 1, gaussianBlur(data, width, height, (percent / 100) * Math.max(width, height)));
}

/** L* of a plane of linear light. */
export function lightnessOf({ width, height, data }: Raster<'linear', 1>): Raster<'lightness', 1> {
  return raster('lightness', width, height, 1, data.map((y) => luminanceToLightness(y)));
}
