/**
 * What a thin line is like across itself: the mean of what lies across it, all along its way. A single crossing is lost in the
 * grain of the paint; tens of them together show how strong and how wide a line is, finer than the places of the plane.
 */
import { between, type Plane } from '../../raster/between';

/** The other places of a line no further off than this, places, say which way it runs. */
const ABOUT = 5;
/** So far to both sides of a line, widths of the picture, and so often a place, it is crossed. */
const REACH = 0.016;
const APART = 0.5;
/** The outermost of a crossing, of its whole length, are what the line lies on; those next to them are on neither. */
const BESIDE = { ground: 0.12, neither: 0.15 } as const;
/** Fewer crossings say nothing. */
const LEAST = 6;

/** Where a line is crossed (places), and which way: a unit normal. */
interface Crossing {
  readonly x: number;
  readonly y: number;
  readonly nx: number;
  readonly ny: number;
}

/** A unit normal of a line at one of its places, from how its other places lie about it; null where there are too few. */
function normalAt(place: number, on: Uint8Array, { width, height }: Plane): { nx: number; ny: number } | null {
  const [x, y] = [place % width, Math.floor(place / width)];
  let [n, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  for (let v = Math.max(0, y - ABOUT); v <= Math.min(height - 1, y + ABOUT); v++)
    for (let u = Math.max(0, x - ABOUT); u <= Math.min(width - 1, x + ABOUT); u++) {
      if (on[v * width + u] !== 1) continue;
      const [dx, dy] = [u - x, v - y];
      n++;
      sx += dx;
      sy += dy;
      xx += dx * dx;
      yy += dy * dy;
      xy += dx * dy;
    }
  if (n < 3) return null;
  const along = 0.5 * Math.atan2(2 * (xy - (sx * sy) / n), xx - (sx * sx) / n - yy + (sy * sy) / n);
  return { nx: -Math.sin(along), ny: Math.cos(along) };
}

/** Crossings of a line at those of its places that stand out most among what lies across; `out` is how much each place does. */
export function crossingsOf(places: Int32Array, out: Plane): Crossing[] {
  const on = new Uint8Array(out.data.length);
  for (const i of places) on[i] = 1;
  return Array.from(places).flatMap((i): Crossing[] => {
    const normal = normalAt(i, on, out);
    if (!normal) return [];
    const { nx, ny } = normal;
    const [x, y] = [(i % out.width) + 0.5, Math.floor(i / out.width) + 0.5];
    const own = out.data[i] as number;
    return own < between(out, x + nx, y + ny) || own < between(out, x - nx, y - ny) ? [] : [{ x, y, nx, ny }];
  });
}

/** The same crossings where another plane stands out most within `reach` places of them: a hand strays. */
export const strayed = (crossings: readonly Crossing[], out: Plane, reach: number): Crossing[] =>
  crossings.map(({ x, y, nx, ny }) => {
    let [most, at] = [-Infinity, 0];
    for (let s = -reach; s <= reach; s += APART) {
      const own = between(out, x + s * nx, y + s * ny);
      if (own > most) [most, at] = [own, s];
    }
    return { x: x + at * nx, y: y + at * ny, nx, ny };
  });

export interface LineSection {
  /** L* by which its strongest stands out of what it lies on. */
  readonly peak: number;
  /** All of it across: L* times places. */
  readonly mass: number;
}

/** The section of a line in a plane of L*; `light` says whether it stands out as lighter. Null where it is crossed too seldom. */
export function sectionOf(crossings: readonly Crossing[], plane: Plane, light: boolean): LineSection | null {
  if (crossings.length < LEAST) return null;
  const half = Math.round((REACH * plane.width) / APART);
  const mean = new Float64Array(2 * half + 1);
  for (const { x, y, nx, ny } of crossings)
    for (let k = 0; k < mean.length; k++) {
      const s = (k - half) * APART;
      mean[k] = (mean[k] as number) + between(plane, x + s * nx, y + s * ny) / crossings.length;
    }
  const ends = Math.max(1, Math.round(BESIDE.ground * mean.length));
  const level = (part: Float64Array) => part.reduce((a, b) => a + b, 0) / part.length;
  const [from, to] = [level(mean.subarray(0, ends)), level(mean.subarray(mean.length - ends))];
  const out = mean.map((l, k) => {
    const ground = from + ((to - from) * (k - (ends - 1) / 2)) / (mean.length - ends);
    return Math.max(0, light ? l - ground : ground - l);
  });
  const skip = Math.round(BESIDE.neither * mean.length);
  const own = out.subarray(skip, out.length - skip);
  return { peak: own.reduce((a, b) => Math.max(a, b), 0), mass: own.reduce((a, b) => a + b, 0) * APART };
}
