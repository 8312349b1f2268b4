/**
 * Linear sRGB and CIE XYZ (D65, Y = 1 for white). The matrix is worked out in double precision from
 * the primaries and the white (0.3127, 0.3290) of IEC 61966-2-1, not taken from the four-digit table
 * printed there: with the rounded one a grey gets a* and b* of a few thousandths.
 */
import type { Triple } from './srgb';

const PRIMARIES: readonly (readonly [number, number])[] = [
  [0.64, 0.33],
  [0.3, 0.6],
  [0.15, 0.06],
];
const WHITE_XY = [0.3127, 0.329] as const;

type Matrix3 = readonly [Triple, Triple, Triple];

function xyToXyz([x, y]: readonly [number, number]): Triple {
  return [x / y, 1, (1 - x - y) / y];
}

function multiply(m: Matrix3, v: Triple): Triple {
  return [
    m[0][0] * v[0] + m[0][1] * v[1] + m[0][2] * v[2],
    m[1][0] * v[0] + m[1][1] * v[1] + m[1][2] * v[2],
    m[2][0] * v[0] + m[2][1] * v[1] + m[2][2] * v[2],
  ];
}

function invert(m: Matrix3): Matrix3 {
  const [[a, b, c], [d, e, f], [g, h, i]] = m;
  const A = e * i - f * h;
  const B = f * g - d * i;
  const C = d * h - e * g;
  const det = a * A + b * B + c * C;
  return [
    [A / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [B / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [C / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ];
}

/** XYZ of the white point D65 as the sRGB standard gives it. */
export const WHITE_D65: Triple = xyToXyz(WHITE_XY);

const RGB_TO_XYZ: Matrix3 = (() => {
  const [r, g, b] = PRIMARIES.map(xyToXyz) as [Triple, Triple, Triple];
  const columns: Matrix3 = [
    [r[0], g[0], b[0]],
    [r[1], g[1], b[1]],
    [r[2], g[2], b[2]],
  ];
  const s = multiply(invert(columns), WHITE_D65);
  return columns.map((row) => [row[0] * s[0], row[1] * s[1], row[2] * s[2]]) as unknown as Matrix3;
})();
const XYZ_TO_RGB = invert(RGB_TO_XYZ);

/** Weights of linear red, green and blue in relative luminance Y; they add up to 1. */
export const LUMINANCE_WEIGHTS: Triple = RGB_TO_XYZ[1];

/** Linear sRGB (0 to 1, not clamped) to XYZ under D65. */
export function linearRgbToXyzD65(rgb: Triple): Triple {
  return multiply(RGB_TO_XYZ, rgb);
}

/** XYZ under D65 to linear sRGB, not clamped to the gamut. */
export function xyzD65ToLinearRgb(xyz: Triple): Triple {
  return multiply(XYZ_TO_RGB, xyz);
}
