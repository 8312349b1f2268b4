/**
 * Damped least squares with a soft-L1 loss, for the two fits of a photograph (where the sheet lies,
 * how the camera saw its greys) and for fitting paints to logged mixes. Steps are those of `dampedStep`; the
 * loss is rho(z) = 2 (sqrt(1 + z) - 1) of the squared scaled residual, applied by reweighting (B. Triggs et al.,
 * "Bundle adjustment", 2000, section 4.3 without its second-order term). A general package was tried first: it
 * copies its Jacobian into nested arrays at each step and took longer than decoding the photograph.
 */
import { Matrix } from 'ml-matrix';
import { dampedStep, FIRST_DAMPING, type FitSoFar } from './damped-step';

export interface LeastSquaresProblem {
  readonly start: readonly number[];
  readonly residuals: number;
  /** Writes the residuals of `parameters` into `out`. */
  evaluate(parameters: Float64Array, out: Float64Array): void;
  /**
   * Writes the derivative of every residual by parameter k into `columns[k]`. Left out, it is taken by
   * forward differences.
   */
  differentiate?(parameters: Float64Array, columns: readonly Float64Array[]): void;
  /** Residuals beyond this count with their absolute value; from `robustCount` on they stay squared. */
  readonly softScale: number;
  /** How many leading residuals the loss applies to; the rest are priors. */
  readonly robustCount: number;
  readonly maxIterations: number;
}

export interface LeastSquaresFit {
  readonly parameters: Float64Array;
  readonly residuals: Float64Array;
  readonly cost: number;
  readonly iterations: number;
  /** Derivatives of the residuals by each parameter, at the last step but one at the most. */
  readonly jacobian: readonly Float64Array[];
}

function costOf(r: Float64Array, softScale: number, robustCount: number): number {
  let cost = 0;
  for (let i = 0; i < r.length; i++) {
    const v = r[i] as number;
    if (i >= robustCount) cost += v * v;
    else {
      const z = v / softScale;
      cost += 2 * softScale * softScale * (Math.sqrt(1 + z * z) - 1);
    }
  }
  return cost;
}

function dot(a: Float64Array, b: Float64Array): number {
  let s = 0;
  for (let i = 0; i < a.length; i++) s += (a[i] as number) * (b[i] as number);
  return s;
}

/**
 * The symmetric matrix of every `left` column times every `right` one, all of one length. Four at a time: one sum alone
 * waits for each of its additions.
 */
export function innerProducts(left: readonly Float64Array[], right: readonly Float64Array[]): Matrix {
  const n = left.length;
  const out = Matrix.zeros(n, n);
  const put = (a: number, b: number, s: number) => {
    out.set(a, b, s);
    out.set(b, a, s);
  };
  for (let a = 0; a < n; a++) {
    const own = left[a] as Float64Array;
    let b = a;
    for (; b + 3 < n; b += 4) {
      const [j0, j1, j2, j3] = right.slice(b, b + 4) as [Float64Array, Float64Array, Float64Array, Float64Array];
      let [s0, s1, s2, s3] = [0, 0, 0, 0];
      for (let i = 0; i < own.length; i++) {
        const v = own[i] as number;
        s0 += v * (j0[i] as number);
        s1 += v * (j1[i] as number);
        s2 += v * (j2[i] as number);
        s3 += v * (j3[i] as number);
      }
      put(a, b, s0);
      put(a, b + 1, s1);
      put(a, b + 2, s2);
      put(a, b + 3, s3);
    }
    for (; b < n; b++) put(a, b, dot(own, right[b] as Float64Array));
  }
  return out;
}

/** Minimises the problem. Never throws on a hard problem: it returns the best parameters met. */
export function leastSquares(problem: LeastSquaresProblem): LeastSquaresFit {
  const n = problem.start.length;
  const m = problem.residuals;
  const { softScale, robustCount } = problem;
  let r = new Float64Array(m);
  let trial = new Float64Array(m);
  const costAt = (p: Float64Array) => {
    problem.evaluate(p, trial);
    return costOf(trial, softScale, robustCount);
  };
  const start = Float64Array.from(problem.start);
  let fit: FitSoFar = { parameters: start, cost: costAt(start), damping: FIRST_DAMPING };
  [r, trial] = [trial, r];
  const jacobian = Array.from({ length: n }, () => new Float64Array(m));
  const weighted = Array.from({ length: n }, () => new Float64Array(m));
  const weight = new Float64Array(m).fill(1);
  let iteration = 0;
  for (; iteration < problem.maxIterations; iteration++) {
    const p = fit.parameters;
    if (problem.differentiate) problem.differentiate(p, jacobian);
    else
      for (let k = 0; k < n; k++) {
        const step = 1e-6 * Math.max(1, Math.abs(p[k] as number));
        const moved = Float64Array.from(p);
        moved[k] = (moved[k] as number) + step;
        problem.evaluate(moved, trial);
        const column = jacobian[k] as Float64Array;
        for (let i = 0; i < m; i++) column[i] = ((trial[i] as number) - (r[i] as number)) / step;
      }
    for (let i = 0; i < robustCount; i++) {
      const z = (r[i] as number) / softScale;
      weight[i] = 1 / Math.sqrt(1 + z * z);
    }
    for (let k = 0; k < n; k++) {
      const [from, to] = [jacobian[k] as Float64Array, weighted[k] as Float64Array];
      for (let i = 0; i < m; i++) to[i] = (from[i] as number) * (weight[i] as number);
    }
    const downhill = Matrix.columnVector(weighted.map((column) => -dot(column, r)));
    const next = dampedStep(fit, { normal: innerProducts(weighted, jacobian), downhill }, costAt);
    if (!next) break;
    fit = next;
    [r, trial] = [trial, r];
    if (next.done) break;
  }
  return { parameters: fit.parameters, residuals: r, cost: fit.cost, iterations: iteration, jacobian };
}
