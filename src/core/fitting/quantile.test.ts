import fc from 'fast-check';
import { median, quantile } from './quantile';

test('a share of the numbers, and no more, lies below', () => {
  const numbers = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 1, maxLength: 60 });
  fc.assert(
    fc.property(numbers, fc.double({ min: 0, max: 1, noNaN: true }), (values, share) => {
      const at = quantile(values, share);
      expect(values).toContain(at);
      expect(values.filter((v) => v < at).length).toBeLessThanOrEqual(share * values.length);
      expect(values.filter((v) => v <= at).length).toBeGreaterThanOrEqual(Math.min(1, share) * values.length);
    }),
  );
});

test('the numbers stay in the order in which they were given', () => {
  const values = [3, 1, 2];
  expect(median(values)).toBe(2);
  expect(values).toEqual([3, 1, 2]);
});

test('of two the upper stands in the middle, and none have nothing', () => {
  expect(median([1, 4])).toBe(4);
  expect(median([])).toBe(0);
  expect(quantile([5, 6, 7], 1)).toBe(7);
});
