/**
 * How soft edges are: from 10 to 90 percent of the change across them. Profiles across a short stretch of an edge are taken
 * together, so that the brush's own texture drops out; a soft edge is looked at softly, a hard one sharply, and what looking
 * and reading add is taken off (widths of blurs add in squares).
 */
import { median } from '../../fitting/quantile';
import { between, type Plane } from '../../raster/between';
import { gaussianBlur } from '../../raster/blur';
import { wayAcross } from '../../raster/way-across';
import type { NumberedGrid } from './edges';

/** One stretch of an edge. */
export interface EdgeStretch {
  /** Numbers of the shape and of what lies on the other side; 0 for what has no name. */
  readonly shape: number;
  readonly neighbour: number;
  /** The place in its middle. */
  readonly at: number;
  /** Widths of the picture; null where it is too faint, or not one edge. */
  readonly wanted: number | null;
  readonly painted: number | null;
}

/** Places of an edge are taken together within squares of so many places, of no fewer than this. */
const SQUARE = 8;
const LEAST = 4;
/** The way across is taken from so many places about. */
const ABOUT = 3;
/** Profiles reach so far to both sides, in steps of so much, widths. */
const REACH = 0.15;
const STEP = 0.0015;
const HALF = Math.round(REACH / STEP);
/** An edge wavers by no more than so many places; and so often profiles are laid on their mean. */
const WAVERS = 1.5;
const ROUNDS = 2;
/** So many steps more are looked at to both sides for it. */
const MORE = 8;
/** How softly profiles are looked at, widths, the softest first: the first whose edge is plainly wider than the look is taken. */
const LOOKS = [0.02, 0.01, 0.005, 0.0025, 0] as const;
const PLAINLY = 1.7;
/** From 10 to 90 percent of a Gaussian's sum, in sigmas: how wide a blurred edge is. */
export const TEN_TO_NINETY = 2.563;
/** An edge that is hidden in what softened it is as wide as this share of that, at the least. */
const HIDDEN = 0.4;
/** An edge is looked for so near to where shapes meet, widths, and by how softly it is looked at further. */
const NEAR = 0.012;
/** It ends where the change falls below this share of its steepest. */
const ENDS = 0.12;
/** Cut off there, a soft edge has lost a little of its width. */
const CUT_OFF = 1.03;
/** What changes by less, L*, is no edge. */
const LEAST_CHANGE = 5;

interface Border {
  readonly neighbour: number;
  readonly places: { readonly x: number; readonly y: number; readonly nx: number; readonly ny: number }[];
}

/** Stretches of the outlines of all shapes, each with the way out. */
function stretchesOf({ numbers, width, height }: NumberedGrid): Map<string, Border & { readonly shape: number }> {
  const stretches = new Map<string, Border & { readonly shape: number }>();
  for (let y = ABOUT; y < height - ABOUT; y++)
    for (let x = ABOUT; x < width - ABOUT; x++) {
      const i = y * width + x;
      const shape = numbers[i] as number;
      if (shape === 0) continue;
      const neighbour = [1, -1, width, -width].map((k) => numbers[i + k] as number).find((n) => n !== shape);
      if (neighbour === undefined) continue;
      const side = (k: number) => (numbers[k] === neighbour ? 1 : numbers[k] === shape ? -1 : 0);
      const across = wayAcross(i, ABOUT, { width, height }, side);
      const steep = Math.hypot(across.x, across.y);
      if (steep === 0) continue;
      const key = [shape, neighbour, Math.floor(x / SQUARE), Math.floor(y / SQUARE)].join(' ');
      const own = stretches.get(key) ?? { shape, neighbour, places: [] };
      own.places.push({ x: x + 0.5, y: y + 0.5, nx: across.x / steep, ny: across.y / steep });
      stretches.set(key, own);
    }
  return stretches;
}

/** Profiles across a stretch, `MORE` steps longer at both ends; what lies past the picture's edge goes on as it is there. */
function profilesOf({ places }: Border, plane: Plane, finer: number): Float32Array[] {
  const step = STEP * plane.width;
  return places.map(({ x, y, nx, ny }) => {
    const own = new Float32Array(2 * (HALF + MORE) + 1);
    for (let k = 0; k < own.length; k++) {
      const along = (k - HALF - MORE) * step;
      own[k] = between(plane, finer * x + along * nx, finer * y + along * ny);
    }
    return own;
  });
}

/** The mean of profiles, each begun so many steps further out, without what they are longer. */
function meanOf(profiles: readonly Float32Array[], out: Float64Array): Float32Array {
  const mean = new Float32Array(2 * HALF + 1);
  profiles.forEach((own, j) => {
    const from = Math.floor(out[j] as number);
    const share = (out[j] as number) - from;
    for (let k = 0; k < mean.length; k++) {
      const at = k + MORE + from;
      const value = (1 - share) * (own[at] as number) + share * (own[at + 1] as number);
      mean[k] = (mean[k] as number) + value / profiles.length;
    }
  });
  return mean;
}

