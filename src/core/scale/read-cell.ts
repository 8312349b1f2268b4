/** Reads one painted cell: its lightness and colour, its spread, what stayed bare, what went past the line. */
import { deviation, STREAK_BLUR_MM } from '../capture/background-spread';
import type { Calibration } from '../capture/calibration';
import { grown, labOf, patchwork, type Patchwork, SAMPLE_MM } from '../capture/patchwork';
import { ciede2000 } from '../colour/ciede2000';
import { lightnessToLuminance, linearRgbToLab, luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { type BoxMm, grow } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { type CellEdges, cellEdges } from './cell-edges';
import { type Shine, shineOf } from './shine';

/** Width of the ring round a cell in which paint past the line is looked for. */
const RING_MM = 2;
/** Beside the printed line nothing is judged: the line itself, blur and a steady hand's tenth. */
const LINE_MM = 0.5;
/** Paint nearer to the ground than this can't be told from it. */
const GROUND_DIFFERENCE = 4;
/** Inside the line, what counts as part of the cell for bare ground. */
const BARE_INSET_MM = 0.7;
const INNER = 0.7;
const TRIM = 0.1;

export interface CellReading {
  readonly lab: Triple;
  /** Standard deviation over the inner part, L*, after a small blur in linear light; grain still in it. */
  readonly spread: number;
  /** Share of the cell that stayed bare; null where paint and ground can't be told apart. */
  readonly bareGround: number | null;
  /** Share of the ring that is painted; null likewise. */
  readonly overflow: number | null;
  /** Share of the cell whose pixels met the camera's top code. */
  readonly clipped: number;
  readonly shine: Shine;
  /** Null where nothing is printed round the cell. */
  readonly edges: CellEdges | null;
}

/** Y of the given places, sorted. Plain loops here and below: they run for every sample of every cell. */
function sortedY(p: Patchwork, places: readonly number[]): Float32Array {
  const values = new Float32Array(places.length);
  for (let k = 0; k < values.length; k++) values[k] = p.y[places[k] as number] as number;
  return values.sort();
}

/** Mean colour in linear light of the given places, the lightest and darkest tenth by Y left out. */
export function trimmedMean(p: Patchwork, places: readonly number[]): Triple {
  const sorted = sortedY(p, places);
  const cut = Math.floor(TRIM * sorted.length);
  const [low, high] = [sorted[cut] as number, sorted[sorted.length - 1 - cut] as number];
  let [red, green, blue, n] = [0, 0, 0, 0];
  for (const i of places) {
    const y = p.y[i] as number;
    if (y < low || y > high) continue;
    red += p.rgb[3 * i] as number;
    green += p.rgb[3 * i + 1] as number;
    blue += p.rgb[3 * i + 2] as number;
    n++;
  }
  return linearRgbToLab([red / n, green / n, blue / n]);
}

/** Colour at the place whose Y is the median of the places. */
export function medianLab(p: Patchwork, places: readonly number[]): Triple {
  const sorted = sortedY(p, places);
  const middle = sorted[sorted.length >> 1] as number;
  return labOf(p.rgb, places.find((i) => p.y[i] === middle) ?? (places[0] as number));
}

/** A difference of this many L* is over the limit whatever the colour: its share alone is 10 / 1.75. */
const SURELY_APART = 10;

/**
 * 1 where a place of the cell shows the ground: near to its colour, and twice as near as to the paint's. The
 * second matters for light steps, whose own grain would else be taken for ground.
 */
export function barePlaces(p: Patchwork, whole: readonly number[], ground: Triple, own: Triple): Uint8Array {
  const bare = new Uint8Array(p.y.length);
  const least = lightnessToLuminance(ground[0] - SURELY_APART);
  for (const i of whole) {
    if ((p.y[i] as number) <= least) continue;
    const lab = labOf(p.rgb, i);
    const toGround = ciede2000(lab, ground);
    if (toGround < GROUND_DIFFERENCE && toGround < 0.5 * ciede2000(lab, own)) bare[i] = 1;
  }
  return bare;
}

interface Region {
  readonly inner: number[];
  readonly whole: number[];
  /** Places round the cell, from beside the line outwards. */
  readonly ring: number[];
}

function regions(p: Patchwork, cell: BoxMm): Region {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const inner: number[] = [];
  const whole: number[] = [];
  const ring: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const x = xMm + (c + 0.5) * stepXMm - cell.xMm;
      const y = yMm + (r + 0.5) * stepYMm - cell.yMm;
      const inside = Math.min(x, y, cell.widthMm - x, cell.heightMm - y);
      const i = r * columns + c;
      if (inside >= BARE_INSET_MM) whole.push(i);
      else if (inside <= -LINE_MM && inside >= -RING_MM) ring.push(i);
      if (
        Math.abs(x - cell.widthMm / 2) <= (INNER / 2) * cell.widthMm &&
        Math.abs(y - cell.heightMm / 2) <= (INNER / 2) * cell.heightMm
      )
        inner.push(i);
    }
  return { inner, whole, ring };
}

