/**
 * Thin accents that carry a drawing (a crevice, a line between skin and cloth, a stroke of light): those of the reference
 * looked for in the painting, and those that only the painting has. A line is what is darker, or lighter, than what lies to
 * both sides of it; how wide it is comes out of how much of it there is beside how strong it is.
 */
import type { ShareBox } from '../../geometry/share-box';
import type { Plane } from '../../raster/between';
import { quickBlur } from '../../raster/blur';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { piecesOf } from '../../raster/pieces';
import { zoneOf } from '../../raster/zone';
import type { OpenCv } from '../../vision/opencv';
import { type Envelopes, envelopesOf, thinLines } from '../../vision/thin-lines';
import { crossingsOf, type LineSection, sectionOf, strayed } from './line-section';
import type { PaintingResult } from '../result';
import { curved, type ValueCurve } from '../values/value-curve';

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
/** How much there is of the line that was wanted, roughly seen, of all that lies about it. */
const LEFT = { none: 0.3, less: 0.72, more: 1.4 } as const;
/**
 * Then it is looked at more closely, across itself, and that has to say so too: a missing line does not stand out where it
 * should be strongest; a wide one is so much more in all, and so much more in all than where it is strongest.
 */
const GONE = 0.27;
const WIDE = { more: 1.4, wider: 1.4 } as const;
/** What is less of a line is thinner, and not only weaker, where it is so much less in all than where it is strongest, and still plain there. */
const THINNER = { share: 0.9, plain: 0.44 } as const;
/**
 * A thin one has less than this share left in all, a weak one less than that, in all and where it is strongest together: brushes
 * lose a little of every line.
 */
const LESS = { thin: 0.66, weak: 0.56 } as const;
/** Of a line that only the painting has the reference shows, across it, no more than this share. */
const UNKNOWN = 0.4;
/**
 * A line that goes on into its surroundings over more than so many times its own width is the tip of a shape: that is widest
 * where it goes on, and a line only ends there.
 */
const TIP = 2.5;

interface Line {
  readonly places: Int32Array;
  readonly box: ShareBox;
}

/** What stands out of a plane, L*, and the plane that it stands out of. */
interface Standing extends Plane {
  readonly out: Float32Array;
}

/** The line that some places that hang together are; nothing where they are none. */
function lineOf(places: Int32Array, standing: Standing): Line[] {
  const { out, width, height } = standing;
  let strongest = 0;
  for (const i of places) strongest = Math.max(strongest, out[i] as number);
  if (strongest < STANDS_OUT.at) return [];
  const around = boxOfPlaces(places, width);
  if (!around) return [];
  const [x0, y0, x1, y1] = around;
  // The longer diagonal: bent lines are a little longer.
  const long = Math.hypot(x1 - x0, y1 - y0);
  if (long < LONG.least * width || long * long < LONG.times * places.length) return [];
  if (isTip({ places, wide: places.length / long }, standing)) return [];
  return [{ places, box: shareBox(around, { width, height }) }];
}

/** Lines among the places that stand out of a plane. */
function linesOf(standing: Standing): Line[] {
  const { out, width, height } = standing;
  const rim = Math.ceil(RIM * width);
  const stands = new Uint8Array(out.length);
  for (let y = rim; y < height - rim; y++)
    for (let i = y * width + rim; i < (y + 1) * width - rim; i++)
      if ((out[i] as number) >= STANDS_OUT.from) stands[i] = 1;
  // What runs into something that hardly stands out is a line still where it is strong.
  const strong = new Uint8Array(out.length);
  const lines = piecesOf(stands, width).flatMap((places) => {
    const line = lineOf(places, standing);
    if (line.length === 0) for (const i of places) if ((out[i] as number) >= STANDS_OUT.at) strong[i] = 1;
    return line;
  });
  return [...lines, ...piecesOf(strong, width).flatMap((places) => lineOf(places, standing))];
}

/** Whether what lies about a line goes on as it is: the end of a shape is thin, and no accent. */
function isTip(
  { places, wide }: { readonly places: Int32Array; readonly wide: number },
  { out, data: lightness, width, height }: Standing,
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

/** How much of a line there is in all: what stands out of its zone. */
const strengthOf = (zone: Int32Array, out: Float32Array): number =>
  zone.reduce((sum, i) => sum + (out[i] as number), 0);

type Amount = 'less' | 'more';

function amountOf(share: number): Amount | null {
  if (share < LEFT.less) return 'less';
  return share > LEFT.more ? 'more' : null;
}

/** What became of a line of which there is not as much as was wanted, from what it is across; null where that says otherwise. */
function fate(roughly: Amount, wanted: LineSection | null, painted: LineSection | null): Accent['kind'] | null {
  if (!wanted || !painted || wanted.peak < STANDS_OUT.at) return null;
  const [mass, peak] = [painted.mass / wanted.mass, painted.peak / wanted.peak];
  if (roughly === 'more') return mass > WIDE.more && mass > WIDE.wider * peak ? 'wide' : null;
  if (peak < GONE) return 'missing';
  if (peak >= THINNER.plain && mass < THINNER.share * peak) return mass < LESS.thin ? 'thin' : null;
  return (mass + peak) / 2 < LESS.weak ? 'weak' : null;
}

/** What was wanted and what was painted on the same places, with all its grain. */
export interface Grainy {
  readonly wanted: Plane;
  readonly painted: Plane;
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
 * painting taken into account, `painted` what it became on the same places; `grainy` is asked only where some line is off.
 */
export function accentsOf(wanted: Lined, painted: Lined, grainy: () => Grainy): Accent[] {
  const { width, height } = wanted;
  const [outWanted, outPainted] = [wanted, painted].map(({ data, envelopes }) => thinLines(data, envelopes));
  let seen: Grainy | null = null;
  return (['dark', 'light'] as const).flatMap((side) => {
    const [a, b] = [outWanted?.[side], outPainted?.[side]];
    if (!a || !b) return [];
    const light = side === 'light';
    /** What a line that was found in one of the two is across, in both: where it stands out there, and near it in the other. */
    const sections = (places: Int32Array, foundIn: 'wanted' | 'painted') => {
      seen ??= grainy();
      const [own, other] = foundIn === 'wanted' ? [a, b] : [b, a];
      const found = crossingsOf(places, { width, height, data: own });
      const near = strayed(found, { width, height, data: other }, STRAY * width);
      const [inWanted, inPainted] = foundIn === 'wanted' ? [found, near] : [near, found];
      return {
        wanted: sectionOf(inWanted, seen.wanted, light),
        painted: sectionOf(inPainted, seen.painted, light),
      };
    };
    const told = linesOf({ ...wanted, out: a }).flatMap(({ places, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, wanted);
      const amount = strengthOf(zone, b) / strengthOf(zone, a);
      const roughly = amountOf(amount);
      if (!roughly) return [];
      const across = sections(places, 'wanted');
      const kind = fate(roughly, across.wanted, across.painted);
      return kind ? [{ box, kind, light, amount }] : [];
    });
    const extra = linesOf({ ...painted, out: b }).flatMap(({ places, box }): Accent[] => {
      const zone = zoneOf(places, STRAY * width, painted);
      const amount = strengthOf(zone, a) / strengthOf(zone, b);
      if (amount >= LEFT.none) return [];
      const across = sections(places, 'painted');
      const stands = across.painted !== null && across.painted.peak >= STANDS_OUT.at;
      const known = (across.wanted?.mass ?? 0) > UNKNOWN * (across.painted?.mass ?? 0);
      return stands && !known ? [{ box, kind: 'extra', light, amount }] : [];
    });
    return [...told, ...extra];
  });
}
