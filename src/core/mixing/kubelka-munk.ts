/**
 * Light in a film of paint: two fluxes, one down and one up, with absorption K and scattering S. P. Kubelka and
 * F. Munk, "Ein Beitrag zur Optik der Farbanstriche" (1931); closed forms after P. Kubelka (1948). Reflectances are
 * internal (0 to 1): what the surface adds stands in `surface.ts`.
 */

/** K/S of a film that covers, from its reflectance. Throws RangeError outside 0 to 1 (0 excluded). */
export function absorptionRatio(reflectance: number): number {
  if (!(reflectance > 0 && reflectance <= 1))
    throw new RangeError(`A reflectance is over 0 and at most 1, got ${reflectance}.`);
  return (1 - reflectance) ** 2 / (2 * reflectance);
}

/** Reflectance of a film that covers. K and S are at least 0 and not both 0. */
export function coveringReflectance(k: number, s: number): number {
  if (s === 0) return 0;
  const ratio = k / s;
  // 1 + q - sqrt(q^2 + 2q), written so that a large q loses no digits.
  return 1 / (1 + ratio + Math.sqrt(ratio * ratio + 2 * ratio));
}

/**
 * Reflectance of a film of thickness `x` over a ground of reflectance `ground`. K and S are per unit of the same
 * thickness. Chain it for layers. Throws RangeError on negative values.
 */
export function filmReflectance(k: number, s: number, x: number, ground: number): number {
  if (k < 0 || s < 0 || x < 0) throw new RangeError('Absorption, scattering and thickness can’t be negative.');
  if (s === 0) return ground * Math.exp(-2 * k * x);
  const a = 1 + k / s;
  const b = Math.sqrt(a * a - 1);
  const depth = b * s * x;
  // Without absorption b is 0 and b coth(bSX) becomes 1/(SX).
  const bCoth = b < 1e-9 ? (x === 0 ? Infinity : 1 / (s * x)) : b / Math.tanh(depth);
  if (!Number.isFinite(bCoth)) return ground;
  return (1 - ground * (a - bCoth)) / (a - ground + bCoth);
}
