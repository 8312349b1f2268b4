/** Thresholds by the automatic rule, against trying every cut. */
import fc from 'fast-check';
import { middleOf, upperEdge } from '../raster/lightness-histogram';
import { otsuThresholds, TooFewTones } from './thresholds';

/** Every way of cutting the bins into tones none of which is empty; the mean over those with the least variance within. */
function byTrying(histogram: Float64Array, tones: number): number[] {
  const within = (from: number, to: number) => {
    let [n, sum] = [0, 0];
    for (let i = from; i < to; i++) [n, sum] = [n + (histogram[i] ?? 0), sum + (histogram[i] ?? 0) * middleOf(i)];
    if (n === 0) return Infinity;
    let v = 0;
    for (let i = from; i < to; i++) v += (histogram[i] ?? 0) * (middleOf(i) - sum / n) ** 2;
    return v;
  };
  const cuts: { at: number[]; cost: number }[] = [];
  const walk = (at: number[], cost: number) => {
    const from = at.at(-1) ?? 0;
    if (at.length === tones - 1) {
      cuts.push({ at, cost: cost + within(from, histogram.length) });
      return;
    }
    for (let to = from + 1; to < histogram.length; to++)
      if (within(from, to) < Infinity) walk([...at, to], cost + within(from, to));
  };
  walk([], 0);
  const least = Math.min(...cuts.map((c) => c.cost));
  const best = cuts.filter((c) => c.cost <= least + 1e-6);
  return Array.from(
    { length: tones - 1 },
    (_, i) => best.reduce((s, c) => s + upperEdge((c.at[i] ?? 0) - 1), 0) / best.length,
  );
}

test('on small histograms they are those that trying every cut finds, ties averaged', () => {
  const counts = fc.array(
    fc.oneof({ weight: 2, arbitrary: fc.constant(0) }, { weight: 3, arbitrary: fc.integer({ min: 1, max: 40 }) }),
    { minLength: 10, maxLength: 18 },
  );
  let tried = 0;
  fc.assert(
    fc.property(counts, fc.integer({ min: 2, max: 4 }), (values, tones) => {
      fc.pre(values.filter((v) => v > 0).length >= tones);
      tried++;
      const histogram = Float64Array.from(values);
      const [found, wanted] = [otsuThresholds(histogram, tones), byTrying(histogram, tones)];
      expect(found).toHaveLength(tones - 1);
      found.forEach((t, i) => expect(t).toBeCloseTo(wanted[i] ?? Number.NaN, 6));
    }),
  );
  expect(tried).toBeGreaterThanOrEqual(20);
});

test('between two tones with nothing between them the threshold lies in the middle', () => {
  const histogram = new Float64Array(256);
  histogram[49] = 500;
  histogram[199] = 300;
  expect(otsuThresholds(histogram, 2)[0]).toBeCloseTo((upperEdge(49) + upperEdge(198)) / 2, 9);
});

test('what has too few tones is told with what to do', () => {
  const flat = new Float64Array(256);
  flat[120] = 1000;
  expect(() => otsuThresholds(flat, 2)).toThrow(TooFewTones);
  expect(() => otsuThresholds(flat, 2)).toThrow('This picture has only 1 tone');
  expect(() => otsuThresholds(flat, 13)).toThrow('2 to 12 tones, got 13');
});
