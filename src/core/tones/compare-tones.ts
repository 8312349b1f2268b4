/**
 * A painting's tones against a reference's, place by place: how much agrees, as drawn, beside outlines, after the best shift,
 * and beyond chance (J. Cohen, "A coefficient of agreement for nominal scales", Educational and Psychological Measurement
 * 20, 1960).
 */
import { squaredDistances } from '../raster/distance';
import { outlinesOf } from './tidy';
import { sharesOf, toneShapes } from './tones';

export interface TonePlane {
  /** Tone of each place, 1 the lightest; 0 where none is known. */
  readonly toneOf: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Beside outlines of the reference this share of the longer side is left out of the tolerant agreement, and is no flipped shape. */
const OUTLINE = 0.01;
/** A picture is looked for this far from where it should be, as a share of the longer side. */
const MOST_SHIFT = 0.06;

export interface Shift {
  /** Places by which the painting lies to the right of, and below, where the reference has it. */
  readonly x: number;
  readonly y: number;
}

export interface ToneAgreement {
  readonly agreement: number;
  readonly agreementTolerant: number;
  readonly agreementAligned: number;
  /** Null where chance alone would agree. */
  readonly kappa: number | null;
  readonly shift: Shift;
}

/** Share of the places with a tone in both, and how many there are of those; every `step`th place is asked. */
function agree(drawn: TonePlane, wanted: TonePlane, { x: sx, y: sy }: Shift, step: number): number {
  const { width, height } = wanted;
  let [same, both] = [0, 0];
  for (let y = Math.max(0, -sy); y < Math.min(height, height - sy); y += step)
    for (let x = Math.max(0, -sx); x < Math.min(width, width - sx); x += step) {
      const [a, b] = [drawn.toneOf[(y + sy) * width + x + sx] as number, wanted.toneOf[y * width + x] as number];
      if (a === 0 || b === 0) continue;
      both++;
      if (a === b) same++;
    }
  return both === 0 ? 0 : same / both;
}

/** The shift after which most agrees: coarsely over all that is allowed, then finer about the best. */
function bestShift(drawn: TonePlane, wanted: TonePlane): Shift {
  const most = Math.round(MOST_SHIFT * Math.max(wanted.width, wanted.height));
  let best = { x: 0, y: 0, share: agree(drawn, wanted, { x: 0, y: 0 }, 1) };
  for (let stride = 8, reach = most; stride >= 1; stride /= 2, reach = 2 * stride) {
    const { x: cx, y: cy } = best;
    for (let dy = -reach; dy <= reach; dy += stride)
      for (let dx = -reach; dx <= reach; dx += stride) {
        const shift = { x: cx + dx, y: cy + dy };
        if (Math.abs(shift.x) > most || Math.abs(shift.y) > most) continue;
        const share = agree(drawn, wanted, shift, stride);
        // What agrees no better is no reason to move.
        if (share > best.share + 1e-4) best = { ...shift, share };
      }
  }
  return { x: best.x, y: best.y };
}

/** Agreement of two planes of one size. Throws RangeError where sizes differ. */
export function toneAgreement(drawn: TonePlane, wanted: TonePlane, count: number): ToneAgreement {
  if (drawn.width !== wanted.width || drawn.height !== wanted.height)
    throw new RangeError(
      `Tones of ${drawn.width} x ${drawn.height} places can't be compared with ${wanted.width} x ${wanted.height}.`,
    );
  const none = { x: 0, y: 0 };
  const agreement = agree(drawn, wanted, none, 1);
  const near = (OUTLINE * Math.max(wanted.width, wanted.height)) ** 2;
  const far = squaredDistances(outlinesOf(wanted.toneOf, wanted.width), wanted.width, wanted.height);
  const inside = { ...wanted, toneOf: wanted.toneOf.map((t, i) => ((far[i] as number) > near ? t : 0)) };
  const [a, b] = [sharesOf(drawn.toneOf, count), sharesOf(wanted.toneOf, count)];
  const chance = a.reduce((s, share, k) => s + share * (b[k] as number), 0);
  const shift = bestShift(drawn, wanted);
  return {
    agreement,
    agreementTolerant: agree(drawn, inside, none, 1),
    agreementAligned: agree(drawn, wanted, shift, 1),
    kappa: chance >= 1 ? null : (agreement - chance) / (1 - chance),
    shift,
  };
}

export interface FlippedRegion {
  /** Shares of the picture. */
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly area: number;
  readonly drawn: number;
  readonly wanted: number;
}

/** Smaller regions (share of the picture) are the student's choice. */
const LEAST_AREA = 0.002;

interface Flips {
  /** Which pair of tones (drawn * 16 + wanted) each place is flipped between; 0 where it is not. */
  readonly codes: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/**
 * Places that were drawn in another tone than was wanted: only where the difference is wider than an outline that strays,
 * twice the outline's share of the longer side. `shift` is the painting's own, so that a picture that sits a little off is
 * not told again in every shape.
 */
function flips(drawn: TonePlane, wanted: TonePlane, shift: Shift): Flips {
  const { width, height } = wanted;
  // Every pair of tones is a code of its own; 0 where both agree or one is not known.
  const codes = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [x + shift.x, y + shift.y];
      const a = u < 0 || v < 0 || u >= width || v >= height ? 0 : (drawn.toneOf[v * width + u] as number);
      const b = wanted.toneOf[y * width + x] as number;
      codes[y * width + x] = a === 0 || b === 0 || a === b ? 0 : a * 16 + b;
    }
  const reach = OUTLINE * Math.max(width, height);
  const deep = squaredDistances(outlinesOf(codes, width), width, height);
  const core = codes.map((c, i) => (c > 0 && (deep[i] as number) > reach * reach ? 1 : 0));
  const fromCore = squaredDistances(core, width, height);
  return { width, height, codes: codes.map((c, i) => (c > 0 && (fromCore[i] as number) <= (reach + 1) ** 2 ? c : 0)) };
}

export interface FlippedShapes {
  readonly regions: readonly FlippedRegion[];
  /** Number from 1 of the region that each place is of, on the reference's grid; 0 where nothing is flipped. */
  readonly regionOf: Uint16Array;
}

/** Regions of flipped places, largest first, and where each lies. */
export function flippedShapes(drawn: TonePlane, wanted: TonePlane, shift: Shift): FlippedShapes {
  const { codes, width, height } = flips(drawn, wanted, shift);
  const { shapes, shapeOf } = toneShapes(codes, width);
  const regions: FlippedRegion[] = [];
  const number = shapes.map(({ tone: code, box, places }) => {
    const area = places / codes.length;
    if (code === 0 || area < LEAST_AREA) return 0;
    return regions.push({
      box: {
        x: box.x0 / width,
        y: box.y0 / height,
        width: (box.x1 - box.x0) / width,
        height: (box.y1 - box.y0) / height,
      },
      area,
      drawn: code >> 4,
      wanted: code & 15,
    });
  });
  return { regions, regionOf: Uint16Array.from(shapeOf, (s) => number[s] as number) };
}

export const flippedRegions = (drawn: TonePlane, wanted: TonePlane, shift: Shift): readonly FlippedRegion[] =>
  flippedShapes(drawn, wanted, shift).regions;
