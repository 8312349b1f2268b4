/**
 * A sheet that is not flat: what its printed edges are off from the plane that fits them best. The rest is taken up
 * by Gaussian bumps along the border, where there is print (ridge regression; E. Hoerl, R. Kennard, "Ridge
 * regression", 1970); inwards it fades, since nothing is known there.
 */
import { Matrix, solve } from 'ml-matrix';
import { quantile } from '../fitting/quantile';
import type { FoundEdge } from './edges';
import { type Plane, resolutionAt, toPhoto } from './plane';

const KNOT_MM = 36;
const INSET_MM = 11;
const WIDTH_MM = 30;
const RIDGE = 0.6;
const GRID_MM = 6;
/** Below this (mm, nine edges in ten) the sheet counts as flat: what is left is the edges' own scatter. */
const FLAT_MM = 0.12;

function knots(widthMm: number, heightMm: number): readonly (readonly [number, number])[] {
  const along = (length: number) => {
    const n = Math.max(2, Math.round((length - 2 * INSET_MM) / KNOT_MM) + 1);
    return Array.from({ length: n }, (_, i) => INSET_MM + (i * (length - 2 * INSET_MM)) / (n - 1));
  };
  return [
    ...along(widthMm).flatMap((x) => [[x, INSET_MM] as const, [x, heightMm - INSET_MM] as const]),
    ...along(heightMm)
      .slice(1, -1)
      .flatMap((y) => [[INSET_MM, y] as const, [widthMm - INSET_MM, y] as const]),
  ];
}

/** How far (mm) nine edges in ten stay from the plane. */
export function unevenness(plane: Plane, edges: readonly FoundEdge[]): number {
  const off = edges.map((e) => {
    const at = toPhoto(plane, e.mm.x, e.mm.y);
    return (
      Math.abs((e.photo.x - at.x) * e.normal.x + (e.photo.y - at.y) * e.normal.y) / resolutionAt(plane, e.mm.x, e.mm.y)
    );
  });
  return quantile(off, 0.9);
}

/** The plane with its ripple, where there is one worth straightening; else the plane as it is. */
export function straighten(plane: Plane, edges: readonly FoundEdge[], widthMm: number, heightMm: number): Plane {
  if (edges.length < 60 || unevenness(plane, edges) < FLAT_MM) return plane;
  const centres = knots(widthMm, heightMm);
  const bump = (x: number, y: number, k: number) => {
    const [cx, cy] = centres[k] as readonly [number, number];
    return Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / (2 * WIDTH_MM ** 2));
  };
  const n = centres.length;
  const normal = Matrix.eye(2 * n).mul(RIDGE);
  const right = Matrix.zeros(2 * n, 1);
  for (const e of edges) {
    const at = toPhoto(plane, e.mm.x, e.mm.y);
    const off = (e.photo.x - at.x) * e.normal.x + (e.photo.y - at.y) * e.normal.y;
    const row = Array.from(
      { length: 2 * n },
      (_, i) => bump(e.mm.x, e.mm.y, i % n) * (i < n ? e.normal.x : e.normal.y),
    );
    row.forEach((a, i) => {
      if (Math.abs(a) < 1e-4) return;
      right.set(i, 0, right.get(i, 0) + a * off);
      row.forEach((b, k) => normal.set(i, k, normal.get(i, k) + a * b));
    });
  }
  const w = solve(normal, right).to1DArray();
  const [columns, rows] = [Math.ceil(widthMm / GRID_MM) + 1, Math.ceil(heightMm / GRID_MM) + 1];
  const [dx, dy] = [new Float32Array(columns * rows), new Float32Array(columns * rows)];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++)
      for (let k = 0; k < n; k++) {
        const b = bump(c * GRID_MM, r * GRID_MM, k);
        const i = r * columns + c;
        dx[i] = (dx[i] as number) + b * (w[k] ?? 0);
        dy[i] = (dy[i] as number) + b * (w[n + k] ?? 0);
      }
  return { ...plane, ripple: { stepMm: GRID_MM, columns, rows, dx, dy } };
}
