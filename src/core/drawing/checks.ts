/** What marks on a drawing say of it. Points are in widths of the picture, y down. */
import { Matrix, solve } from 'ml-matrix';
import type { Point } from '../geometry/point';
import type { Ellipse } from './ellipse';

export type Line = readonly [Point, Point];

/** An axis that leans more than this, degrees, is not level. */
export const LEVEL = 3;
/** Two ellipses whose ratios differ by less than this can't be put in order. */
const ALIKE = 0.02;

/** Pairs of ellipses of upright things of which the one further from eye level should be the rounder one and is not. */
export function disagreeing(
  ellipses: readonly Ellipse[],
  eyeLevel: number,
): (readonly [nearer: number, further: number])[] {
  const roundness = (e: Ellipse) => e.short / e.long;
  const off = (e: Ellipse) => Math.abs(e.middle.y - eyeLevel);
  return ellipses.flatMap((a, i) =>
    ellipses.flatMap((b, j) => {
      const same = Math.sign(a.middle.y - eyeLevel) === Math.sign(b.middle.y - eyeLevel);
      return same && off(b) > off(a) && roundness(b) < roundness(a) - ALIKE ? [[i, j] as const] : [];
    }),
  );
}

/** How far an upright leans: degrees clockwise, and how far its top stands beside its foot, widths, to the right. */
export function leanOf([a, b]: Line): { readonly degrees: number; readonly beside: number } {
  const [top, foot] = a.y <= b.y ? [a, b] : [b, a];
  const beside = top.x - foot.x;
  return { degrees: (Math.atan2(beside, foot.y - top.y) * 180) / Math.PI, beside };
}

/** Width over height of the box between two corners; Infinity of one without height. */
export const proportionOf = ([a, b]: Line): number => Math.abs(a.x - b.x) / Math.abs(a.y - b.y);

/** How far a centre line through the middles of pairs (left, right) strays from a straight upright, widths, pair by pair. */
export function offCentre(pairs: readonly Line[]): number[] {
  const middles = pairs.map(([a, b]) => (a.x + b.x) / 2);
  const centre = middles.reduce((s, x) => s + x, 0) / Math.max(1, middles.length);
  return middles.map((x) => x - centre);
}

export interface Vanishing {
  readonly point: Point;
  /** How far each edge misses it, degrees. */
  readonly misses: readonly number[];
}

/** Edges that are nearly parallel, by this much of a determinant, meet nowhere. */
const PARALLEL = 1e-4;

/** An edge that misses the point by this, degrees, was drawn wrong, and has no say in where the point is. */
const WRONG = 4;

/**
 * Where edges meet: of the points in which any two of them do, the one that the others miss least, and then the least squares of
 * those that go through it. Null of fewer than two, and where they are parallel.
 */
export function vanishingOf(edges: readonly Line[]): Vanishing | null {
  const pairs = edges.flatMap((a, i) => edges.slice(i + 1).map((b) => meeting([a, b])));
  const missed = (point: Point) => edges.map((edge) => missOf(edge, point));
  const cost = (point: Point) => missed(point).reduce((s, miss) => s + Math.min(miss, WRONG), 0);
  const [first] = pairs.filter((p) => p !== null).sort((a, b) => cost(a) - cost(b));
  if (!first) return null;
  const point = meeting(edges.filter((edge) => missOf(edge, first) < WRONG)) ?? first;
  return { point, misses: missed(point) };
}

/** The point nearest to all of some edges, by least squares; null of parallels. */
function meeting(edges: readonly Line[]): Point | null {
  const lines = edges.map(([a, b]) => {
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const [nx, ny] = [-(b.y - a.y) / long, (b.x - a.x) / long];
    return { nx, ny, d: nx * a.x + ny * a.y };
  });
  const rows = new Matrix(lines.map(({ nx, ny }) => [nx, ny]));
  const normal = rows.transpose().mmul(rows);
  const spread = normal.get(0, 0) * normal.get(1, 1) - normal.get(0, 1) ** 2;
  if (spread < PARALLEL * edges.length ** 2) return null;
  const right = rows.transpose().mmul(Matrix.columnVector(lines.map((l) => l.d)));
  const [x = 0, y = 0] = solve(normal, right).to1DArray();
  return { x, y };
}

/** Degrees between an edge and the way from its middle to a point. */
function missOf([a, b]: Line, { x, y }: Point): number {
  const own = Math.atan2(b.y - a.y, b.x - a.x);
  const to = Math.atan2(y - (a.y + b.y) / 2, x - (a.x + b.x) / 2);
  const turn = Math.abs(((own - to) * 180) / Math.PI) % 180;
  return Math.min(turn, 180 - turn);
}
