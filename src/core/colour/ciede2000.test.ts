import { differenceCiede2000, lab65 as toLab65 } from 'culori';
import fc from 'fast-check';
import { ciede2000 } from './ciede2000';
import { linearRgbToLab } from './lab';
import { srgbToLinear, type Triple } from './srgb';

/** G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 color-difference formula", Color Research and Application 30 (2005), table 1. */
const PUBLISHED: readonly (readonly [Triple, Triple, number])[] = [
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
  [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
  [[50, -1.1848, -84.8006], [50, 0, -82.7485], 1],
  [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, -1, 2], [50, 0, 0], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.001], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
  [[50, 2.49, -0.001], [50, -2.49, 0.0012], 7.2195],
  [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.001, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[50, 2.5, 0], [61, -5, 29], 22.8977],
  [[50, 2.5, 0], [56, -27, -3], 31.903],
  [[50, 2.5, 0], [58, 24, 15], 19.4535],
  [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
  [[50, 2.5, 0], [50, 3.2972, 0], 1],
  [[50, 2.5, 0], [50, 1.8634, 0.5757], 1],
  [[50, 2.5, 0], [50, 3.2592, 0.335], 1],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
  [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
  [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
  [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
  [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
  [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
  [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
  [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
];

test.each(PUBLISHED)('%j and %j differ as published', (a, b, published) => {
  expect(ciede2000(a, b)).toBeCloseTo(published, 4);
  expect(ciede2000(b, a)).toBeCloseTo(published, 4);
});

const channel = fc.double({ min: 0, max: 1, noNaN: true });
const lab = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -80, max: 80, noNaN: true }),
  fc.double({ min: -80, max: 80, noNaN: true }),
);

test('an independent library gives the same differences', () => {
  const theirs = differenceCiede2000();
  const asTheirs = ([l, a, b]: Triple) => ({ mode: 'lab65', l, a, b }) as const;
  fc.assert(fc.property(lab, lab, (p, q) => Math.abs(ciede2000(p, q) - theirs(asTheirs(p), asTheirs(q))) < 1e-6));
});

test('an independent library gives the same L*a*b* of sRGB, but for its rounded white and matrix', () => {
  fc.assert(
    fc.property(channel, channel, channel, (r, g, b) => {
      const theirs = toLab65({ mode: 'rgb', r, g, b });
      const ours = linearRgbToLab([srgbToLinear(r), srgbToLinear(g), srgbToLinear(b)]);
      expect(Math.abs(ours[0] - (theirs?.l ?? NaN))).toBeLessThan(0.01);
      expect(Math.abs(ours[1] - (theirs?.a ?? NaN))).toBeLessThan(0.05);
      expect(Math.abs(ours[2] - (theirs?.b ?? NaN))).toBeLessThan(0.05);
    }),
  );
});
