import fc from 'fast-check';
import { curveAt, curveDerivatives, curveTable, KNOTS, lastKnotOf, tablePlace } from './knotted-curve';

const slopes = fc.array(fc.double({ min: -2, max: 2, noNaN: true }), {
  minLength: KNOTS.length,
  maxLength: KNOTS.length,
});
const moved = (all: readonly number[], knot: number, by: number) => all.map((s, k) => (k === knot ? s + by : s));

test('the curve rises, whatever its slopes are', () => {
  fc.assert(
    fc.property(slopes, (all) => {
      const table = curveTable(all);
      for (let i = 1; i < table.length; i++) expect(table[i]).toBeGreaterThan(table[i - 1] as number);
    }),
  );
});

test('with slopes of nothing it is the identity', () => {
  const table = curveTable(KNOTS.map(() => 0));
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (u) => {
      expect(curveAt(table, tablePlace(u))).toBeCloseTo(u, 9);
    }),
  );
});

test('its derivatives are what differences say', () => {
  const step = 1e-5;
  fc.assert(
    fc.property(slopes, fc.integer({ min: 0, max: KNOTS.length - 1 }), (all, knot) => {
      const derivative = curveDerivatives(all)[knot] as Float64Array;
      const [above, below] = [curveTable(moved(all, knot, step)), curveTable(moved(all, knot, -step))];
      derivative.forEach((d, i) => {
        expect(d).toBeCloseTo(((above[i] as number) - (below[i] as number)) / (2 * step), 5);
      });
    }),
  );
});

test('no knot after the last one told has a part in the curve there', () => {
  const flat = KNOTS.map(() => 0);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (u) => {
      const place = tablePlace(u);
      const last = lastKnotOf(place);
      const at = (knot: number) => curveAt(curveTable(moved(flat, knot, 1)), place);
      for (let knot = last + 1; knot < KNOTS.length; knot++) expect(at(knot)).toBeCloseTo(u, 9);
    }),
  );
});
