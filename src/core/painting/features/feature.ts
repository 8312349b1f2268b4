/** Where single features of a painting stand, once the whole of it lies on its reference. */
import { between, type Plane } from '../../raster/between';
import { zoneOf } from '../../raster/zone';
import { type Affine, placed } from '../registration/affine';
import { align, type Places, type SlopedPlane } from '../registration/align';

type Grid = Pick<Plane, 'width' | 'height'>;

export interface Displacement {
  /** In widths, to the right and down. */
  readonly dx: number;
  readonly dy: number;
  /** Ratios of what it is to what it should be. */
  readonly width: number;
  readonly height: number;
  /** How far uprights lean, degrees, clockwise. */
  readonly slant: number;
}

/** So much round a feature (widths) belongs to what is looked for: its outline. */
const OUTLINE = 0.012;
/** Steps in which it is looked for, widths, and how many of them it may have been moved. */
const STEP = 0.0075;
const FAR = 10;
/** So many of every other one are looked at closely. */
const LOOKED_ABOUT = 10;
/** What a move costs in likeness for each width of it: of two places as good the nearer one is meant. */
const COST = 1;
/** And for leaving its place at all: what was painted lighter or darker is a little more like something beside it. */
const GAIN = 0.08;
/** Features of fewer places say too little, and what is less alike than this is nothing that was found. */
const LEAST_PLACES = 40;
const LEAST_LIKE = 0.4;
/** Places that are off by more count with their absolute value. */
const SOFT = 0.5;

/** Middle of some places, widths about the middle of the picture. */
export function middleOf(own: Int32Array, { width, height }: Grid): [number, number] {
  let [sx, sy] = [0, 0];
  for (const i of own) {
    sx += ((i % width) + 0.5 - width / 2) / width;
    sy += (Math.floor(i / width) + 0.5 - height / 2) / width;
  }
  return [sx / Math.max(1, own.length), sy / Math.max(1, own.length)];
}

/** Places of a feature and its outline, about its own middle. */
function aboutMiddle(reference: Plane, feature: Int32Array): { places: Places; middle: [number, number] } | null {
  const { width, height, data } = reference;
  const own = zoneOf(feature, OUTLINE * width, reference);
  if (own.length < LEAST_PLACES) return null;
  const middle = middleOf(feature, reference);
  return {
    middle,
    places: {
      x: Float64Array.from(own, (i) => ((i % width) + 0.5 - width / 2) / width - middle[0]),
      y: Float64Array.from(own, (i) => (Math.floor(i / width) + 0.5 - height / 2) / width - middle[1]),
      value: Float64Array.from(own, (i) => data[i] as number),
    },
  };
}

/** What is so unlike itself at its place was painted the other way round there, light for dark, and stands nowhere else. */
const INVERTED = -0.4;

/** Instead of a likeness where too much of a feature lies past the painting's edge: where it stands can't be told. */
const BEYOND = -2;

/** How alike the places are to the painting when their middle lies at a place of it. */
function alike({ x, y, value }: Places, painting: Plane, [a, b, , c, d]: Affine, cx: number, cy: number): number {
  const { width, height } = painting;
  let [pr, rr, pp, p1, r1, n] = [0, 0, 0, 0, 0, 0];
  // No pair of numbers is made for any place: this is asked thousands of times.
  for (let k = 0; k < value.length; k++) {
    const px = x[k] as number;
    const py = y[k] as number;
    const u = (a * px + b * py + cx + 0.5) * width;
    const v = (c * px + d * py + cy) * width + height / 2;
    if (u < 0 || v < 0 || u > width || v > height) continue;
    const p = between(painting, u, v);
    const r = value[k] as number;
    pr += p * r;
    rr += r * r;
    pp += p * p;
    p1 += p;
    r1 += r;
    n++;
  }
  if (n < 0.6 * value.length) return BEYOND;
  const [vr, vp] = [rr - (r1 * r1) / n, pp - (p1 * p1) / n];
  return (pr - (p1 * r1) / n) / Math.sqrt(Math.max(1e-9, vr * vp));
}

/** Enough places to tell where a feature stands. */
const ENOUGH = 400;

/** Every so many of the places. */
function thinned({ x, y, value }: Places): Places {
  const every = Math.ceil(value.length / ENOUGH);
  const kept = (of: Float64Array) => of.filter((_, k) => k % every === 0);
  return every === 1 ? { x, y, value } : { x: kept(x), y: kept(y), value: kept(value) };
}

export interface Displaced {
  readonly displacement: Displacement;
  /** Lays the reference's places of it onto the painting. */
  readonly map: Affine;
  /** How alike it is to the painting where it was found, and where the whole has it: 1 the same. */
  readonly likeness: number;
  readonly unmoved: number;
}

/** A feature that was looked for: all the places where it could stand. */
export interface Sought extends Displaced {
  /** Maps onto where it could stand, the likeliest first: of light and shadow alone several places may look alike. */
  readonly candidates: readonly Affine[];
  /** How alike it is to the painting under a map. */
  readonly likenessUnder: (map: Affine) => number;
}

/** So many places are tried, no two nearer to each other than this, widths. */
const MOST_TRIED = 4;
const TRIED_APART = 0.016;

