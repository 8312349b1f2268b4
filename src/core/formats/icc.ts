/** What an embedded colour profile says of its primaries (ICC.1:2010, sections 7.3 and 10.31). */
import { Matrix, solve } from 'ml-matrix';
import { xyzD50ToD65 } from '../colour/adaptation';
import { type ColourMatrix, SAME_PRIMARIES } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import { xyzD65ToLinearRgb } from '../colour/xyz';

const TAG_TABLE = 128;

function xyzTag(view: DataView, name: string): Triple | null {
  const count = Math.min(100, view.getUint32(TAG_TABLE));
  for (let i = 0; i < count; i++) {
    const at = TAG_TABLE + 4 + 12 * i;
    const tag = String.fromCharCode(...[0, 1, 2, 3].map((k) => view.getUint8(at + k)));
    if (tag !== name) continue;
    const from = view.getUint32(at + 4);
    const fixed = (k: number) => view.getInt32(from + 8 + 4 * k) / 65536;
    return [fixed(0), fixed(1), fixed(2)];
  }
  return null;
}

/** Primaries this near to sRGB's (in the matrix) are taken to be the same. */
const SAME = 0.01;

/**
 * The matrix from the profile's linear RGB to sRGB's, each row adding up to 1; null where the primaries are sRGB's, or
 * where the profile is none of three primaries, or broken.
 */
export function profilePrimaries(icc: Uint8Array): ColourMatrix | null {
  try {
    const view = new DataView(icc.buffer, icc.byteOffset, icc.byteLength);
    const columns = ['rXYZ', 'gXYZ', 'bXYZ'].map((name) => xyzTag(view, name));
    if (columns.some((c) => c === null)) return null;
    const rgb = (columns as Triple[]).map((xyz) => xyzD65ToLinearRgb(xyzD50ToD65(xyz)));
    const rows = [0, 1, 2].map((r) => rgb.map((c) => c[r as 0 | 1 | 2]));
    // Rounding of the profile is taken out: white stays white.
    const sums = rows.map((row) => row.reduce((a, b) => a + b, 0));
    if (sums.some((s) => !(s > 0.9 && s < 1.1))) return null;
    const matrix = rows.map((row, r) => row.map((v) => v / (sums[r] as number))) as unknown as ColourMatrix;
    const off = Math.max(
      ...matrix.flatMap((row, r) =>
        row.map((v, c) => Math.abs(v - (SAME_PRIMARIES[r as 0 | 1 | 2][c as 0 | 1 | 2] as number))),
      ),
    );
    solve(new Matrix(matrix.map((r) => [...r])), Matrix.eye(3));
    return off < SAME ? null : matrix;
  } catch {
    // A profile that can't be read is as none: the codes are taken for sRGB.
    return null;
  }
}
