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
/** A part further from the curve than this says little of it, L*. */
const LETS_GO = 2;
/** From a start that may be far off, parts are let go of more and more narrowly. */
const NARROWER = [6, 4, LETS_GO, LETS_GO, LETS_GO, LETS_GO] as const;
/** Starts: lines that lift or lower the darks and the lights by these, L*. */
const STARTS = [-12, -6, 0, 6, 12] as const;
/**
 * What is as likely as a part that is painted otherwise: a bend between two stretches, lights and darks changed by amounts that
 * differ so much, and all of it so much lighter or darker, L*. The simplest curve wins. Where a camera's own curve is in it too
 * it bends more easily.
 */
const BENDS = { painting: 5, camera: 3.5 } as const;
const TILTS = 25;
const SHIFTS = 10;
/** Whose curve it is. */
export type Takes = keyof typeof BENDS;
/** Large parts say more, but less more than they are larger. */
const POWER = 0.7;
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

/** What a curve leaves of a part, L*: positive where it is too light. */
export type LeftBeside = (part: Pick<PaintedPart, 'target' | 'painted'>) => number;

/**
 * What a curve leaves of parts. Where a camera's own curve is in it, values of the photograph are none of the paint: a part is
 * told there by what should be as light as it is, in the values of the reference.
 */
export function leftBeside(curve: ValueCurve, takes: Takes): LeftBeside {
  if (takes === 'painting') return ({ target, painted }) => painted - onCurve(curve, target);
  const back = curve.map(({ target, painted }) => ({ target: painted, painted: target }));
  return ({ target, painted }) => onCurve(back, painted) - target;
}

/** Planes of many places: each value is looked up by where it lies between two points that are equally far apart. */
export function curved(curve: ValueCurve, data: Float32Array): Float32Array {
  const low = curve[0]?.target ?? 0;
  const pointsEach = Math.max(1, curve.length - 1) / ((curve.at(-1)?.target ?? 1) - low);
  const painted = Float64Array.from(curve, (p) => p.painted);
  const out = new Float32Array(data.length);
  for (let i = 0; i < data.length; i++) {
    const along = ((data[i] as number) - low) * pointsEach;
    const k = along > 0 ? Math.min(painted.length - 2, along | 0) : 0;
    const from = painted[k] as number;
    out[i] = from + (along - k) * ((painted[k + 1] as number) - from);
  }
  return out;
}

/** What a part says: how far it is off, between which two knots, and how much it counts. */
interface Said {
  readonly knot: number;
  /** Share of the knot after that one. */
  readonly along: number;
  readonly own: number;
  readonly weight: number;
}

/** A sum of knots that should be nothing, and what is as likely as one part that is let go of. */
interface Plain {
  readonly row: readonly number[];
  readonly likely: number;
}

const ALL = Array.from({ length: KNOTS }, (_, k) => k);

function plainness(bends: number): Plain[] {
  const bend = (k: number) => ALL.map((j) => (j === k ? -2 : Math.abs(j - k) === 1 ? 1 : 0));
  return [
    ...ALL.slice(1, -1).map((k) => ({ row: bend(k), likely: bends })),
    { row: ALL.map((k) => (k === 0 ? -1 : k === KNOTS - 1 ? 1 : 0)), likely: TILTS },
    ...ALL.map((k) => ({ row: ALL.map((j) => (j === k ? 1 / Math.sqrt(KNOTS) : 0)), likely: SHIFTS })),
  ];
}

const missOf = ({ knot, along, own }: Said, off: readonly number[]): number =>
  own - (1 - along) * (off[knot] as number) - along * (off[knot + 1] as number);

/** What a curve costs: parts that it leaves (S. Geman and D. E. McClure's loss, at most 1 each), and what it does itself. */
function costOf(off: readonly number[], said: readonly Said[], plain: readonly Plain[]): number {
  let cost = 0;
  for (const part of said) {
    const z = (missOf(part, off) / LETS_GO) ** 2;
    cost += (part.weight * z) / (1 + z);
  }
  for (const { row, likely } of plain) cost += (row.reduce((s, v, k) => s + v * (off[k] as number), 0) / likely) ** 2;
  return cost;
}

/** A step towards the curve that costs least: parts weigh as they lie off now. */
function stepped(off: readonly number[], letsGo: number, said: readonly Said[], plain: readonly Plain[]): number[] {
  const normal = Matrix.zeros(KNOTS, KNOTS);
  const right = Matrix.zeros(KNOTS, 1);
  const add = (i: number, j: number, v: number) => normal.set(i, j, normal.get(i, j) + v);
  for (const part of said) {
    const { knot, along, own } = part;
    const weight = part.weight / (1 + (missOf(part, off) / letsGo) ** 2) ** 2 / letsGo ** 2;
    const [a, b] = [1 - along, along];
    add(knot, knot, weight * a * a);
    add(knot, knot + 1, weight * a * b);
    add(knot + 1, knot, weight * a * b);
    add(knot + 1, knot + 1, weight * b * b);
    right.set(knot, 0, right.get(knot, 0) + weight * a * own);
    right.set(knot + 1, 0, right.get(knot + 1, 0) + weight * b * own);
  }
  for (const { row, likely } of plain)
    row.forEach((v, i) => {
      if (v !== 0) row.forEach((w, j) => add(i, j, (v * w) / likely ** 2));
    });
  return solve(normal, right).to1DArray();
}

/**
 * The curve of a painting: robust, rising, as plain as what was painted allows; `takes` says whether an unknown camera's curve
 * is part of it. Several curves may explain much of a painting, so it is sought from many starts. Throws RangeError without
 * any part.
 */
export function valueCurve(parts: readonly PaintedPart[], takes: Takes = 'painting'): ValueCurve {
  if (parts.length === 0) throw new RangeError('A curve needs a part that was painted.');
  const targets = parts.map((p) => p.target);
  const [low, high] = [Math.min(...targets), Math.max(Math.max(...targets), Math.min(...targets) + 1)];
  const knots = ALL.map((k) => low + ((high - low) * k) / (KNOTS - 1));
  const all = parts.reduce((s, p) => s + p.area ** POWER, 0);
  const said = parts.map(({ target, painted, area }): Said => {
    const along = within((target - low) / (high - low), 0, 1) * (KNOTS - 1);
    const knot = Math.min(KNOTS - 2, Math.floor(along));
    return { knot, along: along - knot, own: painted - target, weight: (WORTH * area ** POWER) / all };
  });
  const plain = plainness(BENDS[takes]);
  const sought = STARTS.flatMap((darks) =>
    STARTS.map((lights) => {
      let off = ALL.map((k) => darks + ((lights - darks) * k) / (KNOTS - 1));
      for (const letsGo of NARROWER) off = stepped(off, letsGo, said, plain);
      return { off, cost: costOf(off, said, plain) };
    }),
  );
  const { off } = sought.reduce((best, own) => (own.cost < best.cost ? own : best));
  const painted = knots.map((t, k) => t + (off[k] as number));
  for (let k = 1; k < KNOTS; k++)
    painted[k] = Math.max(
      painted[k] as number,
      (painted[k - 1] as number) + LEAST_RISE * ((knots[k] as number) - (knots[k - 1] as number)),
    );
  return knots.map((target, k) => ({ target, painted: painted[k] as number }));
}
