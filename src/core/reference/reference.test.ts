/** From a picture to what a class paints from: its light, its squint, its values in paint. */
import fc from 'fast-check';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { linearToCode, srgbToLinear } from '../colour/srgb';
import { type Orientation, uprightPhoto } from '../raster/photo';
import { raster } from '../raster/raster';
import { luminancePlane, softLightness } from './luminance-plane';
import { valueMap, valueSpan } from './value-map';

const ends = { light: 95, dark: 24 };

test('a squint of black and white stripes fuses to the lightness of their mean light', () => {
  const [width, height] = [400, 300];
  const code = (l: number) => linearToCode(lightnessToLuminance(l));
  const codes = new Uint8Array(3 * width * height);
  for (let i = 0; i < width * height; i++)
    codes.fill(code(Math.floor((i % width) / 2) % 2 === 0 ? 95 : 20), 3 * i, 3 * i + 3);
  const soft = softLightness(luminancePlane(uprightPhoto(raster('srgb8', width, height, 3, codes))), 1);
  const light = [95, 20].map((l) => srgbToLinear(code(l) / 255));
  const mean = luminanceToLightness(((light[0] ?? 0) + (light[1] ?? 0)) / 2);
  expect(mean).toBeGreaterThan(72);
  for (const [x, y] of [
    [200, 150],
    [60, 40],
    [340, 250],
  ] as const)
    expect(soft.data[y * width + x]).toBeCloseTo(mean, 0);
});

test('a picture made smaller keeps its mean light, whichever way up it is stored', () => {
  const codes = Uint8Array.from({ length: 3 * 60 * 40 }, (_, i) => (i * 37) % 251);
  const mean = (orientation: Orientation) => {
    const { data, width, height } = luminancePlane(uprightPhoto(raster('srgb8', 60, 40, 3, codes), orientation), 20);
    expect(Math.max(width, height)).toBe(20);
    return data.reduce((a, b) => a + b, 0) / data.length;
  };
  const all = luminancePlane(uprightPhoto(raster('srgb8', 60, 40, 3, codes)), 1000).data;
  const whole = all.reduce((a, b) => a + b, 0) / all.length;
  for (const orientation of [1, 3, 6, 8] as const) expect(mean(orientation)).toBeCloseTo(whole, 2);
});

test('mapped values keep their order and reach exactly the ends, whatever key and push', () => {
  const lightness = fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 2, maxLength: 40 });
  fc.assert(
    fc.property(
      lightness,
      fc.integer({ min: 0, max: 50 }),
      fc.constantFrom('full', 'high', 'middle', 'low'),
      (values, pushPercent, key) => {
        fc.pre(Math.max(...values) - Math.min(...values) > 1);
        const plane = Float32Array.from(values);
        const map = valueMap(valueSpan(plane), { ends, key, pushPercent });
        const mapped = [...plane].sort((a, b) => a - b).map(map.of);
        for (let i = 1; i < mapped.length; i++) expect(mapped[i]!).toBeGreaterThanOrEqual(mapped[i - 1]!);
        expect(mapped[0]).toBeCloseTo(map.ends.dark, 9);
        expect(mapped.at(-1)).toBeCloseTo(map.ends.light, 9);
        if (key === 'full') expect(map.ends).toEqual(ends);
      },
    ),
  );
});

test('a picture of one tone comes to lie in the middle of what paint reaches', () => {
  const map = valueMap(valueSpan(new Float32Array(9).fill(31)), { ends, key: 'full', pushPercent: 0 });
  expect(map.of(31)).toBe(59.5);
});
