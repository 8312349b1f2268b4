/** Where two shapes that meet were divided: how far the edge between them moved, told by laying one profile across it on the other. */
import { between, type Plane } from '../../raster/between';
import { wayAcross } from '../../raster/way-across';

/** Which shape each place is of, by number. */
export interface NumberedGrid {
  readonly width: number;
  readonly height: number;
  readonly numbers: Uint8Array;
}
/** Something of each of two shapes that meet. */
export type OfTwo = readonly [first: number, second: number];

export interface MovedEdge {
  /** How far the edge moved out of the first shape into the second, places: above 0 where the first grew. */
  readonly by: number;
  /** How much of what differs goes away once it is moved back: 1 all of it. */
  readonly explains: number;
  /** Places along the edge. */
  readonly long: number;
}

/** Profiles reach so far to both sides, share of the larger side of the grid. */
const REACH = 0.04;
/** An edge is looked for up to this share of that away from its place, in steps of so many places. */
const FAR = 0.7;
/** What lies further out than this share of it is not compared: only the brush is seen there. */
const SEEN = 0.6;
const STEP = 0.25;
/** An edge of fewer places is a corner. */
const LEAST_LONG = 8;
/** Of a profile at least this share has to lie in the two shapes. */
const WITHIN = 0.6;
/** More profiles than this say nothing new. */
const MOST = 120;
/** The way across an edge is taken from so many places about, and from no fewer than make up a plain side. */
const ABOUT = 3;
const LEAST_LEAN = 12;
/** What stands out less than this from side to side, L*, is no edge to be found again. */
const LEAST_CONTRAST = 4;

interface Profiles {
  readonly wanted: readonly Float64Array[];
  readonly painted: readonly Float64Array[];
  readonly half: number;
  readonly long: number;
}

/** Places of the first shape that touch the second, each with the way across: out of the first into the second. */
function edgeOf([first, second]: OfTwo, { numbers, width, height }: NumberedGrid) {
  const touching: number[] = [];
  for (let y = 2; y < height - 2; y++)
    for (let x = 2; x < width - 2; x++) {
      const i = y * width + x;
      if (numbers[i] !== first) continue;
      if (
        numbers[i + 1] === second ||
        numbers[i - 1] === second ||
        numbers[i + width] === second ||
        numbers[i - width] === second
      )
        touching.push(i);
    }
  if (touching.length < LEAST_LONG) return [];
  return touching.flatMap((i) => {
    const side = (k: number) => (numbers[k] === second ? 1 : numbers[k] === first ? -1 : 0);
    const across = wayAcross(i, ABOUT, { width, height }, side);
    const steep = Math.hypot(across.x, across.y);
    const [x, y] = [(i % width) + 0.5, Math.floor(i / width) + 0.5];
    return steep > LEAST_LEAN ? [{ x, y, nx: across.x / steep, ny: across.y / steep }] : [];
  });
}

/** Profiles across an edge, from the first shape into the second; what lies in neither is NaN. */
function profilesOf(pair: OfTwo, grid: NumberedGrid, wanted: Plane, painted: Plane): Profiles | null {
  const { numbers, width, height } = grid;
  const [first, second] = pair;
  const finer = wanted.width / width;
  const edge = edgeOf(pair, grid);
  if (edge.length < LEAST_LONG) return null;
  const half = Math.round((REACH * Math.max(width, height)) / STEP);
  const every = Math.ceil(edge.length / MOST);
  const taken = edge.filter((_, k) => k % every === 0);
  const inside = (x: number, y: number) => {
    const [c, r] = [Math.floor(x), Math.floor(y)];
    if (c < 0 || r < 0 || c >= width || r >= height) return false;
    const n = numbers[r * width + c];
    return n === first || n === second;
  };
  const both = taken.map(({ x, y, nx, ny }) => {
    const [own, made] = [new Float64Array(2 * half + 1).fill(NaN), new Float64Array(2 * half + 1).fill(NaN)];
    for (const way of [1, -1])
      for (let k = way === 1 ? 0 : 1; k <= half; k++) {
        const [u, v] = [x + way * k * STEP * nx, y + way * k * STEP * ny];
        if (!inside(u, v)) break;
        own[half + way * k] = between(wanted, finer * u, finer * v);
        made[half + way * k] = between(painted, finer * u, finer * v);
      }
    return { own, made };
  });
  const long = both.filter(({ own }) => own.filter((l) => !Number.isNaN(l)).length >= WITHIN * own.length);
  const used = long.length >= LEAST_LONG / every ? long : [];
  return used.length === 0
    ? null
    : { wanted: used.map((p) => p.own), painted: used.map((p) => p.made), half, long: used.length * every };
}

