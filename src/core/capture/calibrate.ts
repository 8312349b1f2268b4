/** From camera codes to reflectance on one located print: the tone fit of each channel, and how sure it is. */
import { labToLinearRgb } from '../colour/lab';
import { applyMatrix, type ColourMatrix, inverseMatrix, SAME_PRIMARIES } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import { type BoxMm, boxMm, grow } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { blankPlaces } from '../sheet/blank';
import type { ChromaPatchMm } from '../sheet/chroma';
import type { PatchMm } from '../sheet/frame';
import type { SheetLayout } from '../sheet/layout';
import type { CardProfile } from './card-profile';
import { fitColourMatrix } from './colour-matrix';
import type { LeftOutPatch } from './leave-out';
import type { Plane } from './plane';
import { meanCodes, sampleBox, type SheetSamples } from './sample';
import {
  exposureOfCode,
  fitTone,
  type LightModel,
  logLight,
  reflectanceAt,
  type ToneCurve,
  type ToneFit,
} from './tone';
import { type ToneSample } from './tone-sample';

/** One blank place of paper as the photograph shows it. */
export interface WhitePlace {
  readonly xMm: number;
  readonly yMm: number;
  readonly codes: Triple;
  readonly clipped: number;
  /** Reading less what the card says, L*, in green; null where it was left out of the fit. */
  readonly residual: number | null;
}

/** The print that a photograph is calibrated by, where it lies. */
export interface CardInPhoto {
  readonly plane: Plane;
  /** What x and y of the light run over from -1 to 1. */
  readonly extent: BoxMm;
  readonly patches: readonly PatchMm[];
  readonly chroma: readonly ChromaPatchMm[];
  readonly blanks: readonly BoxMm[];
  readonly model: LightModel;
  /** ln of light known from a second photograph, by place in mm; null where there is none. */
  readonly knownLight: ((xMm: number, yMm: number) => number) | null;
}

export interface Calibration {
  readonly plane: Plane;
  readonly extent: BoxMm;
  readonly patches: readonly PatchMm[];
  readonly profile: CardProfile;
  readonly curves: readonly [ToneCurve, ToneCurve, ToneCurve];
  /** The photograph's primaries to sRGB; null where they are the same. */
  readonly matrix: ColourMatrix | null;
  /** Whether the matrix was fitted to coloured patches; else it is what the file says. */
  readonly coloursMeasured: boolean;
  readonly knownLight: CardInPhoto['knownLight'];
  /** Gain and offset on relative luminance that place what was read between two named ends; null where white is known. */
  readonly anchor: { readonly gain: number; readonly offset: number } | null;
  readonly whites: readonly WhitePlace[];
  /** How far patches near a lightness are from what the rest of the card makes of them, L*. */
  cardMisfit(lightness: number): number;
  /** Half-width of a 95 % interval from the fit alone, L*, for a lightness. */
  fitHalfWidth(lightness: number): number;
}

/** A place of which more (as a share) meets the camera's top code tells nothing. */
export const CLIPPED_SHARE = 0.02;

/** The print of a whole sheet as it lies in a photograph; `knownLight` is ln of light by place in mm, where a second photograph tells it. */
export function sheetCard(
  plane: Plane,
  layout: SheetLayout,
  knownLight: CardInPhoto['knownLight'] = null,
): CardInPhoto {
  return {
    plane,
    extent: boxMm(0, 0, layout.widthMm, layout.heightMm),
    patches: layout.patches,
    chroma: layout.chroma,
    blanks: blankPlaces(layout),
    model: 'sheet',
    knownLight,
  };
}

function position(extent: BoxMm, xMm: number, yMm: number): readonly [number, number] {
  return [(2 * (xMm - extent.xMm)) / extent.widthMm - 1, (2 * (yMm - extent.yMm)) / extent.heightMm - 1];
}

interface CardSample {
  readonly xMm: number;
  readonly yMm: number;
  readonly codes: Triple;
  readonly clipped: number;
  /** What is known of it, linear sRGB. */
  readonly known: Triple;
  readonly patch: number;
}

/** Patches are read in this many parts along their longer side, so that light may vary over one. */
const PARTS = 3;

/** Edges of a patch are left out: small patches are photographed from further off. */
const insetOf = (box: BoxMm): number => (Math.min(box.widthMm, box.heightMm) < 11 ? 2 : 1.2);

