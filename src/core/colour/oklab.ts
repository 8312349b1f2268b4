/**
 * Oklab after B. Ottosson, "A perceptual color space for image processing" (2020): hue is straighter there than in
 * CIELAB, where tints of blue bend to violet. Only hue and chroma of tints and shades are judged in it.
 */
import type { Triple } from './srgb';

/** Oklab of a linear sRGB colour. */
export function linearRgbToOklab([r, g, b]: Triple): Triple {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/** Linear sRGB of an Oklab colour, not clamped. */
export function oklabToLinearRgb([lightness, a, b]: Triple): Triple {
  const l = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ];
}

/** Below this chroma (of Oklab) a colour counts as grey and has no hue. */
export const GREY_CHROMA = 0.02;

/** Degrees by which the hue turns from one colour to the other, -180 to 180, positive from red over yellow to green; null where either is grey. */
export function hueTurn(from: Triple, to: Triple): number | null {
  const [a, b] = [linearRgbToOklab(from), linearRgbToOklab(to)];
  if (Math.hypot(a[1], a[2]) < GREY_CHROMA || Math.hypot(b[1], b[2]) < GREY_CHROMA) return null;
  const turn = ((Math.atan2(b[2], b[1]) - Math.atan2(a[2], a[1])) * 180) / Math.PI;
  return ((turn + 540) % 360) - 180;
}

/** Hues (degrees of Oklab) that painters have names for. */
const NAMED: readonly (readonly [number, string])[] = [
  [29, 'red'],
  [70, 'orange'],
  [110, 'yellow'],
  [142, 'green'],
  [195, 'blue-green'],
  [264, 'blue'],
  [305, 'violet'],
];

/** The name of the hue that a colour turns towards; the next one in the direction of the turn. */
export function turnsTowards(from: Triple, turn: number): string {
  const [, a, b] = linearRgbToOklab(from);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  // What lies this near is the colour itself, not what it turns towards.
  const ahead = NAMED.map(([at, name]) => ({ name, by: ((turn > 0 ? at - hue : hue - at) + 360) % 360 })).filter(
    (n) => n.by > 20,
  );
  return ahead.sort((p, q) => p.by - q.by)[0]?.name ?? 'red';
}
