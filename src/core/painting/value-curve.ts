/**
 * One curve for the whole painting: how light things were painted against how light they were to be. It says what is wrong
 * with all of it at once ("the darks are lifted"); single shapes get what is left.
 */
import { Matrix, solve } from 'ml-matrix';

/** What a part of the picture was to be and what it became, L*, and its share of the picture. */
export interface PaintedPart {
  readonly target: number;
  readonly painted: number;
  readonly area: number;
}

/** Rising points; between them the curve is straight, and it goes on so beyond its ends. */
export type ValueCurve = readonly { readonly target: number; readonly painted: number }[];

const KNOTS = 5;
/** Parts further from the curve than this say less and less of it, L*: sought wide at first, narrow at last. */
const LETS_GO = [16, 10, 6, 4, 3, 3, 3, 3] as const;
/**
 * How uneven a curve may be before it costs as much as one part that is off by as much: the simplest one wins. Where a
 * camera's own curve is in it too it bends more easily, and small dark parts have more to say, since that curve bends most there.
 */
const CURVES = { painting: { bend: 5, power: 1 }, camera: { bend: 3.5, power: 0.7 } } as const;
/** Parts of a picture say about as much of its curve as so many that know nothing of each other. */
const WORTH = 30;
/** A curve rises by this much a step of target at the least: what is flatter has lost its order, and shapes are told so. */
const LEAST_RISE = 0.15;

const within = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

/** What a curve makes of a target; the target itself of a curve without two points. */
export function onCurve(curve: ValueCurve, target: number): number {
  let k = 1;
  while (k < curve.length - 1 && (curve[k]?.target ?? 0) < target) k++;
  const [from, to] = [curve[k - 1], curve[k]];
  if (!from || !to) return target;
  return from.painted + ((target - from.target) / (to.target - from.target)) * (to.painted - from.painted);
}

/** Planes of many places: each value is looked up by where it lies between two points that are equally far apart. */
export function curved(curve: ValueCurve, data: Float32Array): Float32Array {
  const low = curve[0]?.target ?? 0;
  const apart = ((curve.at(-1)?.target ?? 1) - low) / Math.max(1, curve.length - 1);
  const painted = Float64Array.from(curve, (p) => p.painted);
  const out = new Float32Array(data.length);
  for (let i = 0; i < data.length; i++) {
    const along = ((data[i] as number) - low) / apart;
    const k = Math.min(painted.length - 2, Math.max(0, Math.floor(along)));
    const from = painted[k] as number;
    out[i] = from + (along - k) * ((painted[k + 1] as number) - from);
  }
  return out;
}

/** Shares of the knots on both sides of a target. */
function sharesAt(knots: readonly number[], target: number): [number, number, number] {
  const [low, high] = [knots[0] as number, knots[KNOTS - 1] as number];
  const along = within((target - low) / (high - low), 0, 1) * (KNOTS - 1);
  const k = Math.min(KNOTS - 2, Math.floor(along));
  return [k, 1 - (along - k), along - k];
}

/**
 * The curve of a painting: robust, rising, as plain as what was painted allows; `takes` says whether an unknown camera's curve
 * is part of it. Throws RangeError without any part.
 */
export function valueCurve(parts: readonly PaintedPart[], takes: keyof typeof CURVES = 'painting'): ValueCurve {
  const { bend, power } = CURVES[takes];
  if (parts.length === 0) throw new RangeError('A curve needs a part that was painted.');
  const targets = parts.map((p) => p.target);
  const [low, high] = [Math.min(...targets), Math.max(Math.max(...targets), Math.min(...targets) + 1)];
  const knots = Array.from({ length: KNOTS }, (_, k) => low + ((high - low) * k) / (KNOTS - 1));
  const areas = parts.reduce((s, p) => s + p.area ** power, 0);
  let off: number[] = new Array<number>(KNOTS).fill(0);
  const deviation = (target: number) => {
    const [k, a, b] = sharesAt(knots, target);
    return a * (off[k] as number) + b * (off[k + 1] as number);
  };
  for (const letsGo of LETS_GO) {
    const normal = Matrix.eye(KNOTS, KNOTS, 1e-3);
    const right = Matrix.zeros(KNOTS, 1);
    const add = (row: readonly [number, number][], value: number, weight: number) => {
      for (const [i, a] of row) {
        right.set(i, 0, right.get(i, 0) + weight * a * value);
        for (const [j, b] of row) normal.set(i, j, normal.get(i, j) + weight * a * b);
      }
    };
    for (const { target, painted, area } of parts) {
      const [k, a, b] = sharesAt(knots, target);
      const own = painted - target;
      const miss = own - deviation(target);
      // Geman and McClure's weight: what lies far off stops to pull.
      const weight = ((WORTH * area ** power) / areas) * (1 / (1 + (miss / letsGo) ** 2) ** 2);
      add(
        [
          [k, a],
          [k + 1, b],
        ],
        own,
        weight / letsGo ** 2,
      );
    }
    for (let k = 1; k < KNOTS - 1; k++)
      add(
        [
          [k - 1, 1],
          [k, -2],
          [k + 1, 1],
        ],
        0,
        1 / bend ** 2,
      );
    off = solve(normal, right).to1DArray();
  }
  const painted = knots.map((t, k) => t + (off[k] as number));
  for (let k = 1; k < KNOTS; k++)
    painted[k] = Math.max(
      painted[k] as number,
      (painted[k - 1] as number) + LEAST_RISE * ((knots[k] as number) - (knots[k - 1] as number)),
    );
  return knots.map((target, k) => ({ target, painted: painted[k] as number }));
}