/** How far each parameter of a feature's own map may be from where it was found: it is widened and slanted, hardly turned. */
const REACH: Affine = [0.12, 0.12, 0.015, 0.03, 0.12, 0.015];

/**
 * How a feature is displaced against the whole. Both planes are local contrasts of one proportion; the feature's places lie on
 * the reference's. Null where it is too small or too little like anything near, or can't be more like by `least` elsewhere.
 */
export function displacementOf(
  reference: Plane,
  painting: SlopedPlane,
  whole: Affine,
  feature: Int32Array,
  least = 0,
): Sought | null {
  const of = aboutMiddle(reference, feature);
  if (!of) return null;
  const { places, middle } = of;
  const [cx, cy] = placed(whole, ...middle);
  const [a, b, , c, d] = whole;
  const some = thinned(places);
  const likeAt = (dx: number, dy: number) => alike(some, painting, whole, cx + dx, cy + dy);
  const unmoved = likeAt(0, 0);
  if (unmoved > 1 - least || unmoved === BEYOND || unmoved < INVERTED) return null;
  const own = { dx: 0, dy: 0, score: unmoved, likeness: unmoved };
  // What is nearly the same where it should be can be nowhere else.
  const seen = [own, ...(unmoved + GAIN < 1 ? elsewhere(likeAt) : [])].sort((p, q) => q.score - p.score);
  if ((seen[0]?.likeness ?? BEYOND) < LEAST_LIKE) return null;
  // Laid on exactly, it is more like than in any of these steps, but by less than what is asked.
  if (seen.every((place) => place.likeness - unmoved < least / 2)) return null;
  const [mx, my] = middle;
  const candidates = apart(seen).map(({ dx, dy }): Affine => {
    const start: Affine = [a, b, cx + dx, c, d, cy + dy];
    const map = align({ places, painting, start, reach: REACH, softScale: SOFT });
    // About its own middle so far: about the picture's from here on.
    const [e, f, tx, g, h, ty] = map;
    return [e, f, tx - e * mx - f * my, g, h, ty - g * mx - h * my];
  });
  const likenessUnder = (map: Affine) => alike(places, painting, map, ...placed(map, mx, my));
  const [map] = candidates as [Affine];
  return {
    displacement: displacementAt(map, whole, middle),
    map,
    likeness: likenessUnder(map),
    unmoved,
    candidates,
    likenessUnder,
  };
}

interface Place {
  readonly dx: number;
  readonly dy: number;
  readonly likeness: number;
  readonly score: number;
}

/** Places about a feature's own at which it could stand: every other one, and all about the best of those. */
function elsewhere(likeAt: (dx: number, dy: number) => number): Place[] {
  const seen = new Map<number, Place>();
  const look = (x: number, y: number) => {
    const at = (y + FAR) * (2 * FAR + 1) + x + FAR;
    if (Math.max(Math.abs(x), Math.abs(y)) > FAR || (x === 0 && y === 0) || seen.has(at)) return;
    const [dx, dy] = [x * STEP, y * STEP];
    const likeness = likeAt(dx, dy);
    seen.set(at, { dx, dy, likeness, score: likeness - COST * Math.hypot(dx, dy) - GAIN });
  };
  for (let y = -FAR; y <= FAR; y += 2) for (let x = -FAR; x <= FAR; x += 2) look(x, y);
  const best = [...seen.values()].sort((p, q) => q.score - p.score).slice(0, LOOKED_ABOUT);
  for (const { dx, dy } of best) {
    const [x, y] = [Math.round(dx / STEP), Math.round(dy / STEP)];
    for (const v of [-1, 0, 1]) for (const u of [-1, 0, 1]) look(x + u, y + v);
  }
  return [...seen.values()];
}

/** The best few of some places in order, none near to a better one. */
function apart<P extends { readonly dx: number; readonly dy: number }>(seen: readonly P[]): P[] {
  const kept: P[] = [];
  for (const at of seen) {
    if (kept.length === MOST_TRIED) break;
    if (kept.every((k) => Math.hypot(k.dx - at.dx, k.dy - at.dy) > TRIED_APART)) kept.push(at);
  }
  return kept;
}

/** The same feature's displacement as a part of it has it: told at the part's own middle. */
export const displacementOfPart = (map: Affine, whole: Affine, part: Int32Array, grid: Grid): Displacement =>
  displacementAt(map, whole, middleOf(part, grid));

/** What a feature's own map does to the painting once the whole is done, at a place of the reference. */
function displacementAt(map: Affine, whole: Affine, middle: readonly [number, number]): Displacement {
  const [[x, y], [cx, cy]] = [placed(map, ...middle), placed(whole, ...middle)];
  const [a, b, , c, d] = whole;
  const det = a * d - b * c;
  const [wide, lean, tall] = [
    (map[0] * d - map[1] * c) / det,
    (map[1] * a - map[0] * b) / det,
    (map[4] * a - map[3] * b) / det,
  ];
  return {
    dx: x - cx,
    dy: y - cy,
    width: wide,
    height: tall,
    slant: (Math.atan2(-lean, tall) * 180) / Math.PI,
  };
}
