/**
 * sRGB after IEC 61966-2-1:1999 with amendment 1. The threshold is 0.04045, where the two
 * branches of the published curve meet to about 1e-8; some texts print 0.03928 from a draft.
 */

/** A colour triple: `[r, g, b]`, `[X, Y, Z]` or `[L*, a*, b*]`, as the function's name says. */
export type Triple = readonly [number, number, number];

/** One encoded channel (0 to 1, not clamped; odd about 0) to linear light. */
export function srgbToLinear(encoded: number): number {
  const c = Math.abs(encoded);
  const linear = c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  return encoded < 0 ? -linear : linear;
}

/** One linear channel (0 to 1, not clamped; odd about 0) to its sRGB encoding. */
export function linearToSrgb(linear: number): number {
  const y = Math.abs(linear);
  const encoded = y <= 0.0031308 ? y * 12.92 : 1.055 * y ** (1 / 2.4) - 0.055;
  return linear < 0 ? -encoded : encoded;
}

/** Linear light of each 8-bit code, for kernels that convert whole pictures. */
export const LINEAR_OF_CODE: Float64Array = Float64Array.from({ length: 256 }, (_, code) => srgbToLinear(code / 255));

/** The nearest 8-bit code (0 to 255, clamped) of a linear channel. */
export function linearToCode(linear: number): number {
  return Math.round(255 * Math.min(1, Math.max(0, linearToSrgb(linear))));
}
