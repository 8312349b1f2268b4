/**
 * Damped least squares with a soft-L1 loss, for the two fits of a photograph (where the sheet lies,
 * how the camera saw its greys) and for fitting paints to logged mixes. Levenberg-Marquardt after J. J. More, "The Levenberg-Marquardt
 * algorithm: implementation and theory" (1978); the loss is rho(z) = 2 (sqrt(1 + z) - 1) of the squared
 * scaled residual, applied by reweighting (B. Triggs et al., "Bundle adjustment", 2000, section 4.3
 * without its second-order term). A general package was tried first: it copies its Jacobian into
 * nested arrays at each step and took longer than decoding the photograph.
 */
import { Matrix, solve } from 'ml-matrix';

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
      const z = (v / softScale) ** 2;
      cost += 2 * softScale * softScale * (Math.sqrt(1 + z) - 1);
    }
  }
  return cost;
}

/** Minimises the problem. Never throws on a hard problem: it returns the best parameters met. */
export function leastSquares(problem: LeastSquaresProblem): LeastSquaresFit {
  const n = problem.start.length;
  const m = problem.residuals;
  const { softScale, robustCount } = problem;
  let p = Float64Array.from(problem.start);
  let r = new Float64Array(m);
  problem.evaluate(p, r);
  let cost = costOf(r, softScale, robustCount);
  let lambda = 1e-3;
  const jacobian = Array.from({ length: n }, () => new Float64Array(m));
  const trial = new Float64Array(m);
  let iteration = 0;
  for (; iteration < problem.maxIterations; iteration++) {
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
    const weight = new Float64Array(m).fill(1);
    for (let i = 0; i < robustCount; i++) weight[i] = 1 / Math.sqrt(1 + ((r[i] as number) / softScale) ** 2);
    const normal = Matrix.zeros(n, n);
    const gradient = Matrix.zeros(n, 1);
    const weighted = new Float64Array(m);
    for (let a = 0; a < n; a++) {
      const ja = jacobian[a] as Float64Array;
      let g = 0;
      for (let i = 0; i < m; i++) {
        weighted[i] = (ja[i] as number) * (weight[i] as number);
        g += (weighted[i] as number) * (r[i] as number);
      }
      gradient.set(a, 0, -g);
      for (let b = a; b < n; b++) {
        const jb = jacobian[b] as Float64Array;
        let s = 0;
        for (let i = 0; i < m; i++) s += (weighted[i] as number) * (jb[i] as number);
        normal.set(a, b, s);
        normal.set(b, a, s);
      }
    }
    let improved = false;
    let relative = 0;
    for (let attempt = 0; attempt < 8 && !improved; attempt++) {
      const damped = normal.clone();
      for (let a = 0; a < n; a++) damped.set(a, a, damped.get(a, a) * (1 + lambda) + 1e-12);
      const step = solve(damped, gradient).to1DArray();
      const next = Float64Array.from(p, (v, k) => v + (step[k] ?? 0));
      problem.evaluate(next, trial);
      const nextCost = costOf(trial, softScale, robustCount);
      if (Number.isFinite(nextCost) && nextCost < cost) {
        relative = (cost - nextCost) / Math.max(cost, 1e-30);
        p = next;
        r = Float64Array.from(trial);
        cost = nextCost;
        lambda = Math.max(1e-9, lambda / 6);
        improved = true;
      } else lambda *= 6;
    }
    if (!improved || relative < 1e-4) break;
  }
  return { parameters: p, residuals: r, cost, iterations: iteration, jacobian };
}
