/**
 * Lays a picture's places onto a painting by their local contrast: least squares over an affine map with a loss that lets
 * go of what was painted otherwise. After B. D. Lucas and T. Kanade, "An iterative image registration technique", IJCAI
 * 1981, in the form of S. Baker and I. Matthews, "Lucas-Kanade 20 years on", IJCV 56 (2004), section 4.
 */
import { Matrix } from 'ml-matrix';
import { dampedStep, FIRST_DAMPING, type FitSoFar } from '../../fitting/damped-step';
import type { Plane } from '../../raster/between';
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
  /** Value and both slopes of each place side by side, since all three are asked of one place at a time. */
  readonly trios: Float32Array;
}

/** Works out a plane's slopes, once for all that is laid on it. */
export function sloped({ width, height, data }: Plane): SlopedPlane {
  const trios = new Float32Array(3 * data.length);
  for (let r = 0; r < height; r++)
    for (let c = 0; c < width; c++) {
      const i = r * width + c;
      const [left, right] = [Math.max(0, c - 1), Math.min(width - 1, c + 1)];
      const [up, low] = [Math.max(0, r - 1), Math.min(height - 1, r + 1)];
      const acrossX = (data[r * width + right] as number) - (data[r * width + left] as number);
      const acrossY = (data[low * width + c] as number) - (data[up * width + c] as number);
      trios[3 * i] = data[i] as number;
      trios[3 * i + 1] = (acrossX * width) / Math.max(1, right - left);
      trios[3 * i + 2] = (acrossY * width) / Math.max(1, low - up);
    }
  return { width, height, data, trios };
}

/** Per place: xx, xy, x, yy, y and 1, as the pull of one parameter meets that of another. */
const MOMENTS = 6;

/**
 * Sums over all places at some parameters: what they cost, and what a step from there is made of. A place pulls by its slopes
 * gx and gy, and by those times x and y. Sums stand in typed arrays: numbers of their own are put into boxes here, each time.
 */
class Pulls {
  cost = 0;
  /** Of gx gx, gx gy and gy gy, each times the moments. */
  private readonly pairs = new Float64Array(3 * MOMENTS);
  private readonly downhill = new Float64Array(6);

  constructor(
    private readonly places: Places,
    private readonly painting: SlopedPlane,
    private readonly weights: Float64Array,
    private readonly softScale: number,
  ) {}

  /** Thousands of places, dozens of times: one plain loop, and nothing made for any place. */
  at([a, b, tx, c, d, ty]: Affine): void {
    const { width, height, trios } = this.painting;
    const { x: xs, y: ys, value } = this.places;
    const { weights, softScale, pairs, downhill } = this;
    const [right, low] = [width / 2, height / 2];
    const moments = new Float64Array(MOMENTS).fill(1);
    const cost = new Float64Array(1);
    pairs.fill(0);
    downhill.fill(0);
    for (let k = 0; k < value.length; k++) {
      const x = xs[k] as number;
      const y = ys[k] as number;
      const u = (a * x + b * y + tx) * width + right - 0.5;
      const v = (c * x + d * y + ty) * width + low - 0.5;
      // What lies past the painting's edge says nothing.
      if (!(u >= -0.5 && v >= -0.5 && u <= width - 0.5 && v <= height - 0.5)) continue;
      const inU = u < 0 ? 0 : u > width - 1 ? width - 1 : u;
      const inV = v < 0 ? 0 : v > height - 1 ? height - 1 : v;
      const column = Math.min(width - 2, inU | 0);
      const row = Math.min(height - 2, inV | 0);
      const p = inU - column;
      const q = inV - row;
      const w0 = (1 - p) * (1 - q);
      const w1 = p * (1 - q);
      const w2 = (1 - p) * q;
      const w3 = p * q;
      const i = 3 * (row * width + column);
      const j = i + 3 * width;
      const here =
        w0 * (trios[i] as number) +
        w1 * (trios[i + 3] as number) +
        w2 * (trios[j] as number) +
        w3 * (trios[j + 3] as number);
      const gx =
        w0 * (trios[i + 1] as number) +
        w1 * (trios[i + 4] as number) +
        w2 * (trios[j + 1] as number) +
        w3 * (trios[j + 4] as number);
      const gy =
        w0 * (trios[i + 2] as number) +
        w1 * (trios[i + 5] as number) +
        w2 * (trios[j + 2] as number) +
        w3 * (trios[j + 5] as number);
      const own = weights[k] as number;
      const off = own * (here - (value[k] as number));
      const z = off / softScale;
      const soft = Math.sqrt(1 + z * z);
      cost[0] = (cost[0] as number) + soft - 1;
      const px = (own * off * gx) / soft;
      const py = (own * off * gy) / soft;
      downhill[0] = (downhill[0] as number) - px * x;
      downhill[1] = (downhill[1] as number) - px * y;
      downhill[2] = (downhill[2] as number) - px;
      downhill[3] = (downhill[3] as number) - py * x;
      downhill[4] = (downhill[4] as number) - py * y;
      downhill[5] = (downhill[5] as number) - py;
      moments[0] = x * x;
      moments[1] = x * y;
      moments[2] = x;
      moments[3] = y * y;
      moments[4] = y;
      const weight = (own * own) / soft;
      const gg = weight * gx * gx;
      const gh = weight * gx * gy;
      const hh = weight * gy * gy;
      for (let n = 0; n < MOMENTS; n++) {
        const moment = moments[n] as number;
        pairs[n] = (pairs[n] as number) + gg * moment;
        pairs[n + MOMENTS] = (pairs[n + MOMENTS] as number) + gh * moment;
        pairs[n + 2 * MOMENTS] = (pairs[n + 2 * MOMENTS] as number) + hh * moment;
      }
    }
    this.cost = 2 * softScale * softScale * (cost[0] as number);
  }

