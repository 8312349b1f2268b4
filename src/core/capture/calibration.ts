/** What turns camera codes into reflectance on one print, once it is fitted. */
import { applyMatrixToAll, type ColourMatrix } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import type { BoxMm } from '../geometry/box';
import type { PatchMm } from '../sheet/frame';
import { type CardInPhoto, position } from './card-in-photo';
import type { CardProfile } from './card-profile';
import type { Plane } from './plane';
import type { SheetSamples } from './sample';
import { exposureOfCode, logLight, type ToneCurve } from './tone-curve';

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
  if (matrix) applyMatrixToAll(matrix, out);
  if (anchor) for (let i = 0; i < out.length; i++) out[i] = anchor.gain * ((out[i] as number) - anchor.offset);
  return out;
}

/** Bare paper of the card, L*. */
export function paperLightness(calibration: Calibration): number {
  return calibration.profile.paper[0];
}
