/** From one set of primaries to another, in linear light. */
import { Matrix, solve } from 'ml-matrix';
import type { Triple } from './srgb';

export type ColourMatrix = readonly [Triple, Triple, Triple];

export const SAME_PRIMARIES: ColourMatrix = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** A linear colour times a 3 x 3 matrix of rows. */
export function applyMatrix(m: ColourMatrix, [r, g, b]: Triple): Triple {
  return [
    m[0][0] * r + m[0][1] * g + m[0][2] * b,
    m[1][0] * r + m[1][1] * g + m[1][2] * b,
    m[2][0] * r + m[2][1] * g + m[2][2] * b,
  ];
}

/** Applies a matrix to every three values, in place. For whole pictures: no triple is made for any of them. */
export function applyMatrixToAll(m: ColourMatrix, values: Float32Array): void {
  const [[rr, rg, rb], [gr, gg, gb], [br, bg, bb]] = m;
  for (let p = 0; p + 2 < values.length; p += 3) {
    const r = values[p] as number;
    const g = values[p + 1] as number;
    const b = values[p + 2] as number;
    values[p] = rr * r + rg * g + rb * b;
    values[p + 1] = gr * r + gg * g + gb * b;
    values[p + 2] = br * r + bg * g + bb * b;
  }
}

/** The matrix that undoes another. Throws where it has none. */
export function inverseMatrix(m: ColourMatrix): ColourMatrix {
  return solve(new Matrix(m.map((r) => [...r])), Matrix.eye(3)).to2DArray() as unknown as ColourMatrix;
}
