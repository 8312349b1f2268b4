/**
 * Where a feature stands by its outline: along each place of it, across it, the steepest change of value is looked for in the
 * painting where the reference has its own, and one map is fitted to how far each was off. Whatever a thing was moved in front
 * of, its outline is where it changes; all of its places together (`align`) are drawn aside by what lies about it.
 */
import { Matrix, solve } from 'ml-matrix';
import { median } from '../../fitting/quantile';
import { between, type Plane } from '../../raster/between';
import { wayAcross } from '../../raster/way-across';
import { maskOf } from '../../raster/zone';
import { type Affine, after, placed } from '../registration/affine';

/** A place of an outline, widths about the middle of the picture, and the way out across it. */
export interface OutlinePlace {
  readonly x: number;
  readonly y: number;
  readonly outX: number;
  readonly outY: number;
}

/** The way out is taken from so many places about. */
const ABOUT = 3;
/** So near to the picture's edge, places, there is no other side. */
const RIM = 3;
/** Profiles across an outline are sampled this often, widths. */
const STEP = 0.001;
/** The reference's own change is looked for so near to where its outline is drawn, widths. */
const OWN = 0.007;
/** And the painting's so near to that, a little nearer each time. */
const REACHES = [0.02, 0.013, 0.009, 0.007] as const;
/** A little further in, steps, a thing is as light as it is; this much lighter or darker than expected it is hardly the same thing, L*. */
const SIDE = 4;
const UNLIKE = 8;
/** A change of less than this, L* over two steps, is nothing to hold on to. */
const LEAST_CHANGE = 0.5;
/** An outline of fewer places that were found says too little. */
const LEAST_FOUND = 12;
/** What is further off than this, widths, once the rest is laid on, was painted otherwise. */
const LETS_GO = 0.0025;
/** The hand strays by this, widths, over about so many places together. */
const STRAYS = 0.002;
const TOGETHER = 8;
/** How far each parameter of a feature may be from the whole's before it costs as much as a place that strays: it is hardly turned. */
const REACH = [0.12, 0.1, 0.1, 0.015, 0.12, 0.1] as const;
/** In the end an outline is looked for no further off than this, widths: what it holds to shows how well it was found. */
const IN_THE_END = 0.007;

/** Outline of a feature on a grid: its places that touch what is none of it, with the way out. */
export function outlinePlaces(places: Int32Array, { width, height }: Pick<Plane, 'width' | 'height'>): OutlinePlace[] {
  const mask = maskOf(places, width * height);
  return Array.from(places).flatMap((i): OutlinePlace[] => {
    const [x, y] = [i % width, Math.floor(i / width)];
    if (x < RIM || y < RIM || x >= width - RIM || y >= height - RIM) return [];
    if (mask[i - 1] === 1 && mask[i + 1] === 1 && mask[i - width] === 1 && mask[i + width] === 1) return [];
    const out = wayAcross(i, ABOUT, { width, height }, (k) => -(mask[k] as number));
    const far = Math.hypot(out.x, out.y);
    if (far === 0) return [];
    return [
      {
        x: (x + 0.5 - width / 2) / width,
        y: (y + 0.5 - height / 2) / width,
        outX: out.x / far,
        outY: out.y / far,
      },
    ];
  });
}

/** L* of a plane at a place in widths about its middle. */
const valueAt = (plane: Plane, x: number, y: number): number =>
  between(plane, (x + 0.5) * plane.width, y * plane.width + plane.height / 2);

/** Values along a line across an outline, every `STEP`, `reach` and a little more to both sides of `about`. */
function profile(valueOf: (along: number) => number, about: number, reach: number): Float64Array {
  const steps = Math.round(reach / STEP) + SIDE;
  return Float64Array.from({ length: 2 * steps + 1 }, (_, k) => valueOf(about + (k - steps) * STEP));
}

/**
 * Where the values change most, from the middle of the profile; NaN where they hardly do. `inside` is what is expected a
 * little further in, if that is known: of two outlines the thing's own is meant.
 */
function steepest(values: Float64Array, inside: number | null): number {
  const middle = (values.length - 1) / 2;
  const changeAt = (k: number) => Math.abs((values[k + 1] as number) - (values[k - 1] as number));
  let [best, most] = [-1, LEAST_CHANGE];
  for (let k = SIDE; k < values.length - SIDE; k++) {
    const unlike = inside === null ? 0 : ((values[k - SIDE] as number) - inside) / UNLIKE;
    const own = (changeAt(k) * (1 - 0.5 * ((k - middle) / middle) ** 2)) / (1 + unlike * unlike);
    if (own > most) [best, most] = [k, own];
  }
  if (best <= SIDE || best >= values.length - SIDE - 1) return NaN;
  const [before, at, next] = [changeAt(best - 1), changeAt(best), changeAt(best + 1)];
  const bent = before - 2 * at + next;
  const finer = bent < 0 ? Math.max(-0.5, Math.min(0.5, (before - next) / (2 * bent))) : 0;
  return (best - middle + finer) * STEP;
}

