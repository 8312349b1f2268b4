/**
 * The printed greys of a sheet and what they are taken to reflect.
 *
 * A printer's black is not black and its paper is not perfectly white. The nominal card says paper
 * L* 95 and darkest print L* 16; a patch of sRGB code c then reflects `Yk + (Yw - Yk) * Y(c)`,
 * which is what a linear mixture of bare paper and solid ink gives.
 */
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { LINEAR_OF_CODE, linearToCode } from '../colour/srgb';

/** Lightness (L*) of the bare paper and of the darkest print. */
export interface CardEnds {
  readonly paper: number;
  readonly black: number;
}

export const NOMINAL_CARD: CardEnds = { paper: 95, black: 16 };

/** Greys in a ramp; with the bare paper they are evenly spread in L*. */
export const RAMP_LENGTH = 10;

/** Luminance (0 to 1) that a printed grey of the given code (0 to 255) is taken to reflect. */
export function cardLuminance(code: number, ends: CardEnds = NOMINAL_CARD): number {
  return cardChannel(LINEAR_OF_CODE[code] ?? Number.NaN, ends);
}

/** The same for what a printer code stands for in linear light (0 to 1). */
export function cardChannel(linear: number, ends: CardEnds): number {
  const black = lightnessToLuminance(ends.black);
  return black + (lightnessToLuminance(ends.paper) - black) * linear;
}

/** Lightness (L*) that a printed grey of the given code is taken to have. */
export function cardLightness(code: number, ends: CardEnds = NOMINAL_CARD): number {
  return luminanceToLightness(cardLuminance(code, ends));
}

/** The printer codes of a ramp, darkest first. */
export const RAMP_CODES: readonly number[] = Array.from({ length: RAMP_LENGTH }, (_, i) => {
  const { paper, black } = NOMINAL_CARD;
  const lightness = black + (i * (paper - black)) / RAMP_LENGTH;
  const yk = lightnessToLuminance(black);
  const yw = lightnessToLuminance(paper);
  return linearToCode((lightnessToLuminance(lightness) - yk) / (yw - yk));
});
