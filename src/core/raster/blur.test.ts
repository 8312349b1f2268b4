import fc from 'fast-check';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { blockMeans, gaussianBlur, quickBlur, wideBlur } from './blur';

const plane = (width: number, height: number, at: (x: number, y: number) => number) =>
  Float32Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width)));

test('a flat plane stays flat, and light is neither made nor lost', () => {
  for (const v of gaussianBlur(
    plane(20, 10, () => 0.4),
    20,
    10,
    2,
  ))
    expect(v).toBeCloseTo(0.4, 6);
  const dot = gaussianBlur(
    plane(41, 41, (x, y) => (x === 20 && y === 20 ? 1 : 0)),
    41,
    41,
    3,
  );
  expect(dot.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 5);
  expect(dot[20 * 41 + 23]).toBeCloseTo(dot[23 * 41 + 20] ?? 0, 8);
});

test('its width is the one asked for', () => {
  for (const sigma of [0.8, 1.5, 3]) {
    const n = 61;
    const line = gaussianBlur(
      plane(n, 1, (x) => (x === 30 ? 1 : 0)),
      n,
      1,
      sigma,
    );
    const variance = line.reduce((s, v, x) => s + v * (x - 30) ** 2, 0);
    expect(Math.sqrt(variance)).toBeCloseTo(sigma, 1);
  }
});

test('squinting fuses light, not lightness: stripes of 95 and 20 come to 73', () => {
  const stripes = gaussianBlur(
    plane(200, 1, (x) => lightnessToLuminance(x % 2 ? 95 : 20)),
    200,
    1,
    6,
  );
  expect(luminanceToLightness(stripes[100] ?? 0)).toBeCloseTo(73, 0);
});

test('means over blocks drop what is left over and keep the mean', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 4, max: 20 }),
      fc.integer({ min: 4, max: 20 }),
      (factor, w, h) => {
        const { data, width, height } = blockMeans(
          plane(w, h, (x) => x),
          w,
          h,
          factor,
        );
        expect([width, height]).toEqual([Math.floor(w / factor), Math.floor(h / factor)]);
        expect(data[0]).toBeCloseTo((factor - 1) / 2, 5);
      },
    ),
  );
});

test('quick blurs are near the exact one, whatever their width', () => {
  const [width, height] = [120, 90];
  const blobs = plane(width, height, (x, y) => (Math.hypot(x - 40, y - 40) < 22 || (x > 70 && y > 50) ? 0.9 : 0.05));
  for (const sigma of [1, 3, 5, 9, 14]) {
    const exact = gaussianBlur(blobs, width, height, sigma);
    const off = (other: Float32Array) =>
      exact.reduce((most, v, i) => Math.max(most, Math.abs(v - (other[i] as number))), 0);
    expect(off(wideBlur(blobs, width, height, sigma))).toBeLessThan(0.012);
    expect(off(quickBlur(blobs, width, height, sigma))).toBeLessThan(0.04);
  }
  expect(quickBlur(blobs, width, height, 0)).toBe(blobs);
});