function partsOf(box: BoxMm): BoxMm[] {
  const inner = grow(box, -insetOf(box));
  return Array.from({ length: PARTS }, (_, k) =>
    boxMm(inner.xMm + (k * inner.widthMm) / PARTS, inner.yMm, inner.widthMm / PARTS, inner.heightMm),
  );
}

function cardSamples(photo: Photo, card: CardInPhoto, profile: CardProfile): CardSample[] {
  const at = (box: BoxMm, stepMm: number, known: Triple, patch: number): CardSample[] => {
    const mean = meanCodes(sampleBox(photo, card.plane, box, stepMm));
    return mean ? [{ xMm: box.xMm + box.widthMm / 2, yMm: box.yMm + box.heightMm / 2, ...mean, known, patch }] : [];
  };
  const paper = labToLinearRgb(profile.paper);
  return [
    ...card.blanks.flatMap((box) => at(box, 0.4, paper, 0)),
    ...card.patches.flatMap((patch, i) => {
      const known = labToLinearRgb(profile.greys[i] as Triple);
      return partsOf(patch).flatMap((part) => at(part, 0.5, known, i + 1));
    }),
  ];
}

interface Fitted {
  readonly fits: readonly [ToneFit, ToneFit, ToneFit];
  readonly curves: Calibration['curves'];
}

/** Fits the three channels; `primaries` turn what is known into what this camera's channels see. */
function fitChannels(card: CardInPhoto, samples: readonly CardSample[], primaries: ColourMatrix): Fitted {
  const seen = samples.map((s) => applyMatrix(primaries, s.known));
  const channel = (c: 0 | 1 | 2): ToneSample[] =>
    samples.map((s, i) => {
      const [x, y] = position(card.extent, s.xMm, s.yMm);
      return {
        x,
        y,
        code: s.codes[c],
        reflectance: (seen[i] as Triple)[c],
        patch: s.patch,
        knownLight: card.knownLight?.(s.xMm, s.yMm) ?? 0,
      };
    });
  const green = fitTone(channel(1), undefined, card.model);
  const [red, blue] = [fitTone(channel(0), green, card.model), fitTone(channel(2), green, card.model)];
  return { fits: [red, green, blue], curves: [red.curve, green.curve, blue.curve] };
}

/** What the camera saw of each coloured patch, linear, in its own primaries; null where it is clipped or outside. */
function seenColours(photo: Photo, card: CardInPhoto, curves: Calibration['curves']): (Triple | null)[] {
  return card.chroma.map((patch) => {
    const mean = meanCodes(sampleBox(photo, card.plane, grow(patch, -1.5), 0.5));
    if (!mean || mean.clipped > CLIPPED_SHARE) return null;
    const [xMm, yMm] = [patch.xMm + patch.widthMm / 2, patch.yMm + patch.heightMm / 2];
    const [x, y] = position(card.extent, xMm, yMm);
    const dim = Math.exp(-(card.knownLight?.(xMm, yMm) ?? 0));
    return [0, 1, 2].map(
      (c) => reflectanceAt(curves[c] as ToneCurve, mean.codes[c] as number, x, y) * dim,
    ) as unknown as Triple;
  });
}

const LEAST_COLOURS = 8;

/** The camera's primaries, where the profile knows enough coloured patches; else null. */
function primariesOf(
  photo: Photo,
  card: CardInPhoto,
  profile: CardProfile,
  curves: Calibration['curves'],
): ColourMatrix | null {
  if (profile.basis === 'nominal' || !profile.chroma) return null;
  const known = profile.chroma;
  const pairs = seenColours(photo, card, curves).flatMap((seen, i) =>
    seen && known[i] ? [{ seen, known: labToLinearRgb(known[i]) }] : [],
  );
  if (pairs.length < LEAST_COLOURS) return null;
  return fitColourMatrix(
    pairs.map((p) => p.seen),
    pairs.map((p) => p.known),
  );
}

/** Patches this near (L*) tell how sure a reading is. */
const NEAR = 15;
/**
 * What a reading's standard deviation is made of: a share of what a patch is off when it is left out, since the fit must
 * reach that without its nearest neighbour; light that is not what the fit makes it, everywhere and as far as bare paper
 * shows it, which counts with the lightness that it is multiplied by; and what nothing tells. Chosen on some 1700
 * simulated readings by fifteen circumstances so that 95 of 100 lie in twice of it, in lights and darks alike.
 */
