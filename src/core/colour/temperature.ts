/**
 * Warm and cool, told against neighbours: a grey is warm or cool only beside another grey, so the
 * difference of the two is projected on the hue of 60 degrees (orange); never measured from zero.
 */
import type { Triple } from './srgb';

const AXIS = Math.PI / 3;

/** How much warmer `lab` is than `beside`, in units of a* b*; negative is cooler. */
export function warmth(lab: Triple, beside: Triple): number {
  return (lab[1] - beside[1]) * Math.cos(AXIS) + (lab[2] - beside[2]) * Math.sin(AXIS);
}

export type TemperatureWord = 'warmer' | 'cooler' | 'alike';

/** The word for a difference in warmth; below 1 unit nobody sees it. */
export function temperatureWord(difference: number): TemperatureWord {
  if (difference >= 1) return 'warmer';
  return difference <= -1 ? 'cooler' : 'alike';
}
