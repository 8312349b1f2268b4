/**
 * The best piecewise-constant fit along a row of values, by dynamic programming (R. Bellman, "On the approximation of
 * curves by line segments", 1961, with constants in place of lines).
 */

/** Sum of squared departures from the mean over [from, to), from running sums; each value counts as often as `weights` says, once unless said. */
export function scatterOf(profile: Float64Array, weights?: Float64Array): (from: number, to: number) => number {
  const [count, sum, squares] = [0, 1, 2].map(() => new Float64Array(profile.length + 1)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  profile.forEach((v, i) => {
    const w = weights ? (weights[i] as number) : 1;
    count[i + 1] = (count[i] as number) + w;
    sum[i + 1] = (sum[i] as number) + w * v;
    squares[i + 1] = (squares[i] as number) + w * v * v;
  });
  return (from, to) => {
    const n = (count[to] as number) - (count[from] as number);
    const s = (sum[to] as number) - (sum[from] as number);
    return n === 0 ? 0 : (squares[to] as number) - (squares[from] as number) - (s * s) / n;
  };
}

export interface PiecewiseFits {
  /** Sum of squares that is left with so many pieces; Infinity where they don't fit. */
  cost(pieces: number): number;
  /** Where the pieces begin, and the end: one more than there are pieces. Throws RangeError where they don't fit. */
  cuts(pieces: number): number[];
}

/** Fits with 1 to `most` pieces at once, each at least `least` and at most `longest` values long; values count as often as `weights` says. */
export function piecewiseFits(
  profile: Float64Array,
  most: number,
  least: number,
  longest = profile.length,
  weights?: Float64Array,
): PiecewiseFits {
  const n = profile.length;
  const scatter = scatterOf(profile, weights);
  const best = Array.from({ length: most + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  const from = Array.from({ length: most + 1 }, () => new Int32Array(n + 1));
  (best[0] as Float64Array)[0] = 0;
  for (let k = 1; k <= most; k++) {
    const [before, now, began] = [best[k - 1] as Float64Array, best[k] as Float64Array, from[k] as Int32Array];
    for (let to = k * least; to <= n; to++)
      for (let start = Math.max(0, to - longest); start <= to - least; start++) {
        if (before[start] === Infinity) continue;
        const cost = (before[start] as number) + scatter(start, to);
        if (cost < (now[to] as number)) {
          now[to] = cost;
          began[to] = start;
        }
      }
  }
  return {
    cost: (pieces) => best[pieces]?.[n] ?? Infinity,
    cuts(pieces) {
      if ((best[pieces]?.[n] ?? Infinity) === Infinity)
        throw new RangeError(`${pieces} pieces of ${least} to ${longest} do not make up ${n}.`);
      const cuts = [n];
      for (let k = pieces, to = n; k > 0; k--) {
        to = (from[k] as Int32Array)[to] as number;
        cuts.unshift(to);
      }
      return cuts;
    },
  };
}
