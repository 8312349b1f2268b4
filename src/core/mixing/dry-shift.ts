/**
 * Wet is not dry: how much lighter (L*) each medium is dry than wet, over L*. Rough figures to begin from; pairs of
 * readings of one dab, wet and dry, make them a studio's own.
 */
import { Matrix, solve } from 'ml-matrix';
import { z } from 'zod';
import type { MediumId } from '../exercise/media';

/** Lightnesses (L*, wet) at which a shift is known; between them it runs straight, beyond them it stays. */
export const SHIFT_AT = [20, 58, 95] as const;
const shift = z.number().min(-20).max(20);
export const dryShiftSchema = z.tuple([shift, shift, shift]);
export type DryShift = z.infer<typeof dryShiftSchema>;

export const USUAL_SHIFT: Record<MediumId, DryShift> = {
  gouache: [4, 1, -1.5],
  tempera: [5, 2, -0.5],
  acrylic: [-1, -2.5, -1],
  oil: [1.5, 0, 0],
};

/** Weights of the three figures at a lightness. */
function weights(wet: number): [number, number, number] {
  const [a, b, c] = SHIFT_AT;
  if (wet <= a) return [1, 0, 0];
  if (wet >= c) return [0, 0, 1];
  const at = wet <= b ? (wet - a) / (b - a) : (wet - b) / (c - b);
  return wet <= b ? [1 - at, at, 0] : [0, 1 - at, at];
}

/** L* of a mix when it is dry, from its L* while it is wet. */
export function dryOf(wet: number, [a, b, c]: DryShift): number {
  const [p, q, r] = weights(wet);
  return wet + p * a + q * b + r * c;
}

/** The wet lightness that dries to `dry`. */
export function wetOf(dry: number, figures: DryShift): number {
  let wet = dry;
  for (let i = 0; i < 30; i++) wet += dry - dryOf(wet, figures);
  return wet;
}

export interface WetDryPair {
  readonly wet: number;
  readonly dry: number;
}

/** How far a medium's usual figures are trusted, and how far a pair of readings (standard deviations, L*). */
const PRIOR = 2.5;
const NOISE = 1.4;

/** The shift that fits the pairs, leaning on the usual figures where there are none near: linear least squares with a prior. */
export function fitDryShift(pairs: readonly WetDryPair[], usual: DryShift): DryShift {
  const normal = Matrix.eye(3, 3).mul(1 / PRIOR ** 2);
  const right = Matrix.columnVector(usual.map((u) => u / PRIOR ** 2));
  for (const { wet, dry } of pairs) {
    const w = weights(wet);
    for (let i = 0; i < 3; i++) {
      right.set(i, 0, right.get(i, 0) + ((w[i] ?? 0) * (dry - wet)) / NOISE ** 2);
      for (let j = 0; j < 3; j++) normal.set(i, j, normal.get(i, j) + ((w[i] ?? 0) * (w[j] ?? 0)) / NOISE ** 2);
    }
  }
  const [a = 0, b = 0, c = 0] = solve(normal, right).to1DArray();
  return [a, b, c];
}
