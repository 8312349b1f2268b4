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
  calibration.curves.forEach((curve, channel) => {
    /** One over the light at a place. */
    const dimAt = (xMm: number, yMm: number) => {
      const [x, y] = position(extent, xMm, yMm);
      return Math.exp(-logLight(curve.light, x, y) - (knownLight ? knownLight(xMm, yMm) : 0));
    };
    for (let row = 0; row < s.rows; row++) reflectRow(s, row, channel, curve, dimAt, out);
  });
  if (matrix) applyMatrixToAll(matrix, out);
  if (anchor) for (let i = 0; i < out.length; i++) out[i] = anchor.gain * ((out[i] as number) - anchor.offset);
  return out;
}

/** Writes one channel's reflectance along a row of samples. */
function reflectRow(
  { codes, columns, stepXMm, stepYMm, xMm, yMm }: SheetSamples,
  row: number,
  channel: number,
  curve: ToneCurve,
  dimAt: (xMm: number, yMm: number) => number,
  out: Float32Array,
): void {
  const stride = Math.max(1, Math.floor(LIGHT_MM / stepXMm));
  const y = yMm + (row + 0.5) * stepYMm;
  const end = columns * (row + 1);
  let next = dimAt(xMm + 0.5 * stepXMm, y);
  for (let from = columns * row, k = stride; from < end; from += stride, k += stride) {
    const dim = next;
    next = dimAt(xMm + (k + 0.5) * stepXMm, y);
    const by = (next - dim) / stride;
    const last = Math.min(end, from + stride);
    for (let place = from; place < last; place++) {
      const i = 3 * place + channel;
      out[i] = (exposureOfCode(curve, codes[i] as number) - curve.stray) * (dim + (place - from) * by);
    }
  }
}

/** Bare paper of the card, L*. */
export function paperLightness(calibration: Calibration): number {
  return calibration.profile.paper[0];
}
