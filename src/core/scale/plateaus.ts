/**
 * Bands that somebody drew by hand, found as plateaus of lightness along rays: first how light they are, told by the
 * rays that cross all of them; then, with those, where each ends on every ray.
 */
import type { Rays } from '../bands/rays';
import { type Corner, inside, polygon, rectangle, type Shape, without } from '../bands/shapes';
import type { Patchwork } from '../capture/patchwork';
import { luminanceToLightness } from '../colour/lab';
import { median, quantile } from '../fitting/quantile';
import type { BoxMm } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import { levelsOf } from './plateau-levels';
import { pathAlong, type Ray } from './plateau-paths';

/** Places along a ray, mm. */
const ALONG_MM = 0.75;
const SOFT_MM = 0.5;

export interface HandDrawn {
  /** How many bands there are, and how light each is meant to be, lightest first (L*). */
  readonly targets: readonly number[];
  /** No band is narrower, mm. */
  readonly leastMm: number;
  /** 1 where something stands in front of the bands. */
  readonly hidden: Uint8Array;
  /** Darker than this (L*) may be something painted in front of any band; -Infinity where nothing is. */
  readonly frontBelow: number;
}

export interface Plateaus {
  /** Where each band ends on each ray, mm from where the ray begins; lightest band first, never falling, Infinity where it meets the frame's edge. */
  readonly endsMm: readonly (readonly number[])[];
  /** How many of the bands can be told apart. */
  readonly told: number;
}

/** Index of the place of the patchwork that holds a place of the frame. */
function placeIn(p: Patchwork, frame: BoxMm, [x, y]: Corner): number {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const c = Math.min(columns - 1, Math.max(0, Math.floor((x + frame.xMm - xMm) / stepXMm)));
  const r = Math.min(rows - 1, Math.max(0, Math.floor((y + frame.yMm - yMm) / stepYMm)));
  return r * columns + c;
}

/** L* of a patchwork after a small blur in linear light; what lies outside the photograph counts as black. */
export function softLightness(p: Patchwork): Float32Array {
  const { columns, rows, stepXMm } = p.samples;
  const filled = p.y.map((y) => (Number.isNaN(y) ? 0 : y));
  return gaussianBlur(filled, columns, rows, SOFT_MM / stepXMm).map((y) => luminanceToLightness(y));
}

/** As bright as the brightest twentieth of what lies about it, less this, belongs to the lamp (L*). */
const ABOUT_AS_LIGHT = 5;

/** The middle of the lightest patch near a place (mean shift with a flat kernel). Returns the place itself where all is alike. */
export function lightestNear(p: Patchwork, lightness: Float32Array, frame: BoxMm, start: Corner): Corner {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const longest = Math.hypot(frame.widthMm, frame.heightMm);
  let centre = start;
  for (const share of [0.2, 0.14, 0.1, 0.1, 0.1]) {
    const reach = share * longest;
    const near: { x: number; y: number; l: number }[] = [];
    for (let r = 0; r < rows; r += 2)
      for (let c = 0; c < columns; c += 2) {
        const [x, y] = [xMm + (c + 0.5) * stepXMm - frame.xMm, yMm + (r + 0.5) * stepYMm - frame.yMm];
        if (Math.hypot(x - centre[0], y - centre[1]) < reach)
          near.push({ x, y, l: lightness[r * columns + c] as number });
      }
    if (near.length === 0) return start;
    const lightest = quantile(
      near.map((n) => n.l),
      0.95,
    );
    const limit = lightest - ABOUT_AS_LIGHT;
    const light = near.filter((n) => n.l >= limit);
    centre = [light.reduce((s, n) => s + n.x, 0) / light.length, light.reduce((s, n) => s + n.y, 0) / light.length];
  }
  return centre;
}

/** At the frame's edge paper shows where a hand wavered. */
const RIM_MM = 1.8;

/** What is dark with something lighter behind it stands in front; at the end of a ray it may be the last band. */
function raysOver(
  p: Patchwork,
  lightness: Float32Array,
  frame: BoxMm,
  rays: Rays,
  { hidden, frontBelow }: HandDrawn,
): Ray[] {
  return Array.from({ length: rays.count }, (_, k) => {
    const n = Math.max(1, Math.floor((rays.lengthMm(k) - RIM_MM) / ALONG_MM));
    const places = Array.from({ length: n }, (_, t) => placeIn(p, frame, rays.at(k, (t + 0.5) * ALONG_MM)));
    const along = Float64Array.from(places, (i) => lightness[i] as number);
    const blind = Uint8Array.from(places, (i) => hidden[i] as number);
    let lightest = -Infinity;
    for (let t = n - 1; t >= 0; t--) {
      if ((along[t] as number) < frontBelow && lightest > frontBelow + ABOUT_AS_LIGHT) blind[t] = 1;
      else if (blind[t] === 0) lightest = Math.max(lightest, along[t] as number);
    }
    return { lightness: along, blind };
  });
}

/** Neighbouring rays on each side whose middle one is taken: what one ray alone says is a stroke. */
const NEIGHBOURS = 2;

function smoothed(ends: readonly (readonly number[])[], round: boolean): number[][] {
  return ends.map((own, i) =>
    own.map((_, k) => {
      const about: number[] = [];
      for (let d = -NEIGHBOURS; d <= NEIGHBOURS; d++) {
        const at = round ? (i + d + ends.length) % ends.length : i + d;
        const end = ends[at]?.[k];
        if (end !== undefined) about.push(end);
      }
      return median(about);
    }),
  );
}

