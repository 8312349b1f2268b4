/** How sure a tone fit is: each patch foretold by the others. */
import { inverse, Matrix, solve } from 'ml-matrix';
import { luminanceToLightness } from '../colour/lab';
import { innerProducts, type LeastSquaresFit } from '../fitting/least-squares';
import type { ToneSample } from './tone-sample';

export interface LeftOutPatch {
  /** 1 up, in the order of the sheet's patches. */
  readonly patch: number;
  readonly lightness: number;
  /** What the rest of the card foretells less what the patch is, L*. */
  readonly error: number;
}

/**
 * What each patch would read if the rest of the card alone had made the fit, less what it is. For a
 * linearised fit this is (I - H)^-1 r over the patch's own samples, H being its block of the hat
 * matrix (R. D. Cook, S. Weisberg, "Residuals and influence in regression", 1982, section 2.2).
 */
export function leaveOnePatchOut(fit: LeastSquaresFit, samples: readonly ToneSample[]): LeftOutPatch[] {
  const columns = fit.jacobian;
  const normal = innerProducts(columns, columns).add(Matrix.eye(columns.length).mul(1e-9));
  const covariance = inverse(normal);
  const patches = [...new Set(samples.map((s) => s.patch))].filter((k) => k > 0);
  return patches.map((patch) => {
    const own = samples.flatMap((s, i) => (s.patch === patch ? [i] : []));
    const j = new Matrix(own.map((i) => columns.map((c) => c[i] as number)));
    const hat = j.mmul(covariance).mmul(j.transpose());
    const r = Matrix.columnVector(own.map((i) => fit.residuals[i] as number));
    const left = solve(
      Matrix.eye(own.length)
        .mul(1 + 1e-9)
        .sub(hat),
      r,
    ).to1DArray();
    const mean = left.reduce((a, b) => a + b, 0) / left.length;
    return { patch, lightness: luminanceToLightness(samples[own[0] as number]?.reflectance ?? 0), error: mean };
  });
}
