/** Lines of a known strength and width, whichever way they run, through grain that hides a single crossing. */
import { coverOf } from '@/devices/accents';
import { chance } from '@/devices/random';
import type { Plane } from '../../raster/between';
import { crossingsOf, sectionOf, strayed } from './line-section';

const SIZE = 320;
const GROUND = 60;

/** A straight line through the middle: `wide` places, `by` L* off its ground, at an angle in degrees, `off` places to a side. */
function planeWith({
  wide,
  by,
  angle,
  off = 0,
  grain = 0,
}: Record<'wide' | 'by' | 'angle', number> & { off?: number; grain?: number }): Plane {
  const turn = (angle * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const at = (along: number): readonly [number, number] => [along * c - (off / SIZE) * s, along * s + (off / SIZE) * c];
  const cover = coverOf({ line: [at(-0.12), at(0.12)], wide: wide / SIZE, by }, 1 / SIZE);
  const own = chance(9).fork('grain');
  const data = Float32Array.from({ length: SIZE * SIZE }, (_, i) => {
    const [x, y] = [((i % SIZE) + 0.5) / SIZE - 0.5, (Math.floor(i / SIZE) + 0.5) / SIZE - 0.5];
    return GROUND + by * cover(x, y) + grain * own.gauss();
  });
  return { width: SIZE, height: SIZE, data };
}

/** How much each place stands out, and the places that do by a third of the line. */
function lineOf(plane: Plane, by: number) {
  const out = { ...plane, data: plane.data.map((l) => Math.max(0, Math.sign(by) * (l - GROUND))) };
  const places = Int32Array.from([...out.data.keys()].filter((i) => (out.data[i] as number) > Math.abs(by) / 3));
  return { out, places };
}

test.each([0, 17, 45, 90, 133])(
  'what a line is across itself does not hang on which way it runs: %i degrees',
  (angle) => {
    for (const [wide, by] of [
      [3, -25],
      [4, 20],
    ] as const) {
      const plane = planeWith({ wide, by, angle });
      const { out, places } = lineOf(plane, by);
      const section = sectionOf(crossingsOf(places, out), plane, by > 0);
      expect(Math.abs((section?.mass ?? 0) / Math.abs(wide * by) - 1)).toBeLessThan(0.12);
      expect(Math.abs((section?.peak ?? 0) / Math.abs(by) - 1)).toBeLessThan(0.12);
    }
  },
);

test('a line half as wide has half as much in all and nearly the strength; a weak one has half of both, grain and all', () => {
  const wanted = planeWith({ wide: 4, by: -24, angle: 30 });
  const { out, places } = lineOf(wanted, -24);
  const crossings = crossingsOf(places, out);
  const whole = sectionOf(crossings, wanted, false);
  const [thin, weak] = [
    { wide: 2, by: -24 },
    { wide: 4, by: -12 },
  ].map((how) => {
    const clean = planeWith({ ...how, angle: 30, off: 2 });
    const there = strayed(crossings, lineOf(clean, how.by).out, 4);
    const own = sectionOf(there, planeWith({ ...how, angle: 30, off: 2, grain: 3 }), false);
    return { mass: (own?.mass ?? 0) / (whole?.mass ?? 1), peak: (own?.peak ?? 0) / (whole?.peak ?? 1) };
  });
  expect(thin?.mass).toBeGreaterThan(0.38);
  expect(thin?.mass).toBeLessThan(0.65);
  expect(thin?.peak).toBeGreaterThan(0.75);
  expect(weak?.mass).toBeGreaterThan(0.38);
  expect(weak?.mass).toBeLessThan(0.65);
  expect(weak?.peak).toBeLessThan(0.62);
});

test('what is crossed too seldom has no section', () => {
  const plane = planeWith({ wide: 3, by: -20, angle: 0 });
  expect(sectionOf(crossingsOf(Int32Array.from([5 * SIZE + 5]), plane), plane, false)).toBeNull();
});