interface Doubt {
  readonly ofLeftOut: number;
  /** L* at white. */
  readonly ofLight: number;
  /** Of the residual of bare paper, root mean square. */
  readonly ofPaper: number;
  readonly floor: number;
}
const DOUBT: Record<LightModel, Doubt> = {
  sheet: { ofLeftOut: 0.203, ofLight: 0.101, ofPaper: 1.01, floor: 0.121 },
  corners: { ofLeftOut: 0.45, ofLight: 0, ofPaper: 0, floor: 0.14 },
};
/** Half-width of a 95 % interval over its standard deviation. */
const TWO_SIGMA = 1.96;

/** How far (L*, root mean square) patches near a lightness are from what the rest of the card makes of them. */
function misfitOf(leftOut: readonly LeftOutPatch[]): (lightness: number) => number {
  return (lightness) => {
    let [weight, sum] = [0, 0];
    for (const p of leftOut) {
      const w = Math.exp(-(((p.lightness - lightness) / NEAR) ** 2)) + 1e-6;
      weight += w;
      sum += w * p.error * p.error;
    }
    return Math.sqrt(sum / weight);
  };
}

/** Half-width of a reading from how the card's patches agree, and paper with the light that was fitted. */
function halfWidthFrom(
  misfit: (lightness: number) => number,
  whites: readonly WhitePlace[],
  model: LightModel,
): (lightness: number) => number {
  const { ofLeftOut, ofLight, ofPaper, floor } = DOUBT[model];
  const off = whites.flatMap((w) => (w.residual === null ? [] : [w.residual]));
  const paper = Math.sqrt(off.reduce((s, r) => s + r * r, 0) / Math.max(1, off.length));
  return (lightness) => {
    // A share of light is this much of the lightness that it falls on (CIE L*, its cube root differentiated).
    const lit = (lightness + 16) / 116;
    const parts = [ofLeftOut * misfit(lightness), ofLight * lit, ofPaper * paper * lit, floor];
    return TWO_SIGMA * Math.hypot(...parts);
  };
}

/** Fits the card, or null when so much of it is clipped or outside that nothing can be fitted. */
export function calibrate(
  photo: Photo,
  card: CardInPhoto,
  profile: CardProfile,
): { calibration: Calibration | null; whites: readonly WhitePlace[] } {
  const samples = cardSamples(photo, card, profile);
  const usable = samples.filter((s) => s.clipped <= CLIPPED_SHARE);
  const bare = samples.filter((s) => s.patch === 0);
  const seen = (residualOf: (s: CardSample) => number | null): WhitePlace[] =>
    bare.map((s) => ({ xMm: s.xMm, yMm: s.yMm, codes: s.codes, clipped: s.clipped, residual: residualOf(s) }));
  if (usable.length < 40 || !usable.some((s) => s.patch === 0)) return { calibration: null, whites: seen(() => null) };
  let fitted = fitChannels(card, usable, photo.primaries ? inverseMatrix(photo.primaries) : SAME_PRIMARIES);
  let matrix = primariesOf(photo, card, profile, fitted.curves);
  const coloursMeasured = matrix !== null;
  if (matrix) {
    // Paper and greys are a little tinted, and a camera of other primaries sees their tint in its own way.
    fitted = fitChannels(card, usable, inverseMatrix(matrix));
    matrix = primariesOf(photo, card, profile, fitted.curves);
  }
  const green = fitted.fits[1];
  const residuals = new Map(usable.map((s, i) => [s, green.residuals[i] as number]));
  const whites = seen((s) => residuals.get(s) ?? null);
  const misfit = misfitOf(green.leftOut);
  const { plane, extent, patches, knownLight } = card;
  return {
    calibration: {
      plane,
      extent,
      patches,
      profile,
      curves: fitted.curves,
      matrix: matrix ?? photo.primaries,
      coloursMeasured,
      knownLight,
      anchor: null,
      whites,
      cardMisfit: misfit,
      fitHalfWidth: halfWidthFrom(misfit, whites, card.model),
    },
    whites,
  };
}

/** Light is worked out this often (mm) along a row; between, it is straight to a ten-thousandth of itself. */
const LIGHT_MM = 3;