  /** Adds what being off from a start costs, and says what a step from the parameters is made of. */
  step(parameters: Float64Array, start: Affine, reach: Affine): { readonly normal: Matrix; readonly downhill: Matrix } {
    const [gg, gh, hh] = [0, 1, 2].map((k) => {
      const [xx, xy, x, yy, y, one] = this.pairs.subarray(k * MOMENTS, (k + 1) * MOMENTS) as unknown as Affine;
      return [
        [xx, xy, x],
        [xy, yy, y],
        [x, y, one],
      ];
    }) as [number[][], number[][], number[][]];
    const normal = new Matrix([
      ...gg.map((row, k) => [...row, ...(gh[k] as number[])]),
      ...gh.map((row, k) => [...row, ...(hh[k] as number[])]),
    ]);
    const downhill = Matrix.columnVector(this.downhill);
    for (let j = 0; j < 6; j++) {
      const tight = 1 / (reach[j] as number) ** 2;
      normal.set(j, j, normal.get(j, j) + tight);
      downhill.set(j, 0, downhill.get(j, 0) - tight * ((parameters[j] as number) - (start[j] as number)));
    }
    return { normal, downhill };
  }
}

/** The map that lays the places onto the painting, from a start that is near. */
export function align({ places, painting, start, reach, softScale = SOFT, iterations = 12 }: AlignRequest): Affine {
  const n = places.value.length;
  // What all places together may pull is as much as a few dozen of them: neighbours say the same.
  const weight = Math.sqrt(60 / Math.max(1, n));
  const weights = places.weight ? places.weight.map((w) => weight * w) : new Float64Array(n).fill(weight);
  let [now, next] = [0, 1].map(() => new Pulls(places, painting, weights, weight * softScale)) as [Pulls, Pulls];
  const costAt = (parameters: Float64Array) => {
    next.at(parameters as unknown as Affine);
    return parameters.reduce((s, p, j) => s + ((p - (start[j] as number)) / (reach[j] as number)) ** 2, next.cost);
  };
  const parameters = Float64Array.from(start);
  let fit: FitSoFar = { parameters, cost: costAt(parameters), damping: FIRST_DAMPING };
  for (let k = 0; k < iterations; k++) {
    [now, next] = [next, now];
    const better = dampedStep(fit, now.step(fit.parameters, start, reach), costAt);
    if (!better) break;
    fit = better;
    if (better.done) break;
  }
  return Array.from(fit.parameters) as unknown as Affine;
}
