/**
 * Thin accents that carry a drawing (a crevice, a line between skin and cloth, a stroke of light): those of the reference
 * looked for in the painting, and those that only the painting has. A line is what is darker, or lighter, than what lies to
 * both sides of it; how wide it is comes out of how much of it there is beside how strong it is.
 */
import type { ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';
import { piecesOf } from '../raster/pieces';
import type { OpenCv } from '../vision/opencv';
import { thinLines } from '../vision/thin-lines';
import type { PaintingResult } from './result';

/** `light`: whether it is, or should be, lighter than what lies about it. */
type Accent = Omit<PaintingResult['accents'][number], 'id'>;

/** What was wanted is softened by this, widths, as reading softens what was painted: neither is to be sharper than the other. */
const SOFT = 0.0015;
/** Wider than this (widths) is a shape and no line. */
const WIDEST = 0.02;
/** A line stands out by this, L*, where it is strongest, and reaches as far as it stands out by the lower one. */
const STANDS_OUT = { at: 10, from: 5 } as const;
/** Lines are longer than this, widths, and so many times longer than they are wide. */
const LONG = { least: 0.045, times: 3 } as const;
/** So near to the picture's edge, widths, a stripe is where the painting ends. */
const RIM = 0.008;
/** The hand strays by this, widths. */
const STRAY = 0.007;
/**
 * How much of the line that was wanted there is in all, and below which width, of what it should be, what is less of it is
 * thinner and not only weaker. A line near the limit of what a photograph shows looks hardly narrower than it is weak.
 */
const LEFT = { missing: 0.26, less: 0.64, more: 1.5, narrower: 0.97 } as const;
/**
 * A line that goes on into its surroundings over more than so many times its own width is the tip of a shape: that is widest
 * where it goes on, and a line only ends there.
 */
const TIP = 2.5;

interface Line {
  readonly places: Int32Array;
  /** About how many places long. */
  readonly long: number;
  readonly box: ShareBox;
}

/** Places across and down, of which a piece is the longer diagonal: bent lines are a little longer. */
function extentOf(places: Int32Array, width: number): [number, number, number, number] {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -1, -1];
  for (const i of places) {
    const [x, y] = [i % width, Math.floor(i / width)];
    [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x + 1), Math.max(y1, y + 1)];
  }
  return [x0, y0, x1, y1];
}

/** Lines among the places that stand out of a plane. */
function linesOf(out: Float32Array, lightness: Float32Array, width: number, height: number): Line[] {
  const rim = RIM * width;
  const stands = Uint8Array.from(out, (d, i) => {
    const [x, y] = [(i % width) + 0.5, Math.floor(i / width) + 0.5];
    const inside = x > rim && y > rim && x < width - rim && y < height - rim;
    return inside && d >= STANDS_OUT.from ? 1 : 0;
  });
  const pieces = piecesOf(stands, width);
  return pieces.flatMap((places): Line[] => {
    let strongest = 0;
    for (const i of places) strongest = Math.max(strongest, out[i] as number);
    if (strongest < STANDS_OUT.at) return [];
    const [x0, y0, x1, y1] = extentOf(places, width);
    const long = Math.hypot(x1 - x0, y1 - y0);
    if (long < LONG.least * width || long * long < LONG.times * places.length) return [];
    if (isTip({ places, wide: places.length / long }, out, lightness, width, height)) return [];
    const box = { x: x0 / width, y: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height };
    return [{ places, long, box }];
  });
}

