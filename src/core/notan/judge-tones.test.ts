/** A painting judged against its reference, and again once a reading is accepted. */
import { raster } from '../raster/raster';
import type { TonePlane } from '../tones/compare-tones';
import { flippedShapes } from '../tones/compare-tones';
import { massSchema } from '../tones/mass';
import { seamsBetween } from '../tones/seams';
import { judgeTones, withReadings } from './judge-tones';

const [width, height] = [200, 160];
const plane = (at: (x: number, y: number) => number): TonePlane => ({
  width,
  height,
  toneOf: Uint8Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width))),
});
const inside = (x: number, y: number, x0: number, y0: number, side: number) =>
  x >= x0 && x < x0 + side && y >= y0 && y < y0 + side;
/** Two dark squares in the light; the right one was lost in the painting, and a third one was painted. */
const reference = plane((x, y) => (inside(x, y, 20, 30, 50) || inside(x, y, 120, 30, 40) ? 2 : 1));
const drawn = plane((x, y) => (inside(x, y, 20, 30, 50) || inside(x, y, 100, 100, 30) ? 2 : 1));

test('a lost shape that is accepted counts as right: agreement, shares and regions follow, other faults stay', () => {
  const before = judgeTones(drawn, reference, 2);
  expect(before.regions.map((r) => [r.drawn, r.wanted])).toEqual([
    [1, 2],
    [2, 1],
  ]);
  const { regionOf } = flippedShapes(drawn, reference, { x: 0, y: 0 });
  const lost = { places: Uint8Array.from(regionOf, (r) => (r === 1 ? 1 : 0)), tone: 1 };
  const after = judgeTones(drawn, reference, 2, [lost]);
  expect(after.regions.map((r) => [r.drawn, r.wanted])).toEqual([[2, 1]]);
  expect(after.agreement! - before.agreement!).toBeCloseTo(1600 / (width * height), 2);
  expect(after.referenceShares[1]).toBeCloseTo(2500 / (width * height), 2);
});

test('a reading is no order: who painted the shape as the reference has it is right too', () => {
  const places = plane((x, y) => (inside(x, y, 120, 30, 40) ? 1 : 0)).toneOf;
  const judged = judgeTones(reference, reference, 2, [{ places, tone: 1 }]);
  expect(judged.agreement).toBe(1);
  expect(judged.regions).toEqual([]);
});

test('a reading moves with a painting that sits a little off', () => {
  const shift = { x: 5, y: 0 };
  const moved = plane((x, y) => (x < 5 ? 1 : (drawn.toneOf[y * width + x - 5] as number)));
  const places = plane((x, y) => (inside(x, y, 120, 30, 40) ? 1 : 0)).toneOf;
  const wanted = withReadings(moved, reference, shift, [{ places, tone: 1 }]);
  expect(wanted.toneOf[50 * width + 140]).toBe(1);
});

test('a region is called by the named shape that most of it lies in, and weighs as that does', () => {
  const nameOf = plane((x) => (x > 100 ? 1 : 0)).toneOf;
  const judged = judgeTones(drawn, reference, 2, [], {
    nameOf,
    names: [massSchema.parse({ name: 'jug > shadow', emphasis: 2 })],
  });
  expect(judged.regions[0]).toMatchObject({ shape: 'jug > shadow', emphasis: 2 });
  for (const ring of judged.regions[0]?.outline ?? [])
    for (const [x, y] of ring) expect(x >= 0.59 && x <= 0.81 && y >= 0.18 && y <= 0.45).toBe(true);
});

test('what the reference leaves open is asked of nobody', () => {
  const open = { ...reference, toneOf: reference.toneOf.map((t, i) => (i % width > 90 ? 0 : t)) };
  const judged = judgeTones(drawn, open, 2);
  expect(judged.agreement).toBe(1);
  expect(judged.referenceShares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
});

test('seams with a light gap between two darks are told from seams that meet', () => {
  const tones = plane((x) => (x < 100 ? 2 : 3)).toneOf;
  const at = (gap: boolean) =>
    raster(
      'lightness',
      width,
      height,
      1,
      Float32Array.from({ length: width * height }, (_, i) =>
        gap && Math.abs((i % width) - 100) < 2 ? 80 : i % width < 100 ? 50 : 25,
      ),
    );
  expect(seamsBetween(at(false), tones, [90, 50, 25])).toBe(1);
  expect(seamsBetween(at(true), tones, [90, 50, 25])).toBe(0);
  expect(seamsBetween(at(false), new Uint8Array(width * height).fill(1), [90])).toBeNull();
});
