/**
 * Printed edges found to a fraction of a pixel: a profile of green codes is taken across where the
 * edge should be, and the edge is the centroid of its steepest rise. The ratio of its height to its
 * steepest slope is its width (for a Gaussian blur within 2 % of the distance from 10 to 90 %).
 */
import { median } from '../fitting/quantile';
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { EdgeFix, Plane } from './plane';
import { toPhoto } from './plane';

export interface EdgeProbe {
  readonly xMm: number;
  readonly yMm: number;
  /** Unit vector on the sheet from dark to light. */
  readonly nx: number;
  readonly ny: number;
  /** How far a profile may reach before it meets another edge of the same sense. */
  readonly reachMm: number;
}

export interface FoundEdge extends EdgeFix {
  readonly probe: EdgeProbe;
  readonly widthMm: number;
}

/** How much printed edges are blurred, mm from dark to light, for the most part; Infinity where none was found. */
export const blurOf = (edges: readonly Pick<FoundEdge, 'widthMm'>[]): number =>
  edges.length === 0 ? Number.POSITIVE_INFINITY : median(edges.map((e) => e.widthMm));

const STEPS = 48;

/** Probes along the sides of a dark box that stands on white; `each` to a side. */
export function boxProbes(box: BoxMm, each: number, reachMm: number, insetMm = 1): EdgeProbe[] {
  const probes: EdgeProbe[] = [];
  const { xMm, yMm, widthMm, heightMm } = box;
  for (let i = 0; i < each; i++) {
    const t = (i + 0.5) / each;
    if (widthMm > 2 * insetMm) {
      const x = xMm + insetMm + t * (widthMm - 2 * insetMm);
      probes.push({ xMm: x, yMm, nx: 0, ny: -1, reachMm });
      probes.push({ xMm: x, yMm: yMm + heightMm, nx: 0, ny: 1, reachMm });
    }
    if (heightMm > 2 * insetMm) {
      const y = yMm + insetMm + t * (heightMm - 2 * insetMm);
      probes.push({ xMm, yMm: y, nx: -1, ny: 0, reachMm });
      probes.push({ xMm: xMm + widthMm, yMm: y, nx: 1, ny: 0, reachMm });
    }
  }
  return probes;
}

/** Bilinear green code at a photo position, or NaN outside. */
function greenAt(photo: Photo, x: number, y: number): number {
  const px = x - 0.5;
  const py = y - 0.5;
  const x0 = Math.floor(px);
  const y0 = Math.floor(py);
  if (x0 < 0 || y0 < 0 || x0 + 1 >= photo.width || y0 + 1 >= photo.height) return Number.NaN;
  const fx = px - x0;
  const fy = py - y0;
  const d = photo.stored.data;
  const p = photo.origin + y0 * photo.alongY + x0 * photo.alongX + 1;
  const q = p + photo.alongY;
  return (
    ((d[p] as number) * (1 - fx) + (d[p + photo.alongX] as number) * fx) * (1 - fy) +
    ((d[q] as number) * (1 - fx) + (d[q + photo.alongX] as number) * fx) * fy
  );
}

/** Written over by each probe: some thousand are looked at in one photograph. */
const profile = new Float64Array(STEPS + 1);
const slope = new Float64Array(STEPS + 1);

/** The edge near a probe, or null where the contrast is too small or the picture ends. */
export function findEdge(
  photo: Photo,
  plane: Plane,
  probe: EdgeProbe,
  windowMm: number,
  minContrast = 24,
): FoundEdge | null {
  const reach = Math.min(windowMm, probe.reachMm);
  const from = toPhoto(plane, probe.xMm - probe.nx * reach, probe.yMm - probe.ny * reach);
  const to = toPhoto(plane, probe.xMm + probe.nx * reach, probe.yMm + probe.ny * reach);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (!(length > 3)) return null;
  for (let i = 0; i <= STEPS; i++) {
    const t = i / STEPS;
    const v = greenAt(photo, from.x + t * (to.x - from.x), from.y + t * (to.y - from.y));
    if (Number.isNaN(v)) return null;
    profile[i] = v;
  }
  const span = Math.max(1, Math.round((1.2 * STEPS) / length));
  let peak = 0;
  let at = -1;
  for (let i = span; i <= STEPS - span; i++) {
    const s = ((profile[i + span] as number) - (profile[i - span] as number)) / (2 * span);
    slope[i] = s;
    if (s > peak) {
      peak = s;
      at = i;
    }
  }
  if (at < 0) return null;
  let lo = at;
  let hi = at;
  while (lo > span && (slope[lo - 1] as number) > 0.1 * peak) lo--;
  while (hi < STEPS - span && (slope[hi + 1] as number) > 0.1 * peak) hi++;
  const rise = (profile[Math.min(STEPS, hi + span)] as number) - (profile[Math.max(0, lo - span)] as number);
  if (rise < minContrast) return null;
  let sum = 0;
  let moment = 0;
  for (let i = lo; i <= hi; i++) {
    sum += slope[i] as number;
    moment += i * (slope[i] as number);
  }
  const t = moment / sum / STEPS;
  return {
    probe,
    mm: { x: probe.xMm, y: probe.yMm },
    photo: { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) },
    normal: { x: (to.x - from.x) / length, y: (to.y - from.y) / length },
    widthMm: ((rise / peak) * 2 * reach) / STEPS,
  };
}
