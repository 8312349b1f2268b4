/**
 * Thresholds between tones, begun by the rule of N. Otsu ("A threshold selection method from gray-level histograms", IEEE
 * Trans. SMC 9, 1979, section IV for several): the variance within the tones is least. Found exactly by dynamic
 * programming over the bins.
 */
import { scatterOf } from '../fitting/piecewise';
import { upperEdge } from '../raster/lightness-histogram';

export const MOST_TONES = 12;

/** The picture can't be cut into so many tones; `message` says why and what to do. */
export class TooFewTones extends RangeError {
  override readonly name = 'TooFewTones';
}

/** Relative difference below which two cuts are as good as each other. */
const ALIKE = 1e-12;

/**
 * Thresholds of `tones` tones from a histogram over L*, rising, L*: upper edges of bins, the mean over all best cuts where
 * several are as good. Throws RangeError unless 2 to 12 tones are asked for, TooFewTones where the picture has fewer.
 */
export function otsuThresholds(histogram: Float64Array, tones: number): number[] {
  if (!Number.isInteger(tones) || tones < 2 || tones > MOST_TONES)
    throw new RangeError(`A picture is cut into 2 to ${MOST_TONES} tones, got ${tones}.`);
  const n = histogram.length;
  const filled = histogram.reduce((s, count) => s + (count > 0 ? 1 : 0), 0);
  if (filled < tones)
    throw new TooFewTones(
      `This picture has only ${filled} ${filled === 1 ? 'tone' : 'tones'}: take a picture with more light and dark in it, or fewer tones than ${tones}.`,
    );
  const scatter = scatterOf(
    Float64Array.from(histogram, (_, i) => i),
    histogram,
  );
  const total = histogram.reduce((s, v) => s + v, 0);
  const weighs = new Float64Array(n + 1);
  histogram.forEach((v, i) => (weighs[i + 1] = (weighs[i] as number) + v));
  const slack = ALIKE * Math.max(1, scatter(0, n));
  // Of the first tones up to a bin, and of the last ones from it: the least cost, and in how many ways it is reached.
  const table = () =>
    Array.from({ length: tones + 1 }, () => ({
      cost: new Float64Array(n + 1).fill(Infinity),
      ways: new Float64Array(n + 1),
    }));
  const [before, after] = [table(), table()];
  const start = (t: ReturnType<typeof table>, at: number) => {
    (t[0] as (typeof t)[number]).cost[at] = 0;
    (t[0] as (typeof t)[number]).ways[at] = 1;
  };
  start(before, 0);
  start(after, n);
  const extend = (from: (typeof before)[number], fromAt: number, to: (typeof before)[number], toAt: number) => {
    const [low, high] = fromAt < toAt ? [fromAt, toAt] : [toAt, fromAt];
    // A tone that nothing has is none.
    if ((from.cost[fromAt] as number) === Infinity || (weighs[high] as number) === (weighs[low] as number)) return;
    const cost = (from.cost[fromAt] as number) + scatter(low, high);
    const best = to.cost[toAt] as number;
    if (cost < best - slack) [to.cost[toAt], to.ways[toAt]] = [cost, from.ways[fromAt] as number];
    else if (cost <= best + slack) to.ways[toAt] = (to.ways[toAt] as number) + (from.ways[fromAt] as number);
  };
  for (let k = 1; k <= tones; k++)
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b <= n; b++) {
        extend(before[k - 1] as (typeof before)[number], a, before[k] as (typeof before)[number], b);
        extend(after[k - 1] as (typeof after)[number], b, after[k] as (typeof after)[number], a);
      }
  if (total === 0) return [];
  const least = (before[tones] as (typeof before)[number]).cost[n] as number;
  return Array.from({ length: tones - 1 }, (_, i) => {
    const [left, right] = [before[i + 1] as (typeof before)[number], after[tones - 1 - i] as (typeof after)[number]];
    let [sum, ways] = [0, 0];
    for (let at = 1; at < n; at++) {
      if ((left.cost[at] as number) + (right.cost[at] as number) > least + slack) continue;
      const here = (left.ways[at] as number) * (right.ways[at] as number);
      sum += here * upperEdge(at - 1);
      ways += here;
    }
    return sum / ways;
  });
}
