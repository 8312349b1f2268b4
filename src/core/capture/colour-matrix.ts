/**
 * A camera's own primaries to linear sRGB: a 3 x 3 matrix that keeps grey (each row adds up to 1), from coloured
 * patches whose colour is known. Greys alone can't tell it.
 */
import { Matrix, solve } from 'ml-matrix';
import type { ColourMatrix } from '../colour/primaries';
import type { Triple } from '../colour/srgb';

/** Weight of the pull towards the same primaries, in units of one patch. */
const PULL = 0.02;

/**
 * The matrix that turns what the camera saw (linear, its greys already grey) into what is known. Rows are
 * fitted by weighted least squares; weights make errors of dark and light patches count alike in cube root.
 */
export function fitColourMatrix(seen: readonly Triple[], known: readonly Triple[]): ColourMatrix {
  const rows = [0, 1, 2].map((c) => {
    const [p, q] = [(c + 1) % 3, (c + 2) % 3] as const;
    const normal = Matrix.eye(2).mul(PULL * 0.05);
    const right = Matrix.zeros(2, 1);
    seen.forEach((s, i) => {
      const k = known[i] as Triple;
      const own = s[c] as number;
      const d = [(s[p] as number) - own, (s[q] as number) - own] as const;
      const weight = 1 / Math.max(0.03, k[c] as number) ** (4 / 3);
      const off = (k[c] as number) - own;
      for (let a = 0; a < 2; a++) {
        right.set(a, 0, right.get(a, 0) + weight * (d[a] as number) * off);
        for (let b = 0; b < 2; b++) normal.set(a, b, normal.get(a, b) + weight * (d[a] as number) * (d[b] as number));
      }
    });
    const [mp = 0, mq = 0] = solve(normal, right).to1DArray();
    const row: [number, number, number] = [0, 0, 0];
    row[c] = 1 - mp - mq;
    row[p] = mp;
    row[q] = mq;
    return row as Triple;
  });
  return rows as unknown as ColourMatrix;
}
