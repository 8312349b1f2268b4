/**
 * Ways to mend a narrow painting with the least to paint over: large shapes go a step or two either way until range, key and pattern
 * are where they are wanted. All sets of up to four shapes are tried, the smallest area first, so that none smaller would do.
 */
import type { Ends } from '../../exercise/scale';
import type { LargeShape, LargeShapes } from './large-shapes';

/** What a painting is to come to. */
export interface RescueWanted {
  /** Darkest and lightest of its key, L*. */
  readonly ends: Ends;
  /** L*. */
  readonly step: number;
}

export interface RescueMove {
  /** Place in the list of large shapes. */
  readonly shape: number;
  /** Steps lighter, below 0 darker. */
  readonly steps: number;
}

export interface RescueProposal {
  readonly moves: readonly RescueMove[];
  /** Share of the picture that is painted over. */
  readonly area: number;
  /** What lies between the darkest and the lightest afterwards, all but `tail` at either end, L*. */
  readonly range: number;
  /** Whether all comes to where it is wanted; else it is the nearest that there is. */
  readonly reaches: boolean;
}

/** So many shapes are repainted at the most: more is another painting. */
const MOST = 4;
const MOVES = [-2, -1, 1, 2] as const;
const PROPOSALS = 3;

/**
 * Shares of what lies between the ends: how much range is wanted, how far the middle of all values may lie off theirs, and how much
 * may be crowded in the middle third. The range leaves out `tail` at either end: a little more than the twentieth that it is read by
 * later, so that a hand that wavers at an edge still gets there.
 */
export const RESCUE_GOALS = { range: 0.5, middle: 0.25, crowded: 0.6, tail: 0.065 } as const;
/** Neighbours that stood this far apart, steps, still do, and the same way round. */
const APART = 0.5;
/** Steps that all of the picture counts as where it is crowded: a tenth of it weighs as much as one step of range. */
const CROWDED_WEIGHS = 10;

const BINS = 200;
const perBin = 100 / BINS;

/** Values counted in bins, moved by so much and held within the ends of what paint reaches. */
function histogram({ values, area }: LargeShape, by: number, { dark, light }: Ends): Float64Array {
  const bins = new Float64Array(BINS);
  const each = area / Math.max(1, values.length);
  for (const l of values) {
    // What lay beyond the ends before stays there: only what is repainted is held.
    const moved = by === 0 ? l : Math.min(light, Math.max(dark, l + by));
    const k = Math.min(BINS - 1, Math.max(0, Math.floor(moved / perBin)));
    bins[k] = (bins[k] as number) + each;
  }
  return bins;
}

/** Values of a painting all together. */
interface Whole {
  readonly dark: number;
  readonly middle: number;
  readonly light: number;
  /** Share in the middle third. */
  readonly crowded: number;
}

function wholeOf(bins: Float64Array, { dark, light }: Ends): Whole {
  const third = (light - dark) / 3;
  const [low, high] = [(dark + third) / perBin, (light - third) / perBin];
  let [sum, crowded] = [0, 0];
  const found = [NaN, NaN, NaN];
  const wanted = [RESCUE_GOALS.tail, 0.5, 1 - RESCUE_GOALS.tail];
  for (let k = 0; k < BINS; k++) {
    const own = bins[k] as number;
    for (let q = 0; q < 3; q++) {
      const at = wanted[q] as number;
      if (sum < at && sum + own >= at) found[q] = (k + (at - sum) / own) * perBin;
    }
    sum += own;
    if (k >= low && k < high) crowded += own;
  }
  const [darkest = NaN, middle = NaN, lightest = NaN] = found;
  return { dark: darkest, middle, light: lightest, crowded };
}

/** How far a painting is from what is wanted, steps; 0 where nothing is missing. */
function shortfall({ dark, middle, light, crowded }: Whole, { ends, step }: RescueWanted): number {
  const span = ends.light - ends.dark;
  const narrow = Math.max(0, RESCUE_GOALS.range * span - (light - dark));
  const off = Math.max(0, Math.abs(middle - (ends.dark + ends.light) / 2) - RESCUE_GOALS.middle * span);
  return (narrow + off) / step + CROWDED_WEIGHS * Math.max(0, crowded - RESCUE_GOALS.crowded);
}

/** Sets of up to so many of `count` things. */
function setsOf(count: number, most: number): number[][] {
  const sets: number[][] = [];
  const grow = (set: readonly number[], from: number) => {
    if (set.length > 0) sets.push([...set]);
    if (set.length < most) for (let k = from; k < count; k++) grow([...set, k], k + 1);
  };
  grow([], 0);
  return sets;
}

interface Found {
  readonly moves: readonly RescueMove[];
  readonly short: number;
  readonly whole: Whole;
  /** Area times steps: how much of a change it is. */
  readonly change: number;
}

