/**
 * The map between two views of one plane, by the direct linear transform with its last element set to 1 (R. Hartley,
 * A. Zisserman, "Multiple View Geometry in Computer Vision", 2nd edition, 4.1). Least squares where there are more than
 * four pairs.
 */
import { Matrix, solve } from 'ml-matrix';
import type { Point } from './point';

/** Row-major 3 x 3 without its last 1. */
export type Homography = readonly number[];

export interface PointPair {
  readonly from: Point;
  readonly to: Point;
}

/**
 * The homography through four or more pairs.
 *
 * @throws RangeError for fewer than four.
 */
export function homographyThrough(pairs: readonly PointPair[]): Homography {
  if (pairs.length < 4) throw new RangeError(`A plane needs at least 4 points, got ${pairs.length}.`);
  const rows: number[][] = [];
  const right: number[] = [];
  for (const { from, to } of pairs) {
    rows.push([from.x, from.y, 1, 0, 0, 0, -to.x * from.x, -to.x * from.y]);
    rows.push([0, 0, 0, from.x, from.y, 1, -to.y * from.x, -to.y * from.y]);
    right.push(to.x, to.y);
  }
  return solve(new Matrix(rows), Matrix.columnVector(right), true).to1DArray();
}