/** Whether what lies about a line goes on as it is: the end of a shape is thin, and no accent. */
function isTip(
  { places, wide }: { readonly places: Int32Array; readonly wide: number },
  out: Float32Array,
  lightness: Float32Array,
  width: number,
  height: number,
): boolean {
  const own = new Set(places);
  // Well beside a line nothing of it is left.
  const beside = Math.ceil((WIDEST * width) / 2);
  let like = 0;
  for (const i of places) {
    const [x, y] = [i % width, Math.floor(i / width)];
    for (const [dx, dy] of [
      [beside, 0],
      [-beside, 0],
      [0, beside],
      [0, -beside],
    ] as const) {
      const k = (y + dy) * width + x + dx;
      if (x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height || own.has(k)) continue;
      if (Math.abs((lightness[k] as number) - (lightness[i] as number)) < (out[i] as number) / 2) like++;
    }
  }
  return like > TIP * beside * wide;
}

/** How strong a line is in a plane of what stands out: of so many places of its zone as it is long, and all in all. */
function strengthOf(zone: Int32Array, long: number, out: Float32Array): { peak: number; mass: number } {
  const values = Float32Array.from(zone, (i) => out[i] as number).sort();
  const count = Math.max(1, Math.min(values.length, Math.round(long)));
  const sum = (from: number) => values.subarray(from).reduce((a, b) => a + b, 0);
  return { peak: sum(values.length - count) / count, mass: sum(0) };
}

/** Places within reach of a line. */
function zoneOf(places: Int32Array, reach: number, width: number, height: number): Int32Array {
  const [x0, y0, x1, y1] = extentOf(places, width);
  const pad = Math.ceil(reach);
  const [left, top] = [Math.max(0, x0 - pad), Math.max(0, y0 - pad)];
  const [wide, tall] = [Math.min(width, x1 + pad) - left, Math.min(height, y1 + pad) - top];
  const mask = new Uint8Array(wide * tall);
  for (const i of places) mask[(Math.floor(i / width) - top) * wide + (i % width) - left] = 1;
  const far = squaredDistances(mask, wide, tall);
  const own: number[] = [];
  far.forEach((d, k) => {
    if (d <= reach * reach) own.push((top + Math.floor(k / wide)) * width + left + (k % wide));
  });
  return Int32Array.from(own);
}

/** What became of a line that was wanted; null where it is as it should be. */
function fate(wanted: { peak: number; mass: number }, painted: { peak: number; mass: number }): Accent['kind'] | null {
  const mass = painted.mass / wanted.mass;
  if (mass < LEFT.missing) return 'missing';
  if (mass > LEFT.more) return 'wide';
  if (mass > LEFT.less) return null;
  const peak = painted.peak / wanted.peak;
  return mass < LEFT.narrower * peak ? 'thin' : 'weak';
}

/**
 * Accents that are not as the reference has them. `wanted` is L* as the reference should have become with the whole of the
 * painting taken into account, `painted` what it became on the same places (NaN where nothing was painted).
 */
export function accentsOf(cv: OpenCv, wanted: Plane, painted: Plane): Accent[] {
  const { width, height } = wanted;
  const filled = painted.data.map((l, i) => (Number.isNaN(l) ? (wanted.data[i] as number) : l));
  const want = quickBlur(wanted.data, width, height, SOFT * width);
  const reach = (WIDEST * width) / 2;
  const [outWanted, outPainted] = [want, filled].map((data) => thinLines(cv, data, width, height, reach));
  return (['dark', 'light'] as const).flatMap((side) => {
    const [a, b] = [outWanted?.[side], outPainted?.[side]];
    if (!a || !b) return [];
    const light = side === 'light';
    const told = linesOf(a, want, width, height).flatMap(({ places, long, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, width, height);
      const [wants, has] = [strengthOf(zone, long, a), strengthOf(zone, long, b)];
      const kind = fate(wants, has);
      return kind ? [{ box, kind, light, amount: has.mass / wants.mass }] : [];
    });
    const extra = linesOf(b, filled, width, height).flatMap(({ places, long, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, width, height);
      const amount = strengthOf(zone, long, a).mass / strengthOf(zone, long, b).mass;
      return amount < LEFT.missing ? [{ box, kind: 'extra', light, amount }] : [];
    });
    return [...told, ...extra];
  });
}
