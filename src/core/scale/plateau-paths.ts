/**
 * Ways along a ray through plateaus of known lightness, one after the other: a shortest path (A. Viterbi, IEEE Trans. Inf.
 * Theory 13, 1967) on which each plateau has a least length.
 */

export interface Ray {
  /** L* at each place along it. */
  readonly lightness: Float64Array;
  /** 1 where nothing is known of the band. */
  readonly blind: Uint8Array;
}

/** One place off by more than this (L*) tells no more than by this: a line, a hair, a scratch. */
const MOST_OFF = 15;
/** What a place costs that something in front may hide. */
const IN_FRONT = 9;
/** What it costs to leave a plateau out: where the frame cuts it off on one side. */
const LEFT_OUT = 60;

export interface Path {
  /** Where each plateau ends, places along the ray: one number a plateau, never falling, Infinity where it is never left. */
  readonly ends: number[];
  /** What the plateaus leave unsaid of the ray, L*². */
  readonly cost: number;
}

export interface Ways {
  /** Lightnesses of the plateaus in their order, L*. */
  readonly levels: readonly number[];
  /** On each that it enters, a way stays for so many places, unless the frame's edge cuts it short. */
  readonly least: number;
  readonly frontBelow: number;
}

/** What the places of a ray up to each cost on a plateau, L*². */
function costs({ lightness, blind }: Ray, level: number, frontBelow: number): Float64Array {
  const sum = new Float64Array(lightness.length + 1);
  lightness.forEach((l, t) => {
    const off = blind[t] === 1 ? 0 : Math.min(MOST_OFF, Math.abs(l - level)) ** 2;
    sum[t + 1] = (sum[t] as number) + (l < frontBelow ? Math.min(off, IN_FRONT) : off);
  });
  return sum;
}

/** The way through the plateaus, in their order, that fits a ray best. */
export function pathAlong(ray: Ray, { levels, least, frontBelow }: Ways): Path {
  const [n, m] = [ray.lightness.length, levels.length];
  const sums = levels.map((level, k) => costs(ray, level, k < m - 1 ? frontBelow : -Infinity));
  const table = () => levels.map(() => new Float64Array(n + 1).fill(Infinity));
  // Of each plateau and place: the best way that leaves it there, the best that enters it there, and where those came from.
  const [left, entered, cameAt, cameFrom] = [table(), table(), table(), table()];
  const cheapest = new Float64Array(m).fill(Infinity);
  const cheapestAt = new Float64Array(m);
  for (let t = 0; t <= n; t++) {
    for (let k = 0; k < m && t >= least; k++) {
      const entry = (entered[k]?.[t - least] as number) - (sums[k]?.[t - least] as number);
      if (entry < (cheapest[k] as number)) [cheapest[k], cheapestAt[k]] = [entry, t - least];
      (left[k] as Float64Array)[t] = (sums[k]?.[t] as number) + (cheapest[k] as number);
      (cameAt[k] as Float64Array)[t] = cheapestAt[k] as number;
    }
    if (t === 0) (entered[0] as Float64Array)[0] = 0;
    for (let k = 1; k < m; k++)
      for (let j = 0; j < k; j++) {
        const cost = (left[j]?.[t] as number) + LEFT_OUT * (k - j - 1);
        if (cost < (entered[k]?.[t] as number))
          [(entered[k] as Float64Array)[t], (cameFrom[k] as Float64Array)[t]] = [cost, j];
      }
  }
  let best = { cost: Infinity, k: 0, start: 0 };
  for (let k = 0; k < m; k++)
    for (let start = 0; start < n; start++) {
      const cost = (entered[k]?.[start] as number) + (sums[k]?.[n] as number) - (sums[k]?.[start] as number);
      if (cost < best.cost) best = { cost, k, start };
    }
  const ends = new Array<number>(m).fill(Infinity);
  for (let { k, start } = best; k > 0;) {
    const before = cameFrom[k]?.[start] as number;
    ends.fill(start, before, k);
    [k, start] = [before, cameAt[before]?.[start] as number];
  }
  return { ends, cost: best.cost };
}
