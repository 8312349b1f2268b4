/** CIE 1976 L*a*b* after CIE 15:2004, clause 8.2.1, with the exact constants 216/24389 and 24389/27. */
import { type Triple } from './srgb';
import { linearRgbToXyzD65, WHITE_D65, xyzD65ToLinearRgb } from './xyz';

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

function f(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
}

function fInverse(v: number): number {
  const cube = v * v * v;
  return cube > EPSILON ? cube : (116 * v - 16) / KAPPA;
}

/** L* of a relative luminance (1 = white). Linear below 216/24389, so negative noise stays finite. */
export function luminanceToLightness(y: number): number {
  return 116 * f(y) - 16;
}

/** Relative luminance (1 = white) of an L*. */
export function lightnessToLuminance(lightness: number): number {
  return fInverse((lightness + 16) / 116);
}

/** XYZ under D65 to L*a*b*. */
export function xyzD65ToLab([x, y, z]: Triple): Triple {
  const fx = f(x / WHITE_D65[0]);
  const fy = f(y);
  const fz = f(z / WHITE_D65[2]);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** L*a*b* to XYZ under D65. */
export function labToXyzD65([lightness, a, b]: Triple): Triple {
  const fy = (lightness + 16) / 116;
  return [fInverse(fy + a / 500) * WHITE_D65[0], fInverse(fy), fInverse(fy - b / 200) * WHITE_D65[2]];
}

/** Linear sRGB to L*a*b* under D65. Equal channels give a* = b* = 0 to rounding. */
export function linearRgbToLab(rgb: Triple): Triple {
  return xyzD65ToLab(linearRgbToXyzD65(rgb));
}

/** L*a*b* under D65 to linear sRGB, not clamped. */
export function labToLinearRgb(lab: Triple): Triple {
  return xyzD65ToLinearRgb(labToXyzD65(lab));
}
