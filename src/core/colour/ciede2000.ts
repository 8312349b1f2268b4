/**
 * CIEDE2000 colour difference: CIE 142-2001, in the form of G. Sharma, W. Wu, E. N. Dalal, "The
 * CIEDE2000 color-difference formula: implementation notes, supplementary test data, and mathematical
 * observations", Color Research and Application 30 (2005); their symbols are kept below.
 */
import type { Triple } from './srgb';

const DEGREE = Math.PI / 180;
const POW25_7 = 25 ** 7;

function hueDegrees(b: number, aPrime: number): number {
  if (b === 0 && aPrime === 0) return 0;
  const h = Math.atan2(b, aPrime) / DEGREE;
  return h < 0 ? h + 360 : h;
}

/** Difference of two L*a*b* colours with kL = kC = kH = 1. Never negative; 0 for equal colours. */
export function ciede2000([L1, a1, b1]: Triple, [L2, a2, b2]: Triple): number {
  const Cab = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const Cab7 = Cab ** 7;
  const G = 0.5 * (1 - Math.sqrt(Cab7 / (Cab7 + POW25_7)));
  const a1p = (1 + G) * a1;
  const a2p = (1 + G) * a2;
  const C1p = Math.hypot(a1p, b1);
  const C2p = Math.hypot(a2p, b2);
  const h1p = hueDegrees(b1, a1p);
  const h2p = hueDegrees(b2, a2p);

  const dLp = L2 - L1;
  const dCp = C2p - C1p;
  let dhp = 0;
  if (C1p * C2p !== 0) {
    dhp = h2p - h1p;
    if (dhp > 180) dhp -= 360;
    else if (dhp < -180) dhp += 360;
  }
  const dHp = 2 * Math.sqrt(C1p * C2p) * Math.sin((dhp / 2) * DEGREE);

  const Lp = (L1 + L2) / 2;
  const Cp = (C1p + C2p) / 2;
  let hp = h1p + h2p;
  if (C1p * C2p !== 0) {
    if (Math.abs(h1p - h2p) <= 180) hp /= 2;
    else hp = hp < 360 ? (hp + 360) / 2 : (hp - 360) / 2;
  }

  const T =
    1 -
    0.17 * Math.cos((hp - 30) * DEGREE) +
    0.24 * Math.cos(2 * hp * DEGREE) +
    0.32 * Math.cos((3 * hp + 6) * DEGREE) -
    0.2 * Math.cos((4 * hp - 63) * DEGREE);
  const dTheta = 30 * Math.exp(-(((hp - 275) / 25) ** 2));
  const Cp7 = Cp ** 7;
  const RC = 2 * Math.sqrt(Cp7 / (Cp7 + POW25_7));
  const SL = 1 + (0.015 * (Lp - 50) ** 2) / Math.sqrt(20 + (Lp - 50) ** 2);
  const SC = 1 + 0.045 * Cp;
  const SH = 1 + 0.015 * Cp * T;
  const RT = -Math.sin(2 * dTheta * DEGREE) * RC;
  const l = dLp / SL;
  const c = dCp / SC;
  const h = dHp / SH;
  return Math.sqrt(Math.max(0, l * l + c * c + h * h + RT * c * h));
}
