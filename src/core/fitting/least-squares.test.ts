import fc from 'fast-check';
import { Matrix } from 'ml-matrix';
import { innerProducts, leastSquares } from './least-squares';

const columns = (n: number, rows: number, entry: fc.Arbitrary<number>) =>
  fc.array(fc.array(entry, { minLength: rows, maxLength: rows }), { minLength: n, maxLength: n });

/** A line through points, of which some may lie: how high at the left, how steep. */
function line(points: readonly (readonly [number, number])[], softScale: number) {
  return leastSquares({
    start: [0, 0],
    residuals: points.length,
    evaluate: ([height, slope], out) =>
      points.forEach(([x, y], i) => (out[i] = (height as number) + (slope as number) * x - y)),
    softScale,
    robustCount: points.length,
    maxIterations: 60,
  });
}

test('inner products are those of the matrices, whatever the number of columns', () => {
  const entry = fc.double({ min: -10, max: 10, noNaN: true });
  const sizes = fc.tuple(fc.integer({ min: 1, max: 11 }), fc.integer({ min: 1, max: 7 }));
  fc.assert(
    fc.property(
      sizes.chain(([n, rows]) => columns(n, rows, entry)),
      (left) => {
        const weighted = left.map((column) => column.map((v, i) => v * (i + 1)));
        const wanted = new Matrix(weighted).mmul(new Matrix(left).transpose());
        const found = innerProducts(
          weighted.map((c) => Float64Array.from(c)),
          left.map((c) => Float64Array.from(c)),
        );
        expect(Matrix.sub(found, wanted).norm()).toBeLessThan(1e-8);
      },
    ),
  );
});

test('a line is found, whichever it is', () => {
  const number = fc.double({ min: -5, max: 5, noNaN: true });
  fc.assert(
    fc.property(number, number, (height, slope) => {
      const points = [0, 1, 2, 3, 4, 5].map((x) => [x, height + slope * x] as const);
      const fit = line(points, 1);
      expect(fit.parameters[0]).toBeCloseTo(height, 3);
      expect(fit.parameters[1]).toBeCloseTo(slope, 3);
    }),
  );
});

test('two points that lie pull a robust line much less than a plain one', () => {
  const points = Array.from({ length: 20 }, (_, x) => [x, 2 + 0.5 * x + (x === 4 || x === 15 ? 40 : 0)] as const);
  const robust = line(points, 0.05);
  const plain = line(points, 1e6);
  const off = (fit: typeof robust) => Math.abs((fit.parameters[0] as number) - 2);
  expect(off(robust)).toBeLessThan(0.1);
  expect(off(plain)).toBeGreaterThan(2);
});

test('a problem with nothing to gain gives back where it began', () => {
  const fit = leastSquares({
    start: [7],
    residuals: 1,
    evaluate: (_, out) => out.fill(3),
    softScale: 1,
    robustCount: 0,
    maxIterations: 20,
  });
  expect([...fit.parameters]).toEqual([7]);
  expect(fit.cost).toBe(9);
});