/** How many steps further out a profile has what the mean has: one step of least squares, by where that changes. */
function furtherOut(own: Float32Array, out: number, mean: Float32Array): number {
  const from = Math.round(out) + MORE;
  let [off, change] = [0, 0];
  for (let k = 1; k < mean.length - 1; k++) {
    const slope = ((mean[k + 1] as number) - (mean[k - 1] as number)) / 2;
    off -= ((own[k + from] as number) - (mean[k] as number)) * slope;
    change += slope * slope;
  }
  return change === 0 ? out : Math.round(out) + off / change;
}

/** Mean profile across a stretch. An edge that wavers is not soft: each profile is laid on the mean of all before. */
function profileOf(border: Border, plane: Plane, finer: number): Float32Array {
  const profiles = profilesOf(border, plane, finer);
  const most = Math.min(MORE - 1, (WAVERS * finer) / (STEP * plane.width));
  const out = new Float64Array(profiles.length);
  for (let round = 0; round < ROUNDS; round++) {
    const mean = meanOf(profiles, out);
    profiles.forEach((own, j) => {
      out[j] = Math.max(-most, Math.min(most, furtherOut(own, out[j] as number, mean)));
    });
  }
  return meanOf(profiles, out);
}

/** Where a rising run of values first passes one, in steps. */
function passes(values: Float32Array, from: number, to: number, value: number): number {
  for (let k = from; k < to; k++) {
    const [a, b] = [values[k] as number, values[k + 1] as number];
    if ((a - value) * (b - value) <= 0 && a !== b) return k + (value - a) / (b - a);
  }
  return to;
}

/** Width of the edge in the middle of a profile, looked at softly by so many steps; null where there is none. */
function widthAt(values: Float32Array, soft: number): number | null {
  const seen = soft > 0 ? gaussianBlur(values, values.length, 1, soft) : values;
  const changeAt = (k: number) => (seen[k + 1] as number) - (seen[k - 1] as number);
  const near = Math.round(NEAR / STEP + soft);
  let best = HALF;
  for (let k = HALF - near; k <= HALF + near; k++) if (Math.abs(changeAt(k)) > Math.abs(changeAt(best))) best = k;
  const [most, way] = [Math.abs(changeAt(best)), Math.sign(changeAt(best))];
  let [from, to] = [best, best];
  while (from > 1 && way * changeAt(from - 1) > ENDS * most) from--;
  while (to < seen.length - 2 && way * changeAt(to + 1) > ENDS * most) to++;
  // An edge that goes on to the end of what is looked at is none, or wider than can be told.
  if (from <= 1 || to >= seen.length - 2) return null;
  const [a, b] = [seen[from - 1] as number, seen[to + 1] as number];
  if (Math.abs(b - a) < LEAST_CHANGE) return null;
  const at = (share: number) => passes(seen, from - 1, to + 1, a + share * (b - a));
  return CUT_OFF * STEP * (at(0.9) - at(0.1));
}

/** The same, looked at as softly as it allows, in widths; `blur` is what reading has softened it by, widths. */
function edgeWidth(values: Float32Array, blur: number): number | null {
  for (const look of LOOKS) {
    const width = widthAt(values, look / STEP);
    const [looked, softened] = [TEN_TO_NINETY * look, TEN_TO_NINETY * blur];
    if (width === null || (look > 0 && width < PLAINLY * looked)) continue;
    return Math.sqrt(Math.max((HIDDEN * softened) ** 2, width ** 2 - looked ** 2 - softened ** 2));
  }
  return null;
}

/** L*, and by how much it was softened: the sigma of a Gaussian, widths. */
export interface Softened {
  readonly plane: Plane;
  readonly blur: number;
}

/**
 * Stretches of the edges of named shapes, as they were wanted (null where nothing was) and as they were painted. Numbers lie on a
 * grid that may be coarser than the planes.
 */
export function edgeStretches(grid: NumberedGrid, wanted: Softened | null, painted: Softened): EdgeStretch[] {
  const finer = painted.plane.width / grid.width;
  const widthIn = (border: Border, { plane, blur }: Softened) => edgeWidth(profileOf(border, plane, finer), blur);
  return [...stretchesOf(grid).values()].flatMap((border): EdgeStretch[] => {
    const { places, shape, neighbour } = border;
    if (places.length < LEAST) return [];
    const { x, y } = places[Math.floor(places.length / 2)] as (typeof places)[number];
    return [
      {
        ...{ shape, neighbour, at: Math.floor(y) * grid.width + Math.floor(x) },
        wanted: wanted && widthIn(border, wanted),
        painted: widthIn(border, painted),
      },
    ];
  });
}

/** Stretches that are needed to say how soft a shape is. */
const LEAST_STRETCHES = 2;

/** How soft the edges of each shape are as painted, in widths: the middle of all of its stretches; null where too few are seen. */
export function softnessOf(stretches: readonly EdgeStretch[], shape: number): number | null {
  const own = stretches.flatMap((s) => (s.shape === shape && s.painted !== null ? [s.painted] : []));
  return own.length < LEAST_STRETCHES ? null : median(own);
}
