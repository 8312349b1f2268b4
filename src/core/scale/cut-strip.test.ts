import { bestCuts } from './cut-strip';
import { placeAmong, whatChip } from './read-chips';

const profileOf = (parts: readonly (readonly [length: number, lightness: number])[]) =>
  Float64Array.from(parts.flatMap(([n, l]) => Array.from({ length: n }, () => l)));

test('unequal steps are cut where they meet', () => {
  expect(
    bestCuts(
      profileOf([
        [30, 90],
        [55, 70],
        [40, 52],
        [35, 25],
      ]),
      4,
    ),
  ).toEqual([0, 30, 85, 125, 160]);
});

test('the best of all cuts: as good as trying each of three', () => {
  const profile = Float64Array.from(
    { length: 36 },
    (_, i) => 90 - (i < 14 ? 0 : i < 25 ? 30 : 55) + 6 * Math.sin(i * 2.3),
  );
  const cost = (cuts: readonly number[]) =>
    cuts.slice(1).reduce((sum, to, k) => {
      const part = profile.subarray(cuts[k], to);
      const mean = part.reduce((a, b) => a + b, 0) / part.length;
      return sum + part.reduce((a, v) => a + (v - mean) ** 2, 0);
    }, 0);
  let best = Infinity;
  for (let a = 4; a <= 28; a++)
    for (let b = a + 4; b <= 32; b++) if (Math.max(a, b - a, 36 - b) <= 32) best = Math.min(best, cost([0, a, b, 36]));
  expect(cost(bestCuts(profile, 3))).toBeCloseTo(best, 6);
});

test('a lightness has its place among the steps, whichever way they run', () => {
  expect(placeAmong([90, 70, 50, 30], 60)).toBe(2.5);
  expect(placeAmong([30, 50, 70, 90], 60)).toBe(2.5);
  expect([placeAmong([90, 70, 50], 99), placeAmong([90, 70, 50], 12)]).toEqual([1, 3]);
});

test('chips are named by what they are', () => {
  expect([whatChip([60, 1, 3]), whatChip([55, 50, 30]), whatChip([85, 8, 20]), whatChip([30, -8, 10])]).toEqual([
    'grey',
    'pure',
    'tint',
    'dark',
  ]);
});
