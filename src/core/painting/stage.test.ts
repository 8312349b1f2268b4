/** Questions of stages on flat parts whose values are known. */
import { readParts } from './values/read-parts';
import { massesApart, swappedParts, unevennessOf } from './stage';

const [WIDTH, HEIGHT] = [120, 90];
/** Three upright bands. */
const bands = (...values: readonly number[]) => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => values[Math.floor((i % WIDTH) / 40)] as number),
});
const wanted = bands(85, 60, 30);

test('a stain is as uneven as its patches, and not as its brush', () => {
  const brushed = bands(60, 60, 60);
  brushed.data.forEach((l, i) => (brushed.data[i] = l + (i % 2 === 0 ? 4 : -4)));
  expect(unevennessOf(brushed)).toBeLessThan(1);
  expect(unevennessOf(bands(66, 60, 54))).toBeGreaterThan(9);
});

test('two masses are as far apart as the darkest light and the lightest dark', () => {
  expect(massesApart(wanted, bands(80, 80, 30), 5)).toBeCloseTo(50);
  expect(massesApart(wanted, bands(80, 40, 55), 5)).toBeCloseTo(-15);
});

test('parts in another order than the reference has them are told, the plainest first', () => {
  const swapped = (painted: ReturnType<typeof bands>) => swappedParts(readParts(wanted, painted), 9);
  expect(swapped(bands(80, 65, 40))).toEqual([]);
  expect(swapped(bands(62, 60, 50))).toEqual([]);
  const told = swapped(bands(60, 75, 30));
  expect(told).toHaveLength(1);
  expect([told[0]?.lighter.x, told[0]?.by]).toEqual([0, 15]);
});
