/** Flat shapes in millimetres: what covers what, how large it is, how long its edge. */
import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';

export type Shape = MultiPolygon;
export type Corner = readonly [xMm: number, yMm: number];

/** A shape from its corners in order; it closes itself. */
export function polygon(corners: readonly Corner[]): Shape {
  const ring = corners.map(([x, y]): [number, number] => [x, y]);
  const first = ring[0];
  if (!first || ring.length < 3) throw new RangeError(`A shape needs at least three corners, got ${corners.length}.`);
  return [[[...ring, first]]];
}

export const rectangle = (x0: number, y0: number, x1: number, y1: number): Shape =>
  polygon([
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ]);

const SIDES = 240;

/** A circle as a polygon of the same area: its corners lie a little outside. */
export function circle(cx: number, cy: number, radius: number): Shape {
  const turn = (2 * Math.PI) / SIDES;
  const r = radius * Math.sqrt(turn / Math.sin(turn));
  return polygon(
    Array.from({ length: SIDES }, (_, i): Corner => [cx + r * Math.cos(i * turn), cy + r * Math.sin(i * turn)]),
  );
}

export const inside = (shape: Shape, other: Shape): Shape => polygonClipping.intersection(shape, other);
export const without = (shape: Shape, ...others: readonly Shape[]): Shape =>
  others.length === 0 ? shape : polygonClipping.difference(shape, ...others);
export const together = (first: Shape, ...others: readonly Shape[]): Shape => polygonClipping.union(first, ...others);

function ringArea(ring: readonly (readonly [number, number])[]): number {
  let twice = 0;
  for (let i = 0; i + 1 < ring.length; i++) {
    const [x0, y0] = ring[i] as [number, number];
    const [x1, y1] = ring[i + 1] as [number, number];
    twice += x0 * y1 - x1 * y0;
  }
  return Math.abs(twice) / 2;
}

const polygonArea = ([outer, ...holes]: Polygon): number =>
  ringArea(outer ?? []) - holes.reduce((s, h) => s + ringArea(h), 0);

/** Square millimetres. */
export const areaOf = (shape: Shape): number => shape.reduce((s, p) => s + polygonArea(p), 0);

/** Length of all edges, holes too, millimetres. */
export function perimeterOf(shape: Shape): number {
  let length = 0;
  for (const ring of shape.flat())
    for (let i = 0; i + 1 < ring.length; i++) {
      const [x0, y0] = ring[i] as [number, number];
      const [x1, y1] = ring[i + 1] as [number, number];
      length += Math.hypot(x1 - x0, y1 - y0);
    }
  return length;
}

/** Whether a place lies in the shape (even-odd rule). */
export function contains(shape: Shape, x: number, y: number): boolean {
  let odd = false;
  for (const ring of shape.flat())
    for (let i = 0; i + 1 < ring.length; i++) {
      const [x0, y0] = ring[i] as [number, number];
      const [x1, y1] = ring[i + 1] as [number, number];
      if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) odd = !odd;
    }
  return odd;
}

/** Distance to the nearest edge, millimetres; where that is no more than `atLeast`, any distance that shows it. */
export function edgeDistance(shape: Shape, x: number, y: number, atLeast = 0): number {
  let best = Infinity;
  for (const ring of shape.flat())
    for (let i = 0; i + 1 < ring.length; i++) {
      const [x0, y0] = ring[i] as [number, number];
      const [x1, y1] = ring[i + 1] as [number, number];
      const [dx, dy] = [x1 - x0, y1 - y0];
      const t = Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
      best = Math.min(best, Math.hypot(x - x0 - t * dx, y - y0 - t * dy));
      if (best <= atLeast) return best;
    }
  return best;
}

/** A roomy place in the shape, for its number; null in an empty shape. */
export function roomiest(shape: Shape): Corner | null {
  const xs = shape.flat(2).map(([x]) => x);
  const ys = shape.flat(2).map(([, y]) => y);
  if (xs.length === 0) return null;
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const TRIES = 18;
  let best: { at: Corner; room: number } | null = null;
  for (let r = 0; r < TRIES; r++)
    for (let c = 0; c < TRIES; c++) {
      const at: Corner = [x0 + ((c + 0.5) * (x1 - x0)) / TRIES, y0 + ((r + 0.5) * (y1 - y0)) / TRIES];
      // The first edge that is nearer than any edge of the best place rules a place out.
      const room = edgeDistance(shape, ...at, best?.room);
      if (room > (best?.room ?? -1) && contains(shape, ...at)) best = { at, room };
    }
  return best?.at ?? null;
}
