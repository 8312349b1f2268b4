/**
 * A painted strip without printed cells, cut into its steps: the best piecewise-constant fit along it. Where cells of
 * one width fit nearly as well, as on a worksheet, they are taken as such.
 */
import type { Calibration } from '../capture/calibration';
import { patchwork } from '../capture/patchwork';
import { luminanceToLightness } from '../colour/lab';
import { piecewiseFits, scatterOf } from '../fitting/piecewise';
import { median } from '../fitting/quantile';
import { type BoxMm, boxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { IndexedBoxMm } from '../sheet/layout';

/** Places along the strip for each step. */
const PER_STEP = 40;
/** Across the strip its middle part is looked at, as a share. */
const MIDDLE = 0.6;
/** A step is at least and at most this many times as wide as an even one. */
const NARROWEST = 0.35;
const WIDEST = 2.6;

/** Median L* across the strip at each place along it. */
function profileAlong(photo: Photo, calibration: Calibration, box: BoxMm, wide: boolean, places: number): Float64Array {
  const [long, short] = wide ? [box.widthMm, box.heightMm] : [box.heightMm, box.widthMm];
  const inset = ((1 - MIDDLE) / 2) * short;
  const middle = wide
    ? boxMm(box.xMm, box.yMm + inset, long, MIDDLE * short)
    : boxMm(box.xMm + inset, box.yMm, MIDDLE * short, long);
  const p = patchwork(photo, calibration, middle, Math.max(long / places / 2, short / 60));
  const { columns, rows } = p.samples;
  const alongCount = wide ? columns : rows;
  const acrossCount = wide ? rows : columns;
  return Float64Array.from({ length: places }, (_, k) => {
    const from = Math.floor((k * alongCount) / places);
    const to = Math.max(from + 1, Math.floor(((k + 1) * alongCount) / places));
    const values: number[] = [];
    for (let a = from; a < to; a++)
      for (let b = 0; b < acrossCount; b++) values.push(p.y[wide ? b * columns + a : a * columns + b] as number);
    return luminanceToLightness(median(values));
  });
}

/** Runs shorter than half the window go: gaps of bare paper between cells, lines, a brush's edge. */
function withoutGaps(profile: Float64Array, window: number): Float64Array {
  const half = Math.max(1, Math.floor(window / 2));
  return profile.map((_, i) => median(profile.subarray(Math.max(0, i - half), i + half + 1)));
}

/** Where the steps begin, and the end: `steps + 1` places. Exported for its tests. */
export function bestCuts(profile: Float64Array, steps: number): number[] {
  const even = profile.length / steps;
  return piecewiseFits(profile, steps, Math.max(1, Math.floor(NARROWEST * even)), Math.ceil(WIDEST * even)).cuts(steps);
}

export interface CutStrip {
  readonly cells: readonly IndexedBoxMm[];
  /** Standard deviation (L*) along the strip that the steps leave over. */
  readonly leftOver: number;
}

/** Cells are judged on this much of their width when an even cut is weighed. */
const INNER = 0.7;
/** Of even cells this much more scatter (L*) is put up with. */
const EVEN_ENOUGH = 0.7;

/** Cuts the strip in a box of the plane into `steps` cells, in the order they lie, left to right or top to bottom. */
export function cutStrip(photo: Photo, calibration: Calibration, box: BoxMm, steps: number): CutStrip {
  const n = steps * PER_STEP;
  const [across, down] = [true, false].map((wide) => profileAlong(photo, calibration, box, wide, n)) as [
    Float64Array,
    Float64Array,
  ];
  // A strip runs the way in which its lightness changes, whichever side of it is longer.
  const wide = scatterOf(across)(0, n) >= scatterOf(down)(0, n);
  const raw = wide ? across : down;
  const smooth = withoutGaps(raw, Math.round(0.3 * PER_STEP));
  const scatter = scatterOf(smooth);
  const cost = (cuts: readonly number[]) => {
    let [sum, count] = [0, 0];
    for (let k = 0; k < steps; k++) {
      const [a, b] = [cuts[k] as number, cuts[k + 1] as number];
      const inset = ((1 - INNER) / 2) * (b - a);
      const [from, to] = [Math.round(a + inset), Math.max(Math.round(a + inset) + 1, Math.round(b - inset))];
      sum += scatter(from, to);
      count += to - from;
    }
    return Math.sqrt(Math.max(0, sum) / count);
  };
  const evenly = Array.from({ length: steps + 1 }, (_, k) => k * PER_STEP);
  const free = bestCuts(smooth, steps);
  const cuts = cost(evenly) <= cost(free) + EVEN_ENOUGH ? evenly : free;
  const long = wide ? box.widthMm : box.heightMm;
  const cells = cuts.slice(0, -1).map((a, i): IndexedBoxMm => {
    const [from, length] = [(a / n) * long, (((cuts[i + 1] as number) - a) / n) * long];
    return {
      index: i + 1,
      ...(wide
        ? boxMm(box.xMm + from, box.yMm, length, box.heightMm)
        : boxMm(box.xMm, box.yMm + from, box.widthMm, length)),
    };
  });
  return { cells, leftOver: cost(cuts) };
}