/**
 * Share of the ring that this cell's paint covers. From the line outwards paint is followed only as
 * far as it hangs together: what lies beyond a strip of ground is a neighbour's. Where a gap is filled
 * from side to side, a place is this cell's as long as it is nearer to its colour than to a neighbour's.
 */
function paintPastLine(p: Patchwork, cell: BoxMm, own: Triple, ground: Triple, others: readonly Triple[]): number {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const left = (cell.xMm - xMm) / stepXMm;
  const top = (cell.yMm - yMm) / stepYMm;
  const right = left + cell.widthMm / stepXMm;
  const bottom = top + cell.heightMm / stepYMm;
  const line = LINE_MM / SAMPLE_MM;
  const reach = Math.floor((RING_MM - LINE_MM) / SAMPLE_MM);
  const isPaint = (c: number, r: number): boolean => {
    const lab = labOf(p.rgb, r * columns + c);
    const toGround = ciede2000(lab, ground);
    if (toGround < GROUND_DIFFERENCE) return false;
    const toOwn = ciede2000(lab, own);
    // Half-covered places lie between paint and ground: they count once they are past the middle.
    return toOwn < toGround && others.every((o) => toOwn <= ciede2000(lab, o));
  };
  let [painted, looked] = [0, 0];
  const walk = (c: number, r: number, dc: number, dr: number) => {
    looked += reach;
    for (let k = 0; k < reach; k++, c += dc, r += dr) {
      if (c < 0 || r < 0 || c >= columns || r >= rows || !isPaint(c, r)) return;
      painted++;
    }
  };
  for (let r = Math.ceil(top); r < Math.floor(bottom); r++) {
    walk(Math.floor(left - line), r, -1, 0);
    walk(Math.ceil(right + line) - 1, r, 1, 0);
  }
  for (let c = Math.ceil(left); c < Math.floor(right); c++) {
    walk(c, Math.floor(top - line), 0, -1);
    walk(c, Math.ceil(bottom + line) - 1, 0, 1);
  }
  return looked === 0 ? 0 : painted / looked;
}

/**
 * Reads a cell. `ground` is the Lab of the paper beside it, `neighbours` are the boxes beside it, whose
 * paint may have come over into the same ring.
 */
export function readCell(
  photo: Photo,
  calibration: Calibration,
  cell: BoxMm,
  ground: Triple,
  neighbours: readonly Triple[],
): CellReading {
  const p = patchwork(photo, calibration, grow(cell, RING_MM));
  const { inner, whole, ring } = regions(p, cell);
  const centre = medianLab(p, inner);
  const apart = ciede2000(centre, ground) >= GROUND_DIFFERENCE;
  const bareAt = apart ? barePlaces(p, whole, ground, centre) : new Uint8Array(p.y.length);
  const painted = inner.filter((i) => bareAt[i] === 0);
  const lab = trimmedMean(p, painted.length > 0 ? painted : inner);
  const bare = whole.filter((i) => bareAt[i] === 1).length / whole.length;

  const { columns, rows } = p.samples;
  const soft = gaussianBlur(p.y, columns, rows, STREAK_BLUR_MM / SAMPLE_MM);
  const solid = awayFromGround(p, painted, lab, ground, apart);
  const spread = deviation((solid.length > 50 ? solid : painted).map((i) => luminanceToLightness(soft[i] as number)));
  return {
    lab,
    spread,
    bareGround: apart ? bare : null,
    overflow: apart ? paintPastLine(p, cell, lab, ground, neighbours) : null,
    clipped: inner.filter((i) => p.samples.clipped[i] === 1).length / inner.length,
    shine: shineOf(p, whole, ring, bareAt, lab, ground, RING_MM),
    edges: cellEdges(p, cell, bareAt),
  };
}

