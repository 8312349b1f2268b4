/**
 * One step of a damped least-squares fit, after J. J. More, "The Levenberg-Marquardt algorithm: implementation and theory"
 * (1978): shorter and shorter until what is fitted lies better than it did.
 */
import { Matrix, solve } from 'ml-matrix';

/** Damping that a fit starts with. */
export const FIRST_DAMPING = 1e-3;
/** Tries until a step is given up. */
const TRIES = 8;
/** Damping is cut by this after a step that helped, and raised after one that did not. */
const DAMPING = { times: 6, least: 1e-9 } as const;
/** A fit that gets better by less than this share of its cost is done. */
const DONE = 1e-4;

/** Parameters, what they cost, and how much the next step from them is damped. */
export interface FitSoFar {
  readonly parameters: Float64Array;
  readonly cost: number;
  readonly damping: number;
}

/**
 * The next fit of n parameters, and whether it is as good as done; null where none costs less. `normal` is n by n, `downhill` n by
 * 1, both at the fit so far. `costOf` is asked of each that is tried, and last of the one that is taken.
 */
export function dampedStep(
  { parameters, cost, damping }: FitSoFar,
  { normal, downhill }: { readonly normal: Matrix; readonly downhill: Matrix },
  costOf: (parameters: Float64Array) => number,
): (FitSoFar & { readonly done: boolean }) | null {
  for (let tried = 0, own = damping; tried < TRIES; tried++, own *= DAMPING.times) {
    const damped = normal.clone();
    for (let a = 0; a < parameters.length; a++) damped.set(a, a, damped.get(a, a) * (1 + own) + 1e-12);
    const step = solve(damped, downhill).to1DArray();
    const next = parameters.map((v, k) => v + (step[k] ?? 0));
    const nextCost = costOf(next);
    if (Number.isFinite(nextCost) && nextCost < cost)
      return {
        parameters: next,
        cost: nextCost,
        damping: Math.max(DAMPING.least, own / DAMPING.times),
        done: (cost - nextCost) / Math.max(Math.abs(cost), 1e-30) < DONE,
      };
  }
  return null;
}
