/** Greys by lightness, as files and screens have them. */
import { lightnessToLuminance } from './lab';
import { linearToCode } from './srgb';

/** sRGB code (0 to 255) of the grey of an L*. */
export const lightnessToGreyCode = (lightness: number): number => linearToCode(lightnessToLuminance(lightness));
