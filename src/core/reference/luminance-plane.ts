/** A picture's light at the size in which it is worked on. */
import { luminanceToLightness } from '../colour/lab';
import type { ColourMatrix } from '../colour/primaries';
import { srgbToLinear, type Triple } from '../colour/srgb';
import { LUMINANCE_WEIGHTS } from '../colour/xyz';
import { quickBlur, wideBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';

/** Longer side of what is prepared, and of what is compared with paintings, pixels. */
export const WORKING_PX = 1000;

/** What each linear channel of a picture adds to relative luminance. */
function weightsOf(primaries: ColourMatrix | null): Triple {
  if (!primaries) return LUMINANCE_WEIGHTS;
  const of = (channel: 0 | 1 | 2) =>
    LUMINANCE_WEIGHTS.reduce((sum, w, row) => sum + w * (primaries[row]?.[channel] ?? 0), 0);
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
        for (
          let u = xs[x] as number, p = photo.origin + v * photo.alongY + u * photo.alongX;
          u < (xs[x + 1] as number);
          u++, p += photo.alongX
        ) {
          sum +=
            wr * (linear[data[p] as number] as number) +
            wg * (linear[data[p + 1] as number] as number) +
            wb * (linear[data[p + 2] as number] as number);
          count++;
        }
      out[y * width + x] = sum / count;
    }
  return raster('linear', width, height, 1, out);
}

/** Relative luminance of a plane of linear sRGB. */
export function luminanceOf({ width, height, data }: Raster<'linear', 3>): Raster<'linear', 1> {
  const [r, g, b] = LUMINANCE_WEIGHTS;
  const out = new Float32Array(width * height);
  for (let i = 0, p = 0; i < out.length; i++, p += 3)
    out[i] = r * (data[p] as number) + g * (data[p + 1] as number) + b * (data[p + 2] as number);
  return raster('linear', width, height, 1, out);
}

/** L* from a table that is finer than anybody's eye: the power function alone takes a third of what a hand may wait. */
const FINE = 1 << 14;
let lightnessTable: Float32Array | null = null;
function quickLightness(y: number): number {
  lightnessTable ??= Float32Array.from({ length: FINE + 1 }, (_, i) => luminanceToLightness((i / FINE) ** 2));
  return lightnessTable[Math.round(Math.sqrt(Math.min(1, Math.max(0, y))) * FINE)] as number;
}

/**
 * L* after a squint, as narrowed eyes do: blurred in linear light by a Gaussian of so many percent of the longer side, 0 for
 * none. `quick` nearly so, in time that does not grow with it.
 */
export function softLightness(
  { width, height, data }: Raster<'linear', 1>,
  percent: number,
  quick = false,
): Raster<'lightness', 1> {
  const sigma = (percent / 100) * Math.max(width, height);
  const soft = sigma < 0.3 ? data : (quick ? quickBlur : wideBlur)(data, width, height, sigma);
  const out = new Float32Array(soft.length);
  for (let i = 0; i < out.length; i++) out[i] = quickLightness(soft[i] as number);
  return raster('lightness', width, height, 1, out);
}
