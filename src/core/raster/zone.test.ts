/** Places of things on small grids, against their definition. */
import fc from 'fast-check';
import { boxOfPlaces, shareBox } from './box-of-places';
import { depthsOf, maskOf, placesOfNumbers, zoneOf } from './zone';

const GRID = { width: 9, height: 7 };
const LENGTH = GRID.width * GRID.height;
const apart = (i: number, j: number) =>
  Math.hypot((i % GRID.width) - (j % GRID.width), Math.floor(i / GRID.width) - Math.floor(j / GRID.width));
const places = fc
  .uniqueArray(fc.integer({ min: 0, max: LENGTH - 1 }), { minLength: 1 })
  .map((own) => Int32Array.from(own).sort());

test('a zone holds what is within reach, and nothing else', () => {
  fc.assert(
    fc.property(places, fc.double({ min: 0, max: 4, noNaN: true }), (own, reach) => {
      const near = [...Array(LENGTH).keys()].filter((i) => own.some((j) => apart(i, j) <= reach));
      expect([...zoneOf(own, reach, GRID)]).toEqual(near);
    }),
  );
});

test('depths lead to the nearest place of the grid that is none of them', () => {
  fc.assert(
    fc.property(places, (own) => {
      const others = [...Array(LENGTH).keys()].filter((i) => !own.includes(i));
      const wanted = [...own].map((i) => Math.min(...others.map((j) => apart(i, j))));
      depthsOf(own, GRID).forEach((d, k) => expect(d).toBeCloseTo(wanted[k] as number));
    }),
  );
});

test('numbers give their places, and places their mask and box', () => {
  const numbers = Uint8Array.from({ length: LENGTH }, (_, i) => i % 4);
  const [ones, twos] = placesOfNumbers(numbers, 1, 2) as [Int32Array, Int32Array];
  expect([...ones].every((i) => i % 4 === 1)).toBe(true);
  expect(maskOf(twos, LENGTH).reduce((s, m) => s + m, 0)).toBe(twos.length);
  expect(boxOfPlaces(Int32Array.of(11, 29), GRID.width)).toEqual([2, 1, 3, 4]);
  expect(boxOfPlaces(new Int32Array(0), GRID.width)).toBeNull();
  expect(shareBox([0, 0, 9, 7], GRID)).toEqual({ x: 0, y: 0, width: 1, height: 1 });
});
