import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { labToLinearRgb } from '@/core/colour/lab';
import { linearToCode, type Triple } from '@/core/colour/srgb';

/** The neutral CSS colour of an L*. */
export function cssGrey(lightness: number): string {
  const c = lightnessToGreyCode(lightness);
  return `rgb(${c} ${c} ${c})`;
}

/** The CSS colour of an L*a*b*, clipped to what a screen shows. */
export function cssLab(lab: Triple): string {
  const [r, g, b] = labToLinearRgb(lab).map((v) => linearToCode(Math.min(1, Math.max(0, v))));
  return `rgb(${r} ${g} ${b})`;
}
