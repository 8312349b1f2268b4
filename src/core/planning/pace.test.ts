/** The estimate of how long the rest of an evening takes. */
import fc from 'fast-check';
import { minutesLeft } from './pace';

const MINUTE = 60_000;
const every = (n: number, ms: number) => Array.from({ length: n }, (_, i) => 1_000_000 + i * ms);

test('as long for each as the last ones took', () => {
  expect(minutesLeft(every(6, MINUTE / 2), 20)).toBeCloseTo(10);
  expect(minutesLeft(every(6, MINUTE / 2), 0)).toBe(0);
});

test('too few decisions are no ground to guess on', () => {
  expect(minutesLeft([], 10)).toBeNull();
  expect(minutesLeft(every(3, MINUTE), 10)).toBeNull();
});

test('a break does not count, and neither does a single hand-in that took long', () => {
  const quick = every(5, MINUTE / 2);
  const last = quick.at(-1) ?? 0;
  const tea = [...quick, last + 40 * MINUTE, last + 40.5 * MINUTE];
  expect(minutesLeft(tea, 10)).toBeCloseTo(5);
  expect(minutesLeft([...quick, last + 4 * MINUTE], 10)).toBeCloseTo(5);
});

test('the newest count, in whichever order they are given', () => {
  const slow = every(20, 2 * MINUTE);
  const begin = slow.at(-1) ?? 0;
  const quick = Array.from({ length: 15 }, (_, i) => begin + (i + 1) * MINUTE);
  expect(minutesLeft([...quick, ...slow].reverse(), 6)).toBeCloseTo(6);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 3_600_000 }), { maxLength: 40 }), (moments) => {
      const one = minutesLeft(moments, 7);
      expect(minutesLeft([...moments].sort(), 7)).toBe(one);
      if (one !== null) expect(one).toBeGreaterThanOrEqual(0);
    }),
  );
});
