/** How much of the places about an edge one of two shapes has by value, on planes where that is known. */
import type { Plane } from '../../raster/between';
import { divided } from './divided';

const [WIDTH, HEIGHT, AT] = [320, 200, 160];

const plane = (of: (x: number) => number): Plane => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => of((i % WIDTH) + 0.5)),
});
const places = (of: (x: number) => boolean) =>
  Int32Array.from(Array.from({ length: WIDTH * HEIGHT }).flatMap((_, i) => (of(i % WIDTH) ? [i] : [])));
const [light, shadow] = [places((x) => x < AT), places((x) => x >= AT)];
const soft = (at: number, wide: number) => (x: number) => 40 + 40 / (1 + Math.exp((x - at) / wide));

test.each([3, -4])('an edge that lies %f places further is so many places a row', (by) => {
  const { taken, usual } = divided(light, shadow, plane(soft(AT, 1)), plane(soft(AT + by, 1)));
  expect((taken ?? NaN) / HEIGHT).toBeCloseTo(by, 0);
  usual.painted.forEach((l, side) => expect(l).toBeCloseTo(usual.wanted[side] ?? NaN, 0));
});

test('another value on one side, or on both, takes nothing over', () => {
  const wanted = plane(soft(AT, 4));
  const lit = plane((x) => soft(AT, 4)(x) + (x < AT ? 15 : 0));
  const flat = plane((x) => 55 + 0.5 * (soft(AT, 4)(x) - 60));
  for (const painted of [lit, flat])
    expect(Math.abs(divided(light, shadow, wanted, painted).taken ?? NaN) / HEIGHT).toBeLessThan(0.7);
  const { usual } = divided(light, shadow, wanted, lit);
  expect(usual.painted[0] - usual.wanted[0]).toBeCloseTo(15, 0);
  expect(usual.painted[1] - usual.wanted[1]).toBeCloseTo(0, 0);
});

test('sides that are alike take nothing from each other, and a thin one is as light as all of it', () => {
  const even = plane(() => 60);
  expect(divided(light, shadow, even, even).taken).toBeNull();
  const thin = places((x) => x >= AT && x < AT + 3);
  const wanted = plane((x) => (x < AT ? 80 : 40));
  const painted = plane((x) => (x < AT ? 80 : 52));
  expect(divided(light, thin, wanted, painted).usual).toEqual({ wanted: [80, 40], painted: [80, 52] });
});