/** Largest number of samples along a side of a plain cell: boards are read more coarsely than sheets. */
const MOST_SAMPLES = 160;

/** Values less the plane that fits them best: over a large cell what is left of the light is no streak. */
function withoutSlope(points: readonly { readonly x: number; readonly y: number; readonly value: number }[]): number[] {
  const n = points.length;
  const mean = (of: (p: (typeof points)[number]) => number) => points.reduce((s, p) => s + of(p), 0) / n;
  const [mx, my, mv] = [mean((p) => p.x), mean((p) => p.y), mean((p) => p.value)];
  const [sxx, sxy, syy] = [
    mean((p) => (p.x - mx) ** 2),
    mean((p) => (p.x - mx) * (p.y - my)),
    mean((p) => (p.y - my) ** 2),
  ];
  const [sxv, syv] = [mean((p) => (p.x - mx) * (p.value - mv)), mean((p) => (p.y - my) * (p.value - mv))];
  const det = sxx * syy - sxy * sxy;
  const [a, b] = det > 1e-9 ? [(sxv * syy - syv * sxy) / det, (syv * sxx - sxv * sxy) / det] : [0, 0];
  return points.map((p) => p.value - a * (p.x - mx) - b * (p.y - my));
}

/** Reads a cell that has nothing printed round it: what stayed bare and what went past its line can't be told. */
export function readPlainCell(photo: Photo, calibration: Calibration, cell: BoxMm): CellReading {
  const [dx, dy] = [((1 - INNER) / 2) * cell.widthMm, ((1 - INNER) / 2) * cell.heightMm];
  const box: BoxMm = {
    xMm: cell.xMm + dx,
    yMm: cell.yMm + dy,
    widthMm: INNER * cell.widthMm,
    heightMm: INNER * cell.heightMm,
  };
  const step = Math.max(SAMPLE_MM, Math.max(box.widthMm, box.heightMm) / MOST_SAMPLES);
  const p = patchwork(photo, calibration, box, step);
  const places = Array.from(p.y.keys()).filter((i) => !Number.isNaN(p.y[i] as number));
  const soft = gaussianBlur(p.y, p.samples.columns, p.samples.rows, Math.max(0.5, STREAK_BLUR_MM / step));
  return {
    lab: trimmedMean(p, places),
    spread: deviation(
      withoutSlope(
        places.map((i) => ({
          x: i % p.samples.columns,
          y: Math.floor(i / p.samples.columns),
          value: luminanceToLightness(soft[i] as number),
        })),
      ),
    ),
    bareGround: null,
    overflow: null,
    clipped: places.filter((i) => p.samples.clipped[i] === 1).length / places.length,
    shine: { rise: 0, overPaper: 0 },
    edges: null,
  };
}

/** Bare places bleed this far into what is blurred beside them. */
const BLEED_MM = 1;

/** Painted places with nothing nearer to the ground than to the paint about them: spread is told of paint alone. */
function awayFromGround(
  p: Patchwork,
  painted: readonly number[],
  own: Triple,
  ground: Triple,
  apart: boolean,
): readonly number[] {
  if (!apart) return painted;
  const { columns, rows } = p.samples;
  const middle = lightnessToLuminance((own[0] + ground[0]) / 2);
  const reach = Math.round(BLEED_MM / SAMPLE_MM);
  const lighter = new Uint8Array(p.y.length);
  let any = false;
  for (let i = 0; i < lighter.length; i++)
    if ((p.y[i] as number) >= middle) {
      lighter[i] = 1;
      any = true;
    }
  if (!any) return painted;
  const near = grown(lighter, columns, rows, reach);
  return painted.filter((i) => near[i] === 0);
}
