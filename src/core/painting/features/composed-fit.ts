/**
 * Where a feature stands by its values: the painting is put together from its reference, the feature at some place before what
 * lies about it, and that place is fitted where this is most like what was painted (analysis by synthesis). An outline counts
 * as much as it shows there, and so does all that is drawn inside of it. The loss is that of S. Geman and D. E. McClure,
 * "Statistical methods for tomographic image reconstruction" (1987); steps are those of `dampedStep`.
 */
import { dampedStep, FIRST_DAMPING, type FitSoFar } from '../../fitting/damped-step';
import type { Affine } from '../registration/affine';
import type { Composition } from './composition';
import { CutOut } from './cut-out';

/** How light its parts were painted is looked at so many times, and it is moved so many times in between. */
const ROUNDS = 3;
const STEPS = 8;

/**
 * The map of some places of a reference to where they stand on its painting as the whole of it lies there, in widths, from the
 * likeliest of `starts`, which are off by about a stroke at the most. Throws RangeError without a place or without a start.
 */
export function composedFit(of: Composition, places: Int32Array, starts: readonly Affine[]): Affine {
  const cutOut = new CutOut(of, places);
  const [likeliest] = starts
    .map((start) => {
      cutOut.lookAt(start);
      const parameters = cutOut.parametersOf(start);
      return { parameters, cost: cutOut.costAt(parameters) };
    })
    .sort((a, b) => a.cost - b.cost);
  if (!likeliest) throw new RangeError('A fit has to start somewhere.');
  let fit: FitSoFar = { ...likeliest, damping: FIRST_DAMPING };
  for (let round = 0; round < ROUNDS; round++) {
    cutOut.lookAt(cutOut.mapOf(fit.parameters));
    fit = { ...fit, cost: cutOut.costAt(fit.parameters) };
    for (let step = 0; step < STEPS; step++) {
      const better = dampedStep(fit, cutOut.step(fit.parameters), (p) => cutOut.costAt(p));
      if (!better) break;
      fit = better;
      if (better.done) break;
    }
  }
  return cutOut.mapOf(fit.parameters);
}