class Search {
  readonly #bins: readonly (readonly Float64Array[])[];
  readonly #base: Float64Array;

  constructor(
    private readonly large: LargeShapes,
    private readonly wanted: RescueWanted,
  ) {
    const { ends, step } = wanted;
    this.#bins = large.shapes.map((s) => [0, ...MOVES].map((k) => histogram(s, k * step, ends)));
    this.#base = this.#bins.reduce((sum, [still]) => sum.map((v, k) => v + (still?.[k] ?? 0)), new Float64Array(BINS));
  }

  whole(): Whole {
    return wholeOf(this.#base, this.wanted.ends);
  }

  /** Where a shape comes to, L*. */
  #lightness(shape: number, moves: readonly RescueMove[]): number {
    const { ends, step } = this.wanted;
    const own = this.large.shapes[shape] as LargeShape;
    const by = moves.find((m) => m.shape === shape)?.steps ?? 0;
    return by === 0 ? own.lightness : Math.min(ends.light, Math.max(ends.dark, own.lightness + by * step));
  }

  /** Whether neighbours that stood apart still do, the same way round. */
  #keepsPattern(moves: readonly RescueMove[]): boolean {
    const least = APART * this.wanted.step;
    const { meetings, shapes } = this.large;
    return meetings.every(([a, b]) => {
      const was = (shapes[a] as LargeShape).lightness - (shapes[b] as LargeShape).lightness;
      if (Math.abs(was) < least || !moves.some((m) => m.shape === a || m.shape === b)) return true;
      return Math.sign(was) * (this.#lightness(a, moves) - this.#lightness(b, moves)) >= least;
    });
  }

  /** The best of all ways to move a set of shapes; null where each breaks the pattern. */
  best(set: readonly number[]): Found | null {
    const { ends } = this.wanted;
    let best: Found | null = null;
    const go = (at: number, bins: Float64Array, moves: readonly RescueMove[]) => {
      const shape = set[at];
      if (shape === undefined) {
        const whole = wholeOf(bins, ends);
        const short = shortfall(whole, this.wanted);
        const change = moves.reduce(
          (s, m) => s + Math.abs(m.steps) * (this.large.shapes[m.shape] as LargeShape).area,
          0,
        );
        const isBetter = !best || short < best.short - 1e-9 || (short <= best.short + 1e-9 && change < best.change);
        if (isBetter && this.#keepsPattern(moves)) best = { moves, short, whole, change };
        return;
      }
      const [still, ...moved] = this.#bins[shape] as readonly Float64Array[];
      MOVES.forEach((steps, k) => {
        const to = moved[k] as Float64Array;
        const next = bins.map((v, i) => v - ((still as Float64Array)[i] as number) + (to[i] as number));
        go(at + 1, next, [...moves, { shape, steps }]);
      });
    };
    go(0, this.#base, []);
    return best;
  }
}

/**
 * Up to three ways to mend a painting, the one with the least to paint over first; the others leave alone what that one repaints
 * most of. None where it has what is wanted already.
 */
export function rescueProposals(large: LargeShapes, wanted: RescueWanted): RescueProposal[] {
  const search = new Search(large, wanted);
  if (shortfall(search.whole(), wanted) === 0) return [];
  const areaOf = (set: readonly number[]) => set.reduce((s, k) => s + (large.shapes[k] as LargeShape).area, 0);
  const sets = setsOf(large.shapes.length, MOST)
    .map((set) => ({ set, area: areaOf(set) }))
    .sort((a, b) => a.area - b.area);
  const searched = new Map<readonly number[], Found | null>();
  /** The best of a set; another proposal asks for many of them once more. */
  const bestOf = (set: readonly number[]): Found | null => {
    const known = searched.get(set);
    if (known !== undefined) return known;
    const found = search.best(set);
    searched.set(set, found);
    return found;
  };
  const asProposal = ({ moves, whole, short }: Found): RescueProposal => ({
    moves,
    area: areaOf(moves.map((m) => m.shape)),
    range: whole.light - whole.dark,
    reaches: short === 0,
  });
  const proposals: RescueProposal[] = [];
  const spared = new Set<number>();
  let nearest: Found | null = null;
  while (proposals.length < PROPOSALS) {
    const found = firstThatReaches();
    if (!found) break;
    proposals.push(asProposal(found));
    const [largest] = [...found.moves].sort((a, b) => areaOf([b.shape]) - areaOf([a.shape]));
    if (!largest) break;
    spared.add(largest.shape);
  }
  return proposals.length === 0 && nearest ? [asProposal(nearest)] : proposals;

  function firstThatReaches(): Found | null {
    for (const { set } of sets) {
      if (set.some((k) => spared.has(k))) continue;
      const found = bestOf(set);
      if (found?.short === 0) return found;
      if (found && (!nearest || found.short < nearest.short)) nearest = found;
    }
    return null;
  }
}
