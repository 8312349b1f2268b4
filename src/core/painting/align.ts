/**
 * Lays a picture's places onto a painting by their local contrast: least squares over an affine map with a loss that lets
 * go of what was painted otherwise. After B. D. Lucas and T. Kanade, "An iterative image registration technique", IJCAI
 * 1981, in the form of S. Baker and I. Matthews, "Lucas-Kanade 20 years on", IJCV 56 (2004), section 4.
 */
import { leastSquares } from '../fitting/least-squares';
import { between, type Plane } from '../raster/between';
import type { Affine } from './affine';

/** Places of the reference (widths about its middle), and its local contrast there. */
export interface Places {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly value: Float64Array;
  /** What each of them counts, 0 to 1; all the same unless said. */
  readonly weight?: Float64Array;
}

export interface AlignRequest {
  readonly places: Places;
  /** Local contrast of the painting; it has the reference's proportion. */
  readonly painting: SlopedPlane;
  readonly start: Affine;
  /** How far each parameter may be from where it starts before it costs as much as a misfit, in the parameters' own units. */
  readonly reach: Affine;
  /** What a place is worth that is off by more than this counts with its absolute value. */
  readonly softScale?: number;
  readonly iterations?: number;
}

const SOFT = 0.35;

/** A plane with its slopes along x and y, per width. */
export interface SlopedPlane extends Plane {
  readonly slope: { readonly x: Plane; readonly y: Plane };
}

/** Works out a plane's slopes, once for all that is laid on it. */
export function sloped({ width, height, data }: Plane): SlopedPlane {
  const [x, y] = [new Float32Array(data.length), new Float32Array(data.length)];
  for (let r = 0; r < height; r++)
    for (let c = 0; c < width; c++) {
      const i = r * width + c;
      const [left, right] = [Math.max(0, c - 1), Math.min(width - 1, c + 1)];
      const [up, low] = [Math.max(0, r - 1), Math.min(height - 1, r + 1)];
      x[i] =
        (((data[r * width + right] as number) - (data[r * width + left] as number)) * width) /
        Math.max(1, right - left);
      y[i] = (((data[low * width + c] as number) - (data[up * width + c] as number)) * width) / Math.max(1, low - up);
    }
  return { width, height, data, slope: { x: { width, height, data: x }, y: { width, height, data: y } } };
}

type Six = [Float64Array, Float64Array, Float64Array, Float64Array, Float64Array, Float64Array];

/** The map that lays the places onto the painting, from a start that is near. */
export function align({ places, painting, start, reach, softScale = SOFT, iterations = 12 }: AlignRequest): Affine {
  const { width, height, slope } = painting;
  const n = places.value.length;
  // What all places together may pull is as much as a few dozen of them: neighbours say the same.
  const weight = Math.sqrt(60 / Math.max(1, n));
  const weights = places.weight ? places.weight.map((w) => weight * w) : new Float64Array(n).fill(weight);
  const [xs, ys, values] = [places.x, places.y, places.value];
  const [right, down] = [width / 2, height / 2];
  // Thousands of places, dozens of times: plain loops, and no pair of numbers made for any place.
  const fit = leastSquares({
    start,
    residuals: n + 6,
    evaluate: (p, out) => {
      const [a, b, tx, c, d, ty] = p as unknown as Affine;
      for (let k = 0; k < n; k++) {
        const [x, y] = [xs[k] as number, ys[k] as number];
        const u = (a * x + b * y + tx) * width + right;
        const v = (c * x + d * y + ty) * width + down;
        const inside = u >= 0 && v >= 0 && u <= width && v <= height;
        out[k] = inside ? (weights[k] as number) * (between(painting, u, v) - (values[k] as number)) : 0;
      }
      for (let j = 0; j < 6; j++) out[n + j] = ((p[j] as number) - (start[j] as number)) / (reach[j] as number);
    },
    differentiate: (p, columns) => {
      const [a, b, tx, c, d, ty] = p as unknown as Affine;
      const [byA, byB, byX, byC, byD, byY] = columns as Six;
      for (let k = 0; k < n; k++) {
        const [x, y] = [xs[k] as number, ys[k] as number];
        const u = (a * x + b * y + tx) * width + right;
        const v = (c * x + d * y + ty) * width + down;
        const w = u >= 0 && v >= 0 && u <= width && v <= height ? (weights[k] as number) : 0;
        const gx = w * between(slope.x, u, v);
        const gy = w * between(slope.y, u, v);
        byA[k] = gx * x;
        byB[k] = gx * y;
        byX[k] = gx;
        byC[k] = gy * x;
        byD[k] = gy * y;
        byY[k] = gy;
      }
      for (let j = 0; j < 6; j++)
        for (let i = 0; i < 6; i++) (columns[j] as Float64Array)[n + i] = i === j ? 1 / (reach[j] as number) : 0;
    },
    softScale: weight * softScale,
    robustCount: n,
    maxIterations: iterations,
  });
  return Array.from(fit.parameters) as unknown as Affine;
}