/** What it costs (L*²) when a band would be e times as wide as, or narrower than, it should be. */
const ODD_WIDTH = 200;

/** Median thickness of each plateau on the rays that cross the whole of it, in places. */
function thicknesses(ends: readonly (readonly number[])[], rays: readonly Ray[], m: number): number[] {
  return Array.from({ length: m }, (_, j) =>
    Math.max(
      1,
      median(
        ends.flatMap((own, ray) => {
          const [from, to] = [j === 0 ? 0 : (own[j - 1] as number), own[j] as number];
          const until = j === m - 1 ? (rays[ray] as Ray).lightness.length : to;
          return Number.isFinite(until) && until > from ? [until - from] : [];
        }),
      ),
    ),
  );
}

/** Which plateau each wanted band lies on: all are used, in order, so that lightnesses and widths are as near to what is meant as can be. */
function plateauOfBand(levels: readonly number[], thick: readonly number[], targets: readonly number[]): number[] {
  const [n, m] = [targets.length, levels.length];
  const even = thick.reduce((a, b) => a + b, 0) / n;
  const cost = (j: number, from: number, to: number) =>
    targets.slice(from, to).reduce((sum, target) => sum + ((levels[j] as number) - target) ** 2, 0) +
    ODD_WIDTH * Math.log((thick[j] as number) / ((to - from) * even)) ** 2;
  // Of the first plateaus over the first bands: what it costs, and where the last of them begins.
  const best = Array.from({ length: m + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  const began = Array.from({ length: m + 1 }, () => new Int32Array(n + 1));
  (best[0] as Float64Array)[0] = 0;
  for (let j = 1; j <= m; j++)
    for (let to = j; to <= n; to++)
      for (let from = j - 1; from < to; from++) {
        const all = (best[j - 1]?.[from] as number) + cost(j - 1, from, to);
        if (all < (best[j]?.[to] as number))
          [(best[j] as Float64Array)[to], (began[j] as Int32Array)[to]] = [all, from];
      }
  const out = new Array<number>(n);
  for (let j = m, to = n; j > 0; j--) {
    const from = began[j]?.[to] as number;
    out.fill(j - 1, from, to);
    to = from;
  }
  return out;
}

/** Where each band ends on a ray of so many places: bands on one plateau have equal parts of its width. */
function bandEnds(ends: readonly number[], onPlateau: readonly number[], places: number): number[] {
  return onPlateau.map((plateau, k) => {
    const first = onPlateau.indexOf(plateau);
    const sharing = onPlateau.lastIndexOf(plateau) - first + 1;
    const [from, to] = [plateau === 0 ? 0 : (ends[plateau - 1] as number), ends[plateau] as number];
    const part = k - first + 1;
    return part === sharing || from >= places ? to : from + (part / sharing) * (Math.min(to, places) - from);
  });
}

/**
 * Finds the bands over a patchwork of the frame; `lightness` is its soft L*. Bands that can't be told apart share their
 * plateau: each has a part of its width.
 */
export function findPlateaus(
  p: Patchwork,
  lightness: Float32Array,
  frame: BoxMm,
  rays: Rays,
  wanted: HandDrawn,
): Plateaus {
  const over = raysOver(p, lightness, frame, rays, wanted);
  const least = Math.max(2, Math.round(wanted.leastMm / ALONG_MM));
  const levels = levelsOf(over, wanted.targets.length, least, wanted.frontBelow);
  const ends = smoothed(
    over.map((ray) => pathAlong(ray, { levels, least, frontBelow: wanted.frontBelow }).ends),
    rays.round,
  );
  const onPlateau = plateauOfBand(levels, thicknesses(ends, over, levels.length), wanted.targets);
  return {
    endsMm: ends.map((own, ray) =>
      bandEnds(own, onPlateau, (over[ray] as Ray).lightness.length).map((end) => end * ALONG_MM),
    ),
    told: levels.length,
  };
}

/** Of each place of the patchwork, its band: 1 is the lightest. */
export function bandOfPlaces(p: Patchwork, frame: BoxMm, rays: Rays, { endsMm }: Plateaus): Uint8Array {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const band = new Uint8Array(columns * rows);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [ray, mm] = rays.of(xMm + (c + 0.5) * stepXMm - frame.xMm, yMm + (r + 0.5) * stepYMm - frame.yMm);
      const own = endsMm[ray] as readonly number[];
      const k = own.findIndex((end) => mm < end);
      band[r * columns + c] = k < 0 ? own.length : k + 1;
    }
  return band;
}

/** Past the frame's edge rays are followed this many times as far, so that its corners are in what is cut out. */
const PAST_EDGE = 2;

/** A band (1 is the lightest) as a shape, mm in the frame. */
export function shapeOf(
  rays: Rays,
  { endsMm }: Plateaus,
  band: number,
  { widthMm, heightMm }: Pick<BoxMm, 'widthMm' | 'heightMm'>,
): Shape {
  const end = (ray: number, mm: number) => (Number.isFinite(mm) ? mm : PAST_EDGE * rays.lengthMm(ray));
  const line = (k: number) => endsMm.map((own, ray): Corner => rays.at(ray, k < 0 ? 0 : end(ray, own[k] as number)));
  const [from, to] = [line(band - 2), line(band - 1)];
  const whole = rays.round
    ? band === 1
      ? polygon(to)
      : without(polygon(to), polygon(from))
    : polygon([...from, ...to.reverse()]);
  return inside(whole, rectangle(0, 0, widthMm, heightMm));
}
