/**
 * Where the plane of a sheet lies in a photograph: millimetres on the sheet to photo pixels, a
 * homography followed by two radial lens terms about the centre of the picture (D. C. Brown,
 * "Close-range camera calibration", 1971, without the tangential terms, which phones don't show).
 */
import { leastSquares } from '../fitting/least-squares';
import { type Homography, homographyThrough } from '../geometry/homography';
import type { Point } from '../geometry/point';

/** Displacements in photo pixels on a grid over the sheet, to be interpolated. */
export interface Ripple {
  readonly stepMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly dx: Float32Array;
  readonly dy: Float32Array;
}

export interface Plane {
  readonly photoWidth: number;
  readonly photoHeight: number;
  /** Millimetres to undistorted pixels. */
  readonly h: Homography;
  /** Radial terms over the half diagonal of the photograph. */
  readonly lens: readonly [number, number];
  /** What a sheet that is not flat adds; none of a flat one. */
  readonly ripple?: Ripple;
}

/** Photo position of a place on the sheet. */
export function toPhoto(plane: Plane, xMm: number, yMm: number): Point {
  const h = plane.h as number[];
  const w = (h[6] as number) * xMm + (h[7] as number) * yMm + 1;
  const cx = plane.photoWidth / 2;
  const cy = plane.photoHeight / 2;
  const dx = ((h[0] as number) * xMm + (h[1] as number) * yMm + (h[2] as number)) / w - cx;
  const dy = ((h[3] as number) * xMm + (h[4] as number) * yMm + (h[5] as number)) / w - cy;
  const r2 = (dx * dx + dy * dy) / (cx * cx + cy * cy);
  const s = 1 + plane.lens[0] * r2 + plane.lens[1] * r2 * r2;
  const x = cx + dx * s;
  const y = cy + dy * s;
  return plane.ripple ? displaced(plane.ripple, xMm, yMm, x, y) : { x, y };
}

function displaced({ stepMm, columns, rows, dx, dy }: Ripple, xMm: number, yMm: number, x: number, y: number): Point {
  const u = Math.min(columns - 1.001, Math.max(0, xMm / stepMm));
  const v = Math.min(rows - 1.001, Math.max(0, yMm / stepMm));
  const c = Math.floor(u);
  const r = Math.floor(v);
  const fx = u - c;
  const fy = v - r;
  const i = r * columns + c;
  const mix = (d: Float32Array) =>
    (1 - fy) * ((1 - fx) * (d[i] as number) + fx * (d[i + 1] as number)) +
    fy * ((1 - fx) * (d[i + columns] as number) + fx * (d[i + columns + 1] as number));
  return { x: x + mix(dx), y: y + mix(dy) };
}

/** The four partial derivatives, pixels a millimetre: x by x, x by y, y by x, y by y. */
export function scaleAt(plane: Plane, xMm: number, yMm: number): readonly [number, number, number, number] {
  const d = 0.5;
  const l = toPhoto(plane, xMm - d, yMm);
  const r = toPhoto(plane, xMm + d, yMm);
  const t = toPhoto(plane, xMm, yMm - d);
  const b = toPhoto(plane, xMm, yMm + d);
  return [r.x - l.x, b.x - t.x, r.y - l.y, b.y - t.y];
}

export interface Correspondence {
  readonly mm: Point;
  readonly photo: Point;
}

/** Straight (no lens) plane through four or more correspondences, by linear least squares. */
export function planeFromPoints(points: readonly Correspondence[], photoWidth: number, photoHeight: number): Plane {
  const h = homographyThrough(points.map(({ mm, photo }) => ({ from: mm, to: photo })));
  return { photoWidth, photoHeight, h, lens: [0, 0] };
}

/** One measured place on an edge: where it is, and across which direction it was measured. */
export interface EdgeFix {
  readonly mm: Point;
  readonly photo: Point;
  /** Unit vector across the edge, in photo pixels. */
  readonly normal: Point;
}

/** Refines a plane with its lens so that edges fall where they were measured (residuals in pixels). */
export function refinePlane(plane: Plane, fixes: readonly EdgeFix[], withLens: boolean): Plane {
  const scale = [1e-3, 1e-3, 1, 1e-3, 1e-3, 1, 1e-6, 1e-6];
  const count = withLens ? 10 : 8;
  const unpack = (p: Float64Array): Plane => ({
    ...plane,
    h: plane.h.map((v, i) => v + (p[i] ?? 0) * (scale[i] ?? 1)),
    lens: [plane.lens[0] + (p[8] ?? 0) * 1e-3, plane.lens[1] + (p[9] ?? 0) * 1e-3],
  });
  const fit = leastSquares({
    start: new Array<number>(count).fill(0),
    residuals: fixes.length + 2,
    robustCount: fixes.length,
    softScale: 0.7,
    maxIterations: 12,
    evaluate(p, out) {
      const q = unpack(p);
      fixes.forEach((fix, i) => {
        const at = toPhoto(q, fix.mm.x, fix.mm.y);
        out[i] = (at.x - fix.photo.x) * fix.normal.x + (at.y - fix.photo.y) * fix.normal.y;
      });
      // A weak pull to a straight lens, so that few edges can't bend it.
      out[fixes.length] = q.lens[0] * 5;
      out[fixes.length + 1] = q.lens[1] * 20;
    },
  });
  return unpack(fit.parameters);
}

/**
 * Tilt of the camera against the sheet in degrees, from how much a small circle at the sheet's centre
 * is flattened: the cosine of the tilt is the ratio of its axes (exact on the optical axis).
 */
export function tiltDegrees(plane: Plane, xMm: number, yMm: number): number {
  const [a, b, c, d] = scaleAt(plane, xMm, yMm);
  const p = (a * a + b * b + c * c + d * d) / 2;
  const det = Math.abs(a * d - b * c);
  const q = Math.sqrt(Math.max(0, p * p - det * det));
  return (Math.acos(Math.min(1, Math.sqrt(Math.max(0, (p - q) / (p + q))))) * 180) / Math.PI;
}

/** Pixels a millimetre at a place, the geometric mean of both directions. */
export function resolutionAt(plane: Plane, xMm: number, yMm: number): number {
  const [a, b, c, d] = scaleAt(plane, xMm, yMm);
  return Math.sqrt(Math.abs(a * d - b * c));
}
