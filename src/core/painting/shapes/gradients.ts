/** How the value of a shape goes over from one of its sides to the other: one plane through all of it, robust. */
import { Matrix, solve } from 'ml-matrix';
import type { Plane } from '../../raster/between';

/** L* a width, to the right and down. */
export interface Gradient {
  readonly x: number;
  readonly y: number;
}

export interface ShapeGradient {
  readonly wanted: Gradient;
  readonly painted: Gradient;
  /** What each makes from one side of the shape to the other, along itself, and what the difference of the two makes, L*. */
  readonly across: { readonly wanted: number; readonly painted: number; readonly off: number };
}

/** A shape of fewer places turns nowhere. */
const LEAST_PLACES = 60;
/** What is further from the plane than this, L*, says less and less of it: a highlight, a crevice. */
const LETS_GO = [12, 8, 5, 5, 5] as const;
/** What lies evenly over a stretch deviates from its mean by a twelfth of the stretch, squared. */
const OF_A_STRETCH = Math.sqrt(12);
/** Of a shape that hardly reaches either way nothing is made up: one L* a width is as likely there as so much of its places. */
const RIDGE = 1e-6;

interface Spot {
  /** Widths about the shape's middle. */
  readonly x: number;
  readonly y: number;
  readonly wanted: number;
  readonly painted: number;
}

function gradientOf(spots: readonly Spot[], of: (spot: Spot) => number): Gradient {
  let [level, gx, gy] = [spots.reduce((s, spot) => s + of(spot), 0) / spots.length, 0, 0];
  for (const letsGo of LETS_GO) {
    const normal = Matrix.diag([0, RIDGE * spots.length, RIDGE * spots.length]);
    const right = Matrix.zeros(3, 1);
    for (const spot of spots) {
      const weight = 1 / (1 + ((of(spot) - level - gx * spot.x - gy * spot.y) / letsGo) ** 2) ** 2;
      const row = [1, spot.x, spot.y] as const;
      for (let i = 0; i < 3; i++) {
        right.set(i, 0, right.get(i, 0) + weight * (row[i] as number) * of(spot));
        for (let j = 0; j < 3; j++)
          normal.set(i, j, normal.get(i, j) + weight * (row[i] as number) * (row[j] as number));
      }
    }
    [level, gx, gy] = solve(normal, right).to1DArray() as [number, number, number];
  }
  return { x: gx, y: gy };
}

/** How far values lie apart from one side to the other where they follow a gradient, L*. */
function acrossOf(spots: readonly Spot[], { x, y }: Gradient): number {
  const sum = spots.reduce((s, spot) => s + (x * spot.x + y * spot.y) ** 2, 0);
  return OF_A_STRETCH * Math.sqrt(sum / spots.length);
}

/**
 * Gradients of a shape, from places well inside it: of what was wanted (L*, with the whole of the painting taken into account by
 * `onCurve`) and of what was painted, NaN where nothing is known. Null where too little of it can be read.
 */
export function shapeGradient(
  inside: Int32Array,
  target: Plane,
  painted: Plane,
  onCurve: (target: number) => number,
): ShapeGradient | null {
  const { width } = target;
  const known = inside.filter((i) => !Number.isNaN(painted.data[i]));
  if (known.length < LEAST_PLACES) return null;
  let [mx, my] = [0, 0];
  for (const i of known) {
    mx += (i % width) / known.length;
    my += Math.floor(i / width) / known.length;
  }
  const spots = Array.from(known, (i): Spot => ({
    x: ((i % width) - mx) / width,
    y: (Math.floor(i / width) - my) / width,
    wanted: onCurve(target.data[i] as number),
    painted: painted.data[i] as number,
  }));
  const wanted = gradientOf(spots, (s) => s.wanted);
  const made = gradientOf(spots, (s) => s.painted);
  const off = { x: made.x - wanted.x, y: made.y - wanted.y };
  return {
    wanted,
    painted: made,
    across: { wanted: acrossOf(spots, wanted), painted: acrossOf(spots, made), off: acrossOf(spots, off) },
  };
}
