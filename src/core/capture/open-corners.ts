/**
 * A painting whose four corners a person marked, or a whole flat scan: nothing of known lightness is in the picture, so
 * readings are relative, to be placed between two named ends. Where paper shows along both long sides the light is
 * fitted from it; light and paint can't be told apart without it.
 */
import { srgbToLinear } from '../colour/srgb';
import { leastSquares } from '../fitting/least-squares';
import { type BoxMm, boxMm } from '../geometry/box';
import { type Point } from '../geometry/point';
import { cornersFault } from '../geometry/quadrilateral';
import type { Photo } from '../raster/photo';
import type { Calibration } from './calibration';
import { type Plane, planeFromPoints } from './plane';
import { meanCodes, sampleBox } from './sample';
import { exposureOfCode, logLight, type ToneCurve } from './tone-curve';

/** The corners can't be those of a painting; `message` says why. */
export class BadCorners extends Error {
  override readonly name = 'BadCorners';
}

/** Smallest side, photo pixels. */
export const LEAST_SIDE = 24;

/** Throws BadCorners where the corners cross, run the wrong way round, bend inwards, lie outside or enclose nothing. */
export function checkCorners(corners: readonly Point[], width: number, height: number): void {
  if (corners.length !== 4) throw new BadCorners(`Give four corners, got ${corners.length}.`);
  if (
    corners.some(
      (c) =>
        !Number.isFinite(c.x) || !Number.isFinite(c.y) || c.x < -1 || c.y < -1 || c.x > width + 1 || c.y > height + 1,
    )
  )
    throw new BadCorners(`A corner lies outside the picture of ${width} x ${height} pixels.`);
  const fault = cornersFault(corners);
  const sides = corners.map((c, i) =>
    Math.hypot((corners[(i + 1) % 4] as Point).x - c.x, (corners[(i + 1) % 4] as Point).y - c.y),
  );
  const area =
    Math.abs(
      corners.reduce(
        (s, c, i) => s + c.x * (corners[(i + 1) % 4] as Point).y - c.y * (corners[(i + 1) % 4] as Point).x,
        0,
      ),
    ) / 2;
  if (Math.min(...sides) < 2 || fault === 'empty')
    throw new BadCorners('The corners enclose nothing: put one on each corner of the painting.');
  if (fault === 'turned-round')
    throw new BadCorners('The corners run the wrong way round: top left, top right, bottom right, bottom left.');
  if (fault === 'crossed')
    throw new BadCorners(
      'The lines between the corners cross or bend inwards: top left, top right, bottom right, bottom left.',
    );
  if (area < 100) throw new BadCorners('The corners enclose nothing: put one on each corner of the painting.');
  if (Math.min(...sides) < LEAST_SIDE)
    throw new BadCorners(
      `The painting is too small in the picture: each side must be at least ${LEAST_SIDE} pixels long.`,
    );
}

/** Sizes are not known: the longer side is called this long, mm. */
const LONG_MM = 200;

export interface MarkedPlace {
  readonly plane: Plane;
  readonly box: BoxMm;
}

/** The plane of the marked painting, its longer side called 200 mm. */
export function markedPlace(corners: readonly Point[], photoWidth: number, photoHeight: number): MarkedPlace {
  const [a, b, c, d] = corners as readonly [Point, Point, Point, Point];
  const side = (p: Point, q: Point) => Math.hypot(p.x - q.x, p.y - q.y);
  const [across, down] = [(side(a, b) + side(d, c)) / 2, (side(a, d) + side(b, c)) / 2];
  const [w, h] = across >= down ? [LONG_MM, (LONG_MM * down) / across] : [(LONG_MM * across) / down, LONG_MM];
  const mm = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ];
  return {
    plane: planeFromPoints(
      mm.map((m, i) => ({ mm: m, photo: corners[i] as Point })),
      photoWidth,
      photoHeight,
    ),
    box: boxMm(0, 0, w, h),
  };
}

/**
 * What phones do on the average: a gentle S about middle grey (strengths 0 to 0.35 and more are seen). A prior, not a
 * measurement: it halves the error that taking the codes for sRGB makes.
 */
const USUAL_S = 0.15;

function priorTable(s: number): Float64Array {
  const forward = (v: number) => v + s * (v * v * (3 - 2 * v) - v);
  return Float64Array.from({ length: 256 }, (_, code) => {
    let [lo, hi] = [0, 1];
    for (let k = 0; k < 40; k++) {
      const middle = (lo + hi) / 2;
      if (forward(middle) < code / 255) lo = middle;
      else hi = middle;
    }
    return srgbToLinear((lo + hi) / 2);
  });
}

/** Offsets from a long side, as shares of the short one, at which paper is looked for. */
const OFFSETS = [0.035, 0.05, 0.07, 0.1] as const;
const PLACES = 36;
/** Paper agrees with smooth light to within this (ln); this share of places on each side must. */
const AGREES = 0.035;
const NEEDED = 0.6;

interface PaperPlace {
  readonly x: number;
  readonly y: number;
  readonly codes: readonly [number, number, number];
  readonly side: 0 | 1;
}