/**
 * The map of a feature from the one it was found with, and the share of the outline that lies on it in the end. `reference` and
 * `painting` are L* of one proportion. Returns what it was given, and 0, where too little of the outline is seen.
 */
export function fittedOutline(
  outline: readonly OutlinePlace[],
  reference: Plane,
  painting: Plane,
  whole: Affine,
  found: Affine,
): { readonly map: Affine; readonly held: number } {
  const middle = middleOf(outline);
  const own = outline.flatMap((place) => {
    const { x, y, outX, outY } = place;
    const valueOf = (s: number) => valueAt(reference, x + s * outX, y + s * outY);
    const at = steepest(profile(valueOf, 0, OWN), null);
    return Number.isNaN(at) ? [] : [{ ...place, at, inside: valueOf(at - SIDE * STEP) }];
  });
  const offsUnder = (map: Affine, reach: number): Off[] => {
    const lines = own.map((place) => {
      const { x, y, outX, outY, at } = place;
      const valueOf = (s: number) => valueAt(painting, ...placed(map, x + s * outX, y + s * outY));
      return { ...place, values: profile(valueOf, at, reach), lighter: valueOf(at - SIDE * STEP) - place.inside };
    });
    const lighter = median(lines.map((line) => line.lighter));
    return lines.flatMap(({ x, y, outX, outY, inside, values }) => {
      const by = steepest(values, inside + lighter);
      return Number.isNaN(by) ? [] : [{ x: x - middle[0], y: y - middle[1], outX, outY, by }];
    });
  };
  let map = found;
  for (const reach of REACHES) {
    const offs = offsUnder(map, reach);
    if (offs.length < LEAST_FOUND) return { map, held: 0 };
    map = after(map, movedBy(offs, middle, nearWhole(map, whole, middle)));
  }
  const held = offsUnder(map, IN_THE_END).reduce((s, { by }) => s + Math.exp(-((by / LETS_GO) ** 2)), 0);
  return { map, held: held / Math.max(1, own.length) };
}

const middleOf = (outline: readonly OutlinePlace[]): [number, number] => {
  const n = Math.max(1, outline.length);
  return [outline.reduce((s, p) => s + p.x, 0) / n, outline.reduce((s, p) => s + p.y, 0) / n];
};

/** How a map differs from the whole's, about a middle: what is added to the map already has to be paid for. */
function nearWhole(map: Affine, whole: Affine, middle: readonly [number, number]): Affine {
  const [a, b, , c, d] = whole;
  const det = a * d - b * c;
  const [x, y] = placed(map, ...middle);
  const [cx, cy] = placed(whole, ...middle);
  return [
    (map[0] * d - map[3] * b) / det - 1,
    (map[1] * d - map[4] * b) / det,
    x - cx,
    (map[3] * a - map[0] * c) / det,
    (map[4] * a - map[1] * c) / det - 1,
    y - cy,
  ];
}

interface Off {
  /** Widths about the feature's middle. */
  readonly x: number;
  readonly y: number;
  readonly outX: number;
  readonly outY: number;
  /** How far the painting's outline lies further out. */
  readonly by: number;
}

/** The small map about the middle that moves each place out by as much as it is off; robust, near to the whole. */
function movedBy(offs: readonly Off[], middle: readonly [number, number], already: Affine): Affine {
  let by = new Float64Array(6);
  const rows = offs.map(({ x, y, outX, outY }) => [outX * x, outX * y, outX, outY * x, outY * y, outY]);
  // Sought wide at first: half of the outline may be hidden.
  for (const letsGo of [4 * LETS_GO, 2 * LETS_GO, LETS_GO, LETS_GO]) {
    const normal = Matrix.zeros(6, 6);
    const right = Matrix.zeros(6, 1);
    rows.forEach((row, k) => {
      const own = (offs[k] as Off).by;
      const miss = own - row.reduce((s, v, j) => s + v * (by[j] as number), 0);
      const weight = 1 / (1 + (miss / letsGo) ** 2) ** 2 / (STRAYS ** 2 * TOGETHER);
      for (let i = 0; i < 6; i++) {
        right.set(i, 0, right.get(i, 0) + weight * (row[i] as number) * own);
        for (let j = 0; j < 6; j++)
          normal.set(i, j, normal.get(i, j) + weight * (row[i] as number) * (row[j] as number));
      }
    });
    for (let i = 0; i < 6; i++) {
      const weight = 1 / (REACH[i] as number) ** 2;
      normal.set(i, i, normal.get(i, i) + weight);
      right.set(i, 0, right.get(i, 0) - weight * (already[i] as number));
    }
    by = Float64Array.from(solve(normal, right).to1DArray());
  }
  const [a, b, tx, c, d, ty] = by as unknown as Affine;
  const [mx, my] = middle;
  return [1 + a, b, tx - a * mx - b * my, c, 1 + d, ty - c * mx - d * my];
}
