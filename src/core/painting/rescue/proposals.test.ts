import fc from 'fast-check';
import type { LargeShape, LargeShapes } from './large-shapes';
import { type RescueMove, rescueProposals, RESCUE_GOALS } from './proposals';

const WANTED = { ends: { light: 95, dark: 15 }, step: 10 };
const BOX = { x: 0, y: 0, width: 1, height: 1 };
/** A shape of one value with a little texture. */
const shape = (lightness: number, area: number): LargeShape => ({
  ...{ lightness, area, box: BOX, rings: [] },
  values: Float32Array.from({ length: 40 }, (_, k) => lightness + ((k % 5) - 2) * 0.8),
});
const painting = (...shapes: (readonly [lightness: number, area: number])[]): LargeShapes => ({
  shapes: shapes.map(([l, a]) => shape(l, a)),
  meetings: shapes.slice(1).map((_, k) => [k, k + 1] as const),
});
/** All values after some moves, by their area: another way of counting than the one that is tested. */
function spreadAfter({ shapes }: LargeShapes, moves: readonly RescueMove[]) {
  const all = shapes.flatMap((s, k) => {
    const by = (moves.find((m) => m.shape === k)?.steps ?? 0) * WANTED.step;
    const moved = (l: number) => (by === 0 ? l : Math.min(95, Math.max(15, l + by)));
    return [...s.values].map((l) => ({ l: moved(l), weight: s.area / s.values.length }));
  });
  const sorted = all.sort((a, b) => a.l - b.l);
  const at = (share: number) => {
    let sum = 0;
    return sorted.find(({ weight }) => (sum += weight) >= share)?.l ?? NaN;
  };
  const crowded = all.filter(({ l }) => l >= 15 + 80 / 3 && l < 95 - 80 / 3).reduce((s, { weight }) => s + weight, 0);
  return { range: at(1 - RESCUE_GOALS.tail) - at(RESCUE_GOALS.tail), middle: at(0.5), crowded };
}

const NARROW = painting([48, 0.3], [56, 0.25], [44, 0.12], [62, 0.15], [52, 0.1], [40, 0.08]);

test('a narrow painting gets up to three ways, each of which reaches, the smallest first', () => {
  const found = rescueProposals(NARROW, WANTED);
  expect(found.length).toBeGreaterThan(1);
  for (const { moves, reaches, area, range } of found) {
    expect(reaches).toBe(true);
    expect(moves.length).toBeLessThanOrEqual(4);
    const after = spreadAfter(NARROW, moves);
    expect(after.range).toBeGreaterThan(RESCUE_GOALS.range * 80 - 1);
    expect(Math.abs(after.range - range)).toBeLessThan(1);
    expect(area).toBeCloseTo(
      moves.reduce((s, m) => s + (NARROW.shapes[m.shape]?.area ?? 0), 0),
      6,
    );
  }
  expect(found.map((p) => p.area)).toEqual(found.map((p) => p.area).toSorted((a, b) => a - b));
});

test('each way leaves alone what the one before repaints most of', () => {
  const [first, second] = rescueProposals(NARROW, WANTED);
  const largest = first?.moves.toSorted(
    (a, b) => (NARROW.shapes[b.shape]?.area ?? 0) - (NARROW.shapes[a.shape]?.area ?? 0),
  )[0];
  expect(second?.moves.some((m) => m.shape === largest?.shape)).toBe(false);
});

test('what has all that is wanted is left alone', () => {
  expect(rescueProposals(painting([15, 0.3], [92, 0.35], [50, 0.35]), WANTED)).toEqual([]);
});

test('what can’t be brought all the way gets the nearest, and is told so', () => {
  const found = rescueProposals(painting([50, 1]), WANTED);
  expect(found).toHaveLength(1);
  expect(found[0]?.reaches).toBe(false);
});

test('neighbours that stood apart stay apart, the same way round', () => {
  const values = fc.array(fc.double({ min: 35, max: 65, noNaN: true }), { minLength: 4, maxLength: 7 });
  fc.assert(
    fc.property(values, (lights) => {
      const large = painting(...lights.map((l) => [l, 1 / lights.length] as const));
      for (const { moves } of rescueProposals(large, WANTED)) {
        const after = (k: number) => {
          const by = (moves.find((m) => m.shape === k)?.steps ?? 0) * WANTED.step;
          const l = large.shapes[k]?.lightness ?? NaN;
          return by === 0 ? l : Math.min(95, Math.max(15, l + by));
        };
        for (const [a, b] of large.meetings) {
          const was = (large.shapes[a]?.lightness ?? 0) - (large.shapes[b]?.lightness ?? 0);
          const moved = moves.some((m) => m.shape === a || m.shape === b);
          if (moved && Math.abs(was) >= 5)
            expect(Math.sign(was) * (after(a) - after(b))).toBeGreaterThanOrEqual(5 - 1e-6);
        }
      }
    }),
    { numRuns: 25 },
  );
});
