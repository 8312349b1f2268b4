/**
 * A monotone curve over knots: its slope is the exponential of a piecewise-linear function, so that it rises whatever the
 * parameters are. Its argument is u = (sRGB-linear code)^(1/2.2), for which a camera that follows sRGB is the identity.
 */
import { srgbToLinear } from '../colour/srgb';

export const KNOTS = [0, 0.12, 0.26, 0.42, 0.6, 0.8, 1] as const;
export const GAMMA = 2.2;
const SUBSTEPS = 8;

export const codeToU = (code: number): number => srgbToLinear(code / 255) ** (1 / GAMMA);

/** h(u) at fine steps of u, from log slopes at the knots (trapezoid rule on each substep). */
export function curveTable(slopes: ArrayLike<number>): Float64Array {
  const spans = KNOTS.length - 1;
  const out = new Float64Array(spans * SUBSTEPS + 1);
  let sum = 0;
  for (let k = 0; k < spans; k++) {
    const width = ((KNOTS[k + 1] as number) - (KNOTS[k] as number)) / SUBSTEPS;
    const s0 = slopes[k] as number;
    const s1 = slopes[k + 1] as number;
    for (let j = 0; j < SUBSTEPS; j++) {
      const middle = (j + 0.5) / SUBSTEPS;
      sum += width * Math.exp(s0 + (s1 - s0) * middle);
      out[k * SUBSTEPS + j + 1] = sum;
    }
  }
  return out;
}

/** Derivatives of `curveTable` by each log slope. */
export function curveDerivatives(slopes: ArrayLike<number>): Float64Array[] {
  const spans = KNOTS.length - 1;
  const out = KNOTS.map(() => new Float64Array(spans * SUBSTEPS + 1));
  const sums = new Float64Array(KNOTS.length);
  for (let k = 0; k < spans; k++) {
    const width = ((KNOTS[k + 1] as number) - (KNOTS[k] as number)) / SUBSTEPS;
    const s0 = slopes[k] as number;
    const s1 = slopes[k + 1] as number;
    for (let j = 0; j < SUBSTEPS; j++) {
      const middle = (j + 0.5) / SUBSTEPS;
      const part = width * Math.exp(s0 + (s1 - s0) * middle);
      sums[k] = (sums[k] as number) + (1 - middle) * part;
      sums[k + 1] = (sums[k + 1] as number) + middle * part;
      for (let d = 0; d <= k + 1; d++) (out[d] as Float64Array)[k * SUBSTEPS + j + 1] = sums[d] as number;
    }
  }
  return out;
}

/** Index into the fine table and the fraction there, for a u. */
export function tablePlace(u: number): number {
  let k = 0;
  while (k < KNOTS.length - 2 && u > (KNOTS[k + 1] as number)) k++;
  const from = KNOTS[k] as number;
  return (k + (u - from) / ((KNOTS[k + 1] as number) - from)) * SUBSTEPS;
}

/** The value of a table between its entries. */
export function curveAt(table: Float64Array, place: number): number {
  const i = Math.min(table.length - 2, Math.floor(place));
  const a = table[i] as number;
  return a + ((table[i + 1] as number) - a) * (place - i);
}

/** The last knot that has a part in the curve at a place of the table. */
export const lastKnotOf = (place: number): number => Math.min(KNOTS.length - 1, Math.floor(place / SUBSTEPS) + 1);
