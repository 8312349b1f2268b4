/**
 * An ellipse through marked points by least squares, always an ellipse: A. Fitzgibbon, M. Pilu, R. Fisher, "Direct least square
 * fitting of ellipses", PAMI 21 (1999), in the stable form of R. Halíř and J. Flusser (1998).
 */
import { EigenvalueDecomposition, inverse, Matrix } from 'ml-matrix';
import type { Point } from '../geometry/point';

export interface Ellipse {
  readonly middle: Point;
  /** Half of the longer and of the shorter axis, in the units of the points. */
  readonly long: number;
  readonly short: number;
  /** How far the longer axis leans out of level, degrees, clockwise, -90 to 90. */
  readonly tilt: number;
}

export const LEAST_POINTS = 5;

/** Null where fewer than five points are given, or they lie on no ellipse. */
export function fittedEllipse(points: readonly Point[]): Ellipse | null {
  if (points.length < LEAST_POINTS) return null;
  const mean = (of: (p: Point) => number) => points.reduce((s, p) => s + of(p), 0) / points.length;
  const [mx, my] = [mean((p) => p.x), mean((p) => p.y)];
  const size = Math.sqrt(mean((p) => (p.x - mx) ** 2 + (p.y - my) ** 2));
  if (size === 0) return null;
  const own = points.map((p) => [(p.x - mx) / size, (p.y - my) / size] as const);
  const d1 = new Matrix(own.map(([x, y]) => [x * x, x * y, y * y]));
  const d2 = new Matrix(own.map(([x, y]) => [x, y, 1]));
  const [s1, s2, s3] = [d1.transpose().mmul(d1), d1.transpose().mmul(d2), d2.transpose().mmul(d2)];
  const t = solved(s3, s2);
  if (!t) return null;
  const m = s1.clone().add(s2.mmul(t));
  const reduced = new Matrix([
    m.getRow(2).map((v) => v / 2),
    m.getRow(1).map((v) => -v),
    m.getRow(0).map((v) => v / 2),
  ]);
  const { eigenvectorMatrix: vectors } = new EigenvalueDecomposition(reduced);
  for (let k = 0; k < 3; k++) {
    const a1 = vectors.getColumn(k);
    const [a = 0, b = 0, c = 0] = a1;
    if (4 * a * c - b * b <= 0) continue;
    const [d = 0, e = 0, f = 0] = t.mmul(Matrix.columnVector(a1)).to1DArray();
    // A conic is the same with every sign turned; its axes are told apart by one of them.
    const sign = Math.sign(a + c);
    const fitted = axesOf([sign * a, sign * b, sign * c, sign * d, sign * e, sign * f]);
    return fitted && { ...fitted, ...scaled(fitted, size, mx, my) };
  }
  return null;
}

const scaled = ({ middle, long, short }: Ellipse, size: number, mx: number, my: number) => ({
  middle: { x: mx + size * middle.x, y: my + size * middle.y },
  long: size * long,
  short: size * short,
});

function solved(s3: Matrix, s2: Matrix): Matrix | null {
  try {
    return inverse(s3).mmul(s2.transpose()).mul(-1);
  } catch {
    // Points on a line.
    return null;
  }
}

/** Middle and axes of a x² + b x y + c y² + d x + e y + f = 0; null of what is no ellipse. */
function axesOf([a, b, c, d, e, f]: readonly [number, number, number, number, number, number]): Ellipse | null {
  const det = b * b - 4 * a * c;
  const middle = { x: (2 * c * d - b * e) / det, y: (2 * a * e - b * d) / det };
  const at = a * middle.x ** 2 + b * middle.x * middle.y + c * middle.y ** 2 + d * middle.x + e * middle.y + f;
  const root = Math.hypot(a - c, b);
  const [one, two] = [(-2 * at) / (a + c - root), (-2 * at) / (a + c + root)];
  if (!(one > 0 && two > 0)) return null;
  const [long, short] = [Math.sqrt(Math.max(one, two)), Math.sqrt(Math.min(one, two))];
  // The longer axis is that of the smaller curvature.
  const turn = 0.5 * Math.atan2(-b, c - a);
  const degrees = (turn * 180) / Math.PI;
  return { middle, long, short, tilt: degrees };
}
