/** Target lightness of each step of a scale. */
import { lightnessToMunsellValue, munsellValueToLightness } from '../colour/munsell';
import type { Ends, ReadingOrder, Spacing } from '../exercise/scale';

/**
 * Targets (L*) in reading order, evenly spaced between the ends in lightness or in Munsell value.
 * Throws RangeError below two steps.
 */
export function targetLightnesses(
  steps: number,
  ends: Ends,
  order: ReadingOrder,
  spacing: Spacing,
): number[] {
  if (steps < 2) throw new RangeError(`A scale needs at least 2 steps, got ${steps}.`);
  const [first, last] = order === 'light-first' ? [ends.light, ends.dark] : [ends.dark, ends.light];
  const munsell = spacing === 'munsell';
  const a = munsell ? lightnessToMunsellValue(first) : first;
  const b = munsell ? lightnessToMunsellValue(last) : last;
  return Array.from({ length: steps }, (_, i) => {
    if (i === 0) return first;
    if (i === steps - 1) return last;
    const at = a + ((b - a) * i) / (steps - 1);
    return munsell ? munsellValueToLightness(at) : at;
  });
}
