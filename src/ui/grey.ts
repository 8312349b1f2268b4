import { lightnessToLuminance } from '@/core/colour/lab';
import { linearToCode } from '@/core/colour/srgb';

/** The neutral CSS colour of an L*. */
export function cssGrey(lightness: number): string {
  const c = linearToCode(lightnessToLuminance(lightness));
  return `rgb(${c} ${c} ${c})`;
}
