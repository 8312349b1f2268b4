/** Colours under D50, as instruments and printing tell them, and under D65: Bradford's transform (ICC.1:2010, annex E). */
import { labToXyzD65, xyzD65ToLab } from './lab';
import type { Triple } from './srgb';
import { WHITE_D65 } from './xyz';

export const WHITE_D50: Triple = [0.9642, 1, 0.8249];

const TO_CONES = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
] as const;
const FROM_CONES = [
  [0.9869929, -0.1470543, 0.1599627],
  [0.4323053, 0.5183603, 0.0492912],
  [-0.0085287, 0.0400428, 0.9684867],
] as const;

const times = (m: readonly (readonly [number, number, number])[], v: Triple): Triple => [
  m[0]![0] * v[0] + m[0]![1] * v[1] + m[0]![2] * v[2],
  m[1]![0] * v[0] + m[1]![1] * v[1] + m[1]![2] * v[2],
  m[2]![0] * v[0] + m[2]![1] * v[1] + m[2]![2] * v[2],
];

function adapt(xyz: Triple, from: Triple, to: Triple): Triple {
  const [f, t, v] = [from, to, xyz].map((w) => times(TO_CONES, w)) as [Triple, Triple, Triple];
  return times(FROM_CONES, [(v[0] * t[0]) / f[0], (v[1] * t[1]) / f[1], (v[2] * t[2]) / f[2]]);
}

/** XYZ under D50 as XYZ of the same surface under D65. */
export const xyzD50ToD65 = (xyz: Triple): Triple => adapt(xyz, WHITE_D50, WHITE_D65);

/** L*a*b* under D50 as L*a*b* of the same surface under D65. */
export function labD50ToD65(lab: Triple): Triple {
  // L*a*b* is about its own white: with D65's white in its place the numbers become D50's XYZ after scaling.
  const [x, y, z] = labToXyzD65(lab);
  const d50: Triple = [(x / WHITE_D65[0]) * WHITE_D50[0], y, (z / WHITE_D65[2]) * WHITE_D50[2]];
  return xyzD65ToLab(adapt(d50, WHITE_D50, WHITE_D65));
}

/** L*a*b* under D65 to L*a*b* under D50, by Bradford's transform. */
export function labD65ToD50(lab: Triple): Triple {
  const [x, y, z] = adapt(labToXyzD65(lab), WHITE_D65, WHITE_D50);
  return xyzD65ToLab([(x / WHITE_D50[0]) * WHITE_D65[0], y, (z / WHITE_D50[2]) * WHITE_D65[2]]);
}
