/**
 * Coloured patches of sheets on which hue is judged: greys can't tell how a camera mixes its primaries. Ten
 * hues evenly round the circle of Oklab, by turns lighter and darker, no stronger than office printers reach.
 */
import { linearRgbToLab } from '../colour/lab';
import { oklabToLinearRgb } from '../colour/oklab';
import { LINEAR_OF_CODE, linearToCode, type Triple } from '../colour/srgb';
import { type BoxMm, boxMm } from '../geometry/box';
import { cardChannel, type CardEnds, NOMINAL_CARD } from './card';

export interface ChromaPatchMm extends BoxMm {
  /** Printer codes, 0 to 255. */
  readonly rgb: Triple;
  readonly lightness: number;
  readonly a: number;
  readonly b: number;
}

const COUNT = 10;
const LIGHTNESS = [0.72, 0.55] as const;
const CHROMA = 0.11;
const FIRST_HUE = 20;
const GAP_MM = 1.5;

/** Printer codes of the patches, red first. */
export const CHROMA_CODES: readonly Triple[] = Array.from({ length: COUNT }, (_, i) => {
  const hue = ((FIRST_HUE + (i * 360) / COUNT) * Math.PI) / 180;
  const lightness = LIGHTNESS[i % LIGHTNESS.length] ?? LIGHTNESS[0];
  const [r, g, b] = oklabToLinearRgb([lightness, CHROMA * Math.cos(hue), CHROMA * Math.sin(hue)]);
  return [linearToCode(r), linearToCode(g), linearToCode(b)];
});

/** What a printed colour is taken to be: each channel as a grey of its code. */
export function cardColour([r, g, b]: Triple, ends: CardEnds = NOMINAL_CARD): Triple {
  const of = (code: number) => cardChannel(LINEAR_OF_CODE[code] ?? Number.NaN, ends);
  return linearRgbToLab([of(r), of(g), of(b)]);
}

/** The patches in a row that fills a box. */
export function chromaRow(box: BoxMm, ends?: CardEnds): ChromaPatchMm[] {
  const each = (box.widthMm - (COUNT - 1) * GAP_MM) / COUNT;
  return CHROMA_CODES.map((rgb, i) => {
    const [lightness, a, b] = cardColour(rgb, ends);
    return { ...boxMm(box.xMm + i * (each + GAP_MM), box.yMm, each, box.heightMm), rgb, lightness, a, b };
  });
}
