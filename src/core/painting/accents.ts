/**
 * Thin accents that carry a drawing (a crevice, a line between skin and cloth, a stroke of light): those of the reference
 * looked for in the painting, and those that only the painting has. A line is what is darker, or lighter, than what lies to
 * both sides of it; how wide it is comes out of how much of it there is beside how strong it is.
 */
import type { ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { quickBlur } from '../raster/blur';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { piecesOf } from '../raster/pieces';
import { zoneOf } from '../raster/zone';
import type { OpenCv } from '../vision/opencv';
import { type Envelopes, envelopesOf, thinLines } from '../vision/thin-lines';
import type { PaintingResult } from './result';
import { curved, type ValueCurve } from './value-curve';

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

/** Lines among the places that stand out of a plane. */
function linesOf(out: Float32Array, lightness: Float32Array, width: number, height: number): Line[] {
  const rim = Math.ceil(RIM * width);
  const stands = new Uint8Array(out.length);
  for (let y = rim; y < height - rim; y++)
    for (let i = y * width + rim; i < (y + 1) * width - rim; i++)
      if ((out[i] as number) >= STANDS_OUT.from) stands[i] = 1;
  const pieces = piecesOf(stands, width);
  return pieces.flatMap((places): Line[] => {
    let strongest = 0;
    for (const i of places) strongest = Math.max(strongest, out[i] as number);
    if (strongest < STANDS_OUT.at) return [];
    const around = boxOfPlaces(places, width);
    if (!around) return [];
    const [x0, y0, x1, y1] = around;
    // The longer diagonal: bent lines are a little longer.
    const long = Math.hypot(x1 - x0, y1 - y0);
    if (long < LONG.least * width || long * long < LONG.times * places.length) return [];
    if (isTip({ places, wide: places.length / long }, out, lightness, width, height)) return [];
    return [{ places, long, box: shareBox(around, { width, height }) }];
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

/** What became of a line that was wanted; null where it is as it should be. */
function fate(wanted: { peak: number; mass: number }, painted: { peak: number; mass: number }): Accent['kind'] | null {
  const mass = painted.mass / wanted.mass;
  if (mass < LEFT.missing) return 'missing';
  if (mass > LEFT.more) return 'wide';
  if (mass > LEFT.less) return null;
  const peak = painted.peak / wanted.peak;
  return mass < LEFT.narrower * peak ? 'thin' : 'weak';
}

/** A plane of L* in which thin lines can be looked for. */
export interface Lined extends Plane {
  readonly envelopes: Envelopes;
}

/** What was wanted is as soft as what is read of a painting: neither is to be sharper than the other. */
export function softened(cv: OpenCv, { width, height, data }: Plane): Lined {
  return lined(cv, { width, height, data: quickBlur(data, width, height, SOFT * width) });
}

export const lined = (cv: OpenCv, plane: Plane): Lined => ({
  ...plane,
  envelopes: envelopesOf(cv, plane, WIDEST * plane.width),
});

/** The same under a curve: it rises, so that closings and openings follow it. */
export const curvedLines = ({ envelopes: { closed, opened }, data, ...grid }: Lined, curve: ValueCurve): Lined => ({
  ...grid,
  data: curved(curve, data),
  envelopes: { closed: curved(curve, closed), opened: curved(curve, opened) },
});

/**
 * Accents that are not as the reference has them. `wanted` is L* as the reference should have become with the whole of the
 * painting taken into account, `painted` what it became on the same places.
 */
export function accentsOf(wanted: Lined, painted: Lined): Accent[] {
  const { width, height } = wanted;
  const [outWanted, outPainted] = [wanted, painted].map(({ data, envelopes }) => thinLines(data, envelopes));
  return (['dark', 'light'] as const).flatMap((side) => {
    const [a, b] = [outWanted?.[side], outPainted?.[side]];
    if (!a || !b) return [];
    const light = side === 'light';
    const told = linesOf(a, wanted.data, width, height).flatMap(({ places, long, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, wanted);
      const [wants, has] = [strengthOf(zone, long, a), strengthOf(zone, long, b)];
      const kind = fate(wants, has);
      return kind ? [{ box, kind, light, amount: has.mass / wants.mass }] : [];
    });
    const extra = linesOf(b, painted.data, width, height).flatMap(({ places, long, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, painted);
      const amount = strengthOf(zone, long, a).mass / strengthOf(zone, long, b).mass;
      return amount < LEFT.missing ? [{ box, kind: 'extra', light, amount }] : [];
    });
    return [...told, ...extra];
  });
}