/** Linear RGB reflectance (three a place, not clamped) of samples of the sheet. */
export function reflectances(calibration: Calibration, s: SheetSamples): Float32Array {
  const { extent, knownLight, matrix, anchor } = calibration;
  const out = new Float32Array(s.columns * s.rows * 3);
  const stride = Math.max(1, Math.floor(LIGHT_MM / s.stepXMm));
  calibration.curves.forEach((curve, c) => {
    /** One over the light at a place of a row. */
    const dimAt = (k: number, yMm: number) => {
      const xMm = s.xMm + (k + 0.5) * s.stepXMm;
      const [x, y] = position(extent, xMm, yMm);
      return Math.exp(-logLight(curve.light, x, y) - (knownLight ? knownLight(xMm, yMm) : 0));
    };
    for (let r = 0; r < s.rows; r++) {
      const yMm = s.yMm + (r + 0.5) * s.stepYMm;
      let next = dimAt(0, yMm);
      let from = 0;
      let by = 0;
      for (let k = 0; k < s.columns; k++) {
        const along = k % stride;
        if (along === 0) {
          from = next;
          next = dimAt(k + stride, yMm);
          by = (next - from) / stride;
        }
        const i = (r * s.columns + k) * 3 + c;
        out[i] = (exposureOfCode(curve, s.codes[i] as number) - curve.stray) * (from + along * by);
      }
    }
  });
  if (matrix)
    for (let p = 0; p < out.length; p += 3)
      out.set(applyMatrix(matrix, [out[p] as number, out[p + 1] as number, out[p + 2] as number]), p);
  if (anchor) for (let i = 0; i < out.length; i++) out[i] = anchor.gain * ((out[i] as number) - anchor.offset);
  return out;
}

/** How far (L*) past the last patch a reading may lie before it is called extrapolated. */
const EXTRAPOLATION_MARGIN = 2;

export interface Sureness {
  /** 95 % half-width of the whole, L*. */
  readonly whole: number;
  /** The part that two readings on one sheet do not share, L*. */
  readonly own: number;
  readonly extrapolated: boolean;
}

/** How sure a reading of the given lightness is. */
export function surenessOf(calibration: Calibration, lightness: number): Sureness {
  const { profile } = calibration;
  const known = [profile.paper, ...profile.greys].map((lab) => lab[0]);
  const beyond = Math.max(Math.min(...known) - lightness, lightness - Math.max(...known), 0);
  const extrapolated = beyond > EXTRAPOLATION_MARGIN;
  const fit = calibration.fitHalfWidth(lightness);
  const outside = extrapolated ? 0.3 * beyond : 0;
  const own = Math.hypot(fit, outside);
  return { whole: Math.hypot(own, profile.halfWidth(lightness)), own, extrapolated };
}

/** Largest over smallest light on the bare paper (green), a fiftieth left out at each end. */
export function lightRatio(calibration: Calibration): number {
  const [, green] = calibration.curves;
  const light = calibration.whites.map((w) => exposureOfCode(green, w.codes[1]) - green.stray).sort((a, b) => a - b);
  const cut = Math.floor(light.length / 50);
  return (light[light.length - 1 - cut] ?? 1) / Math.max(1e-6, light[cut] ?? 1);
}

/** How far (L*) bare paper departs from what the fitted light makes it, nineteen places in twenty. */
export function unexplainedLight(calibration: Calibration): number {
  const off = calibration.whites
    .flatMap((w) => (w.residual === null ? [] : [Math.abs(w.residual)]))
    .sort((a, b) => a - b);
  return off[Math.floor(0.95 * off.length)] ?? 0;
}

/** Bare places nearer to each other than this (mm) are neighbours: one step of their grid along or across it. */
const NEIGHBOURS_MM = 19;

/** How much neighbouring bare places differ in what smooth light leaves over, L*: all but one in a hundred pairs differ less. */
export function steepestLight({ whites }: Calibration): number {
  const told = whites.filter((w) => w.residual !== null);
  const steps: number[] = [];
  for (let i = 0; i < told.length; i++) {
    const a = told[i] as WhitePlace;
    for (let k = i + 1; k < told.length; k++) {
      const b = told[k] as WhitePlace;
      const [dx, dy] = [a.xMm - b.xMm, a.yMm - b.yMm];
      if (dx * dx + dy * dy < NEIGHBOURS_MM * NEIGHBOURS_MM)
        steps.push(Math.abs((a.residual as number) - (b.residual as number)));
    }
  }
  steps.sort((a, b) => a - b);
  return steps[Math.floor(0.99 * steps.length)] ?? 0;
}

/** Bare paper of the card, L*. */
export function paperLightness(calibration: Calibration): number {
  return calibration.profile.paper[0];
}