/** The brightest of the places beside each stretch of both long sides: paper, unless something lies on it. */
function besideLongSides(photo: Photo, { plane, box }: MarkedPlace): PaperPlace[] {
  const wide = box.widthMm >= box.heightMm;
  const [long, short] = wide ? [box.widthMm, box.heightMm] : [box.heightMm, box.widthMm];
  const size = 0.02 * short + 0.3;
  return ([0, 1] as const).flatMap((side) =>
    Array.from({ length: PLACES }, (_, i) => ((i + 0.5) * long) / PLACES).flatMap((along): PaperPlace[] => {
      const seen = OFFSETS.flatMap((o) => {
        const off = side === 0 ? -o * short : short * (1 + o);
        const [x, y] = wide ? [along, off] : [off, along];
        const mean = meanCodes(sampleBox(photo, plane, boxMm(x - size / 2, y - size / 2, size, size), size / 3));
        return mean && mean.clipped < 0.1 ? [{ x, y, codes: mean.codes }] : [];
      });
      const best = seen.sort((a, b) => b.codes[1] - a.codes[1])[0];
      return best ? [{ ...best, side }] : [];
    }),
  );
}

/** ln light over the painting: x, y, x², xy, x³ along it from both rims, y only as a slope; null where no paper agrees. */
function lightFrom(
  places: readonly PaperPlace[],
  box: BoxMm,
  table: Float64Array,
): { light: number[][]; agreeing: number } | null {
  if (places.length < PLACES) return null;
  const curve = { table } as ToneCurve;
  const at = (p: PaperPlace) => [(2 * p.x) / box.widthMm - 1, (2 * p.y) / box.heightMm - 1] as const;
  const wide = box.widthMm >= box.heightMm;
  // Along the painting richly, across it only a slope: between the two rims nothing is known.
  const terms = wide ? [0, 1, 2, 3, 5] : [0, 1, 3, 4, 8];
  const light: number[][] = [];
  let agreeing = 0;
  for (const c of [0, 1, 2] as const) {
    const logs = places.map((p) => Math.log(Math.max(1e-4, exposureOfCode(curve, p.codes[c]))));
    const fit = leastSquares({
      start: [logs.reduce((a, b) => a + b, 0) / logs.length, ...terms.map(() => 0)],
      residuals: places.length + terms.length,
      robustCount: places.length,
      softScale: 0.015,
      maxIterations: 30,
      evaluate(q, out) {
        const full = new Array<number>(9).fill(0);
        terms.forEach((t, k) => (full[t] = q[k + 1] as number));
        places.forEach((p, i) => (out[i] = (q[0] as number) + logLight(full, ...at(p)) - (logs[i] as number)));
        terms.forEach((_, k) => (out[places.length + k] = 0.01 * (q[k + 1] as number)));
      },
    });
    const full = new Array<number>(9).fill(0);
    terms.forEach((t, k) => (full[t] = fit.parameters[k + 1] as number));
    light.push(full);
    if (c === 1) {
      const shares = [0, 1].map((side) => {
        const own = places.flatMap((p, i) => (p.side === side ? [Math.abs(fit.residuals[i] as number)] : []));
        return own.filter((r) => r < AGREES).length / Math.max(1, own.length);
      });
      agreeing = Math.min(...shares);
    }
  }
  return agreeing >= NEEDED ? { light, agreeing } : null;
}

/** 95 % half-widths of a relative reading between the ends, L*. */
export const RELATIVE_HALF_WIDTH = { paper: 1.6, none: 4, scan: 3 } as const;
export type PaperSeen = keyof typeof RELATIVE_HALF_WIDTH;

export interface OpenedMarked extends MarkedPlace {
  readonly calibration: Calibration;
  readonly paper: PaperSeen;
}

/** Calibrates a marked painting as far as it can be; a scan's light is taken to be even and its codes to be sRGB. */
export function openMarked(photo: Photo, corners: readonly Point[], scan: boolean): OpenedMarked {
  checkCorners(corners, photo.width, photo.height);
  const place = markedPlace(corners, photo.width, photo.height);
  const table = priorTable(scan ? 0 : USUAL_S);
  const found = scan ? null : lightFrom(besideLongSides(photo, place), place.box, table);
  const paper: PaperSeen = scan ? 'scan' : found ? 'paper' : 'none';
  const flat = new Array<number>(9).fill(0);
  const curve = (c: number): ToneCurve => ({ table, light: found?.light[c] ?? flat, stray: 0, darkLightRatio: 1 });
  const half = RELATIVE_HALF_WIDTH[paper];
  const calibration: Calibration = {
    plane: place.plane,
    extent: place.box,
    patches: [],
    profile: { basis: 'nominal', paper: [100, 0, 0], greys: [[0, 0, 0]], chroma: null, halfWidth: () => 0 },
    curves: [curve(0), curve(1), curve(2)],
    matrix: photo.primaries,
    coloursMeasured: false,
    knownLight: null,
    anchor: null,
    whites: [],
    cardMisfit: () => 0,
    fitHalfWidth: () => half,
  };
  return { ...place, calibration, paper };
}

/** What brings `light` and `dark` (luminance as read) to the two ends: a gain, after an offset is taken off. */
export function anchorOf(
  read: { readonly light: number; readonly dark: number },
  ends: { readonly light: number; readonly dark: number },
): { readonly gain: number; readonly offset: number } {
  const gain = (ends.light - ends.dark) / Math.max(1e-6, read.light - read.dark);
  return { gain, offset: read.light - ends.light / gain };
}

/** The same calibration with what reads `light` and `dark` (luminance as read) placed at the two ends. */
export function anchored(
  calibration: Calibration,
  read: { readonly light: number; readonly dark: number },
  ends: { readonly light: number; readonly dark: number },
): Calibration {
  return { ...calibration, anchor: anchorOf(read, ends) };
}
