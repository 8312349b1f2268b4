/** Colours on the places of a grid, channel by channel: what is averaged of them is averaged in linear light. */
import { filledFrom } from '../../raster/filled-from';
import { linearRgbToLab } from '../../colour/lab';
import type { Triple } from '../../colour/srgb';
import type { Plane } from '../../raster/between';
import { gaussianBlur } from '../../raster/blur';
import type { Raster } from '../../raster/raster';

/** Linear red, green and blue; NaN where nothing is known. */
export type ColourPlanes = readonly [red: Plane, green: Plane, blue: Plane];

/** A picture's channels, each by itself, and as `made` makes them. */
export function channelsOf({ width, height, data }: Raster<'linear', 3>, made: (plane: Plane) => Plane): ColourPlanes {
  const channel = (c: 0 | 1 | 2) =>
    made({ width, height, data: Float32Array.from({ length: width * height }, (_, i) => data[3 * i + c] as number) });
  return [channel(0), channel(1), channel(2)];
}

/** L*a*b* of one place. */
export const labAt = ([red, green, blue]: ColourPlanes, i: number): Triple =>
  linearRgbToLab([red.data[i] as number, green.data[i] as number, blue.data[i] as number]);

/** L*a*b* of the mean of some places; null where nothing is known of any. */
export function labOver([red, green, blue]: ColourPlanes, places: Int32Array): Triple | null {
  const sum: [number, number, number] = [0, 0, 0];
  let n = 0;
  for (const i of places) {
    const own = [red.data[i] as number, green.data[i] as number, blue.data[i] as number] as const;
    if (Number.isNaN(own[0])) continue;
    n++;
    for (const c of [0, 1, 2] as const) sum[c] += own[c];
  }
  return n === 0 ? null : linearRgbToLab([sum[0] / n, sum[1] / n, sum[2] / n]);
}

/** The same where nothing is unknown: what is not known of one is as it is in the other. */
export const coloursFilledFrom = (planes: ColourPlanes, other: ColourPlanes): ColourPlanes =>
  planes.map((plane, c) => filledFrom(plane, other[c] as Plane)) as unknown as ColourPlanes;

/** Squinted at by so many places. */
export const softColours = (planes: ColourPlanes, sigma: number): ColourPlanes =>
  planes.map((plane) => ({
    ...plane,
    data: gaussianBlur(plane.data, plane.width, plane.height, sigma),
  })) as unknown as ColourPlanes;

/** L*, a* and b* of every place, squinted at so far that strokes fuse; NaN where nothing is known. */
export function labPlanes(planes: ColourPlanes): readonly [l: Plane, a: Plane, b: Plane] {
  const soft = softColours(planes, 1);
  const { width, height, data } = soft[0];
  const [l, a, b] = [0, 1, 2].map(() => new Float32Array(data.length)) as [Float32Array, Float32Array, Float32Array];
  for (let i = 0; i < data.length; i++) [l[i], a[i], b[i]] = labAt(soft, i);
  return [
    { width, height, data: l },
    { width, height, data: a },
    { width, height, data: b },
  ];
}