/** What is usual well inside either of two shapes, L*. */
export interface UsualValues {
  readonly wanted: OfTwo;
  readonly painted: OfTwo;
}

/** A thing that is flatter than it should be is so all over; of what either side is off by, so much is taken for that. */
const ALL_OVER = 0.35;
/** Sides that lie nearer to each other, L*, say nothing of how flat a thing is, and none is so many times flatter or fuller. */
const LEAST_APART = 2;
const FLATTER = 3;

type Expected = (lightness: number) => number;

/** What should have been painted for a value of either side: as much lighter as that side is, and as much flatter as both are. */
function expectedBy({ wanted, painted }: UsualValues): readonly [first: Expected, second: Expected] {
  const apart = wanted[0] - wanted[1];
  const gain =
    Math.abs(apart) < LEAST_APART ? 1 : Math.min(FLATTER, Math.max(1 / FLATTER, (painted[0] - painted[1]) / apart));
  const [from, to] = [(wanted[0] + wanted[1]) / 2, (painted[0] + painted[1]) / 2];
  const of =
    (side: 0 | 1): Expected =>
    (l) =>
      ALL_OVER * (to + gain * (l - from)) + (1 - ALL_OVER) * (l + painted[side] - wanted[side]);
  return [of(0), of(1)];
}

/** What is left between the painted profiles and what they should be once the wanted ones are moved by `steps`. */
function leftOver({ wanted, painted, half }: Profiles, steps: number, [first, second]: readonly [Expected, Expected]) {
  let [n, sum] = [0, 0];
  const seen = Math.round(SEEN * half);
  wanted.forEach((own, j) => {
    const made = painted[j] as Float64Array;
    for (let k = Math.max(half - seen, steps); k <= Math.min(half + seen, 2 * half + steps); k++) {
      const expected = k - steps <= half ? first : second;
      const off = (made[k] as number) - expected(own[k - steps] as number);
      if (Number.isNaN(off)) continue;
      n++;
      sum += off * off;
    }
  });
  return n === 0 ? Infinity : sum / n;
}

/** How far the profiles change from side to side, L*: twice the deviation about their mean. */
function contrastOf({ wanted, half }: Profiles): number {
  const seen = Math.round(SEEN * half);
  const near = wanted.flatMap((own) => [...own.subarray(half - seen, half + seen + 1)].filter((l) => !Number.isNaN(l)));
  const mean = near.reduce((sum, l) => sum + l, 0) / near.length;
  return 2 * Math.sqrt(near.reduce((sum, l) => sum + (l - mean) ** 2, 0) / near.length);
}

/**
 * How the edge between two shapes moved; null where it is too short or too faint to be found. `pair` are their numbers on `grid`,
 * which may be coarser than the planes, L*, that lie on each other. Where light goes over softly into shadow, only what either is
 * well inside tells how far the whole of it was moved: that is `usual`.
 */
export function movedEdge(
  pair: OfTwo,
  grid: NumberedGrid,
  wanted: Plane,
  painted: Plane,
  usual: UsualValues,
): MovedEdge | null {
  const profiles = profilesOf(pair, grid, wanted, painted);
  if (!profiles || contrastOf(profiles) < LEAST_CONTRAST) return null;
  const most = Math.round(FAR * profiles.half);
  const expected = expectedBy(usual);
  const at = (steps: number) => leftOver(profiles, steps, expected);
  const still = at(0);
  let best = { steps: 0, left: still };
  for (let steps = -most; steps <= most; steps++) {
    const left = at(steps);
    if (left < best.left) best = { steps, left };
  }
  const [before, after] = [at(best.steps - 1), at(best.steps + 1)];
  const bent = before - 2 * best.left + after;
  const finer = Number.isFinite(bent) && bent > 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bent))) : 0;
  return {
    by: (best.steps + finer) * STEP,
    explains: still > 0 ? 1 - best.left / still : 0,
    long: profiles.long,
  };
}
