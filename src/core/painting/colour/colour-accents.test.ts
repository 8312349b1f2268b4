/** Colour in paintings of one hue, on planes that are known; on photographs the bench's own test does it. */
import { labToLinearRgb } from '../../colour/lab';
import type { Triple } from '../../colour/srgb';
import { raster } from '../../raster/raster';
import { colourAccents } from './colour-accents';
import { channelsOf } from './colour-planes';

const [WIDTH, HEIGHT] = [120, 90];
/** Greys that go over from dark to light, warm in the middle as umber is. */
const umber = (x: number): Triple => [
  20 + (70 * x) / WIDTH,
  6 * Math.sin((Math.PI * x) / WIDTH),
  12 * Math.sin((Math.PI * x) / WIDTH),
];
const inBox = (x: number, y: number) => x >= 80 && x < 96 && y >= 20 && y < 34;
const painting = (of: (x: number, y: number) => Triple) => {
  const data = new Float32Array(3 * WIDTH * HEIGHT);
  for (let i = 0; i < WIDTH * HEIGHT; i++) data.set(labToLinearRgb(of(i % WIDTH, Math.floor(i / WIDTH))), 3 * i);
  return channelsOf(raster('linear', WIDTH, HEIGHT, 3, data), (plane) => plane);
};

test('one hue that is warm in the middle and cold at its ends has no accent', () => {
  expect(colourAccents(painting(umber))).toEqual([]);
});

test('a red scarf in it is one, with where it is and how far it stands out', () => {
  const [scarf, ...more] = colourAccents(painting((x, y) => (inBox(x, y) ? [50, 48, 30] : umber(x))));
  expect(more).toEqual([]);
  expect(scarf?.box.x).toBeCloseTo(80 / WIDTH, 1);
  expect(scarf?.box.width).toBeCloseTo(16 / WIDTH, 1);
  expect(scarf?.off).toBeGreaterThan(30);
});

test('a quiet warm grey is none, and a painting in many colours has none', () => {
  expect(colourAccents(painting((x, y) => (inBox(x, y) ? [50, 8, 18] : umber(x))))).toEqual([]);
  const bands: Triple[] = [
    [60, 40, 20],
    [55, -40, 25],
    [50, 5, -45],
    [70, 5, 50],
  ];
  expect(colourAccents(painting((_, y) => bands[Math.floor((4 * y) / HEIGHT)] as Triple))).toEqual([]);
});
