/** Arithmetic of places and directions. */
import type { Vector } from './scene';

export const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const less = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const unit = (a: Vector): Vector => {
  const n = Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]) || 1;
  return [a[0] / n, a[1] / n, a[2] / n];
};
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const along = (from: Vector, by: Vector, t: number): Vector => [
  from[0] + by[0] * t,
  from[1] + by[1] * t,
  from[2] + by[2] * t,
];
