/** How one channel of the camera saw the sheet, once that is known: reflectance from codes and places. */

export interface ToneCurve {
  /** Light times reflectance plus stray light for each code 0 to 255. */
  readonly table: Float64Array;
  /** Coefficients of ln E. */
  readonly light: readonly number[];
  readonly stray: number;
  /** Largest over smallest light of the dark patches. */
  readonly darkLightRatio: number;
}

/** Terms of ln E, a cubic polynomial without its constant. */
export const LIGHT_TERMS = 9;

/** Writes the terms of ln E at a place. */
export function lightTerms(x: number, y: number, out: Float64Array, at: number): void {
  out[at] = x;
  out[at + 1] = y;
  out[at + 2] = x * x;
  out[at + 3] = x * y;
  out[at + 4] = y * y;
  out[at + 5] = x * x * x;
  out[at + 6] = x * x * y;
  out[at + 7] = x * y * y;
  out[at + 8] = y * y * y;
}

/** ln E at a place. */
export function logLight(light: readonly number[], x: number, y: number): number {
  const c = light as number[];
  return (
    (c[0] as number) * x +
    (c[1] as number) * y +
    (c[2] as number) * x * x +
    (c[3] as number) * x * y +
    (c[4] as number) * y * y +
    (c[5] as number) * x * x * x +
    (c[6] as number) * x * x * y +
    (c[7] as number) * x * y * y +
    (c[8] as number) * y * y * y
  );
}

/** g of a code that need not be whole. */
export function exposureOfCode(curve: ToneCurve, code: number): number {
  const c = Math.min(254.999, Math.max(0, code));
  const i = Math.floor(c);
  const a = curve.table[i] as number;
  return a + ((curve.table[i + 1] as number) - a) * (c - i);
}

/** Reflectance of a code at a place; not clamped. */
export function reflectanceAt(curve: ToneCurve, code: number, x: number, y: number): number {
  return (exposureOfCode(curve, code) - curve.stray) * Math.exp(-logLight(curve.light, x, y));
}
