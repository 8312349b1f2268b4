/**
 * Munsell value from luminance: the quintic of ASTM D1535 (1989 and later, with Y relative to the
 * perfect diffuser, so that Y = 100 at V = 10).
 */
import { lightnessToLuminance, luminanceToLightness } from './lab';

/** Relative luminance (0 to 1) of a Munsell value (0 to 10). */
export function munsellValueToLuminance(v: number): number {
  return (1.1914 * v - 0.22533 * v ** 2 + 0.23352 * v ** 3 - 0.020484 * v ** 4 + 0.00081939 * v ** 5) / 100;
}

/** Munsell value of a relative luminance, by bisection to 1e-7; clamped to 0 to 10. */
export function luminanceToMunsellValue(y: number): number {
  let low = 0;
  let high = 10;
  if (y <= 0) return 0;
  if (y >= munsellValueToLuminance(10)) return 10;
  while (high - low > 1e-7) {
    const middle = (low + high) / 2;
    if (munsellValueToLuminance(middle) < y) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Munsell value of an L*, clamped to 0 to 10. */
export function lightnessToMunsellValue(lightness: number): number {
  return luminanceToMunsellValue(lightnessToLuminance(lightness));
}

/** L* of a Munsell value (0 to 10). */
export function munsellValueToLightness(v: number): number {
  return luminanceToLightness(munsellValueToLuminance(v));
}
