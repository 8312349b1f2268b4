/** From camera codes to reflectance on one located sheet: the tone fit of each channel, and how sure it is. */
import { luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import type { Photo } from '../raster/photo';
import { blankPlaces } from '../sheet/blank';
import { cardLightness, cardLuminance, type CardEnds } from '../sheet/card';
import { boxMm, grow } from '../sheet/paper';
import type { SheetLayout } from '../sheet/layout';
import type { Plane } from './plane';
import { meanCodes, sampleBox, type SheetSamples } from './sample';
import { exposureOfCode, fitTone, logLight, type ToneCurve, type ToneSample } from './tone';

/** One blank place of paper as the photograph shows it. */
export interface WhitePlace {
  readonly xMm: number;
  readonly yMm: number;
  readonly codes: Triple;
  readonly clipped: number;
  /** Reading less what the card says, L*, in green; null where it was left out of the fit. */
  readonly residual: number | null;
}

export interface Calibration {
  readonly plane: Plane;
  readonly layout: SheetLayout;
  readonly card: CardEnds;
  readonly curves: readonly [ToneCurve, ToneCurve, ToneCurve];
  readonly whites: readonly WhitePlace[];
  /** Half-width of a 95 % interval from the fit alone, L*, for a lightness. */
  fitHalfWidth(lightness: number): number;
}

const CLIPPED_SHARE = 0.02;

function position(layout: SheetLayout, xMm: number, yMm: number): readonly [number, number] {
  return [(2 * xMm) / layout.widthMm - 1, (2 * yMm) / layout.heightMm - 1];
}

interface CardSample {
  readonly xMm: number;
  readonly yMm: number;
  readonly codes: Triple;
  readonly clipped: number;
  readonly reflectance: number;
  readonly patch: number;
}

function cardSamples(photo: Photo, plane: Plane, layout: SheetLayout, card: CardEnds): CardSample[] {
  const samples: CardSample[] = [];
  const paper = cardLuminance(255, card);
  for (const box of blankPlaces(layout)) {
    const mean = meanCodes(sampleBox(photo, plane, box, 0.4));
    if (mean)
      samples.push({
        xMm: box.xMm + box.widthMm / 2,
        yMm: box.yMm + box.heightMm / 2,
        ...mean,
        reflectance: paper,
        patch: 0,
      });
  }
  layout.patches.forEach((patch, i) => {
    const inner = grow(patch, -1.2);
    for (let part = 0; part < 3; part++) {
      const third = boxMm(inner.xMm + (part * inner.widthMm) / 3, inner.yMm, inner.widthMm / 3, inner.heightMm);
      const mean = meanCodes(sampleBox(photo, plane, third, 0.5));
      if (mean)
        samples.push({
          xMm: third.xMm + third.widthMm / 2,
          yMm: third.yMm + third.heightMm / 2,
          ...mean,
          reflectance: cardLuminance(patch.code, card),
          patch: i + 1,
        });
    }
  });
  return samples;
}

/** Fits the sheet, or null when so much of the card is clipped or outside that nothing can be fitted. */
export function calibrate(
  photo: Photo,
  plane: Plane,
  layout: SheetLayout,
  card: CardEnds,
): { calibration: Calibration | null; whites: readonly WhitePlace[] } {
  const samples = cardSamples(photo, plane, layout, card);
  const usable = samples.filter((s) => s.clipped <= CLIPPED_SHARE);
  const bare = samples.filter((s) => s.patch === 0);
  const seen = (residualOf: (s: CardSample) => number | null): WhitePlace[] =>
    bare.map(({ xMm, yMm, codes, clipped }, i) => ({ xMm, yMm, codes, clipped, residual: residualOf(bare[i] as CardSample) }));
  if (usable.length < 40 || !usable.some((s) => s.patch === 0)) return { calibration: null, whites: seen(() => null) };
  const channel = (c: 0 | 1 | 2): ToneSample[] =>
    usable.map((s) => {
      const [x, y] = position(layout, s.xMm, s.yMm);
      return { x, y, code: s.codes[c], reflectance: s.reflectance, patch: s.patch };
    });
  const green = fitTone(channel(1));
  const curves = [fitTone(channel(0), green).curve, green.curve, fitTone(channel(2), green).curve] as const;
  const residuals = new Map(usable.map((s, i) => [s, green.residuals[i] as number]));
  const whites = seen((s) => residuals.get(s) ?? null);
  const fitHalfWidth = (lightness: number): number => {
    let weight = 0;
    let sum = 0;
    for (const p of green.leftOut) {
      const w = Math.exp(-(((p.lightness - lightness) / 15) ** 2)) + 1e-6;
      weight += w;
      sum += w * p.error * p.error;
    }
    return 2 * Math.sqrt(sum / weight + 0.15 ** 2);
  };
  return { calibration: { plane, layout, card, curves, whites, fitHalfWidth }, whites };
}

/** Linear RGB reflectance (three a place, not clamped) of samples of the sheet. */
export function reflectances(calibration: Calibration, s: SheetSamples): Float32Array {
  const out = new Float32Array(s.columns * s.rows * 3);
  calibration.curves.forEach((curve, c) => {
    for (let r = 0; r < s.rows; r++) {
      for (let k = 0; k < s.columns; k++) {
        const i = (r * s.columns + k) * 3 + c;
        const [x, y] = position(calibration.layout, s.xMm + (k + 0.5) * s.stepXMm, s.yMm + (r + 0.5) * s.stepYMm);
        out[i] = (exposureOfCode(curve, s.codes[i] as number) - curve.stray) * Math.exp(-logLight(curve.light, x, y));
      }
    }
  });
  return out;
}

/**
 * Half-widths (L*) of how far real prints lie from the nominal card, 95 % of printers; linear between
 * these lightnesses, constant outside.
 */
const PRINTERS: readonly (readonly [lightness: number, halfWidth: number])[] = [
  [16, 9],
  [30, 5],
  [50, 3],
  [95, 3],
];

export function printerHalfWidth(lightness: number): number {
  const first = PRINTERS[0] as readonly [number, number];
  if (lightness <= first[0]) return first[1];
  for (let i = 1; i < PRINTERS.length; i++) {
    const [l0, w0] = PRINTERS[i - 1] as readonly [number, number];
    const [l1, w1] = PRINTERS[i] as readonly [number, number];
    if (lightness <= l1) return w0 + ((w1 - w0) * (lightness - l0)) / (l1 - l0);
  }
  return (PRINTERS.at(-1) as readonly [number, number])[1];
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

/** How sure a reading of the given lightness is, with a nominal card. */
export function surenessOf(calibration: Calibration, lightness: number): Sureness {
  const darkest = cardLightness(0, calibration.card);
  const lightest = cardLightness(255, calibration.card);
  const beyond = Math.max(darkest - lightness, lightness - lightest, 0);
  const extrapolated = beyond > EXTRAPOLATION_MARGIN;
  const fit = calibration.fitHalfWidth(lightness);
  const outside = extrapolated ? 0.3 * beyond : 0;
  const own = Math.hypot(fit, outside);
  return { whole: Math.hypot(own, printerHalfWidth(lightness)), own, extrapolated };
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
  const off = calibration.whites.flatMap((w) => (w.residual === null ? [] : [Math.abs(w.residual)])).sort((a, b) => a - b);
  return off[Math.floor(0.95 * off.length)] ?? 0;
}

/** Bare paper of the card, L*. */
export function paperLightness(calibration: Calibration): number {
  return luminanceToLightness(cardLuminance(255, calibration.card));
}
