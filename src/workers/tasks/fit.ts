/** Fitting a class's paints to its logged mixes, and what to ask for next. */
import type { MediumId } from '@/core/exercise/media';
import type { PaintId } from '@/core/exercise/paints';
import { fitPaints, mixToAskFor } from '@/core/mixing/fit';
import { greySet } from '@/core/mixing/grey-set';
import type { LoggedMix } from '@/core/mixing/logged-mix';
import type { Figures } from '@/core/mixing/paint-model';
import { FIT_VERSION, type StoredFit } from '@/core/mixing/stored-fit';

export interface FitTask {
  readonly task: 'fit';
  readonly paints: readonly PaintId[];
  readonly mixes: readonly LoggedMix[];
  readonly medium: MediumId;
  /** The teacher's own figures, to lean on. */
  readonly start: Figures;
}

export function fitTask({ paints, mixes, medium, start }: FitTask): StoredFit {
  const fit = fitPaints(paints, mixes, medium, start);
  // The greys as they are mixed from now on: what is to be foretold, and what can be asked for.
  const wanted = greySet(paints, fit.figures, medium);
  return {
    version: FIT_VERSION,
    figures: fit.figures,
    shift: fit.shift,
    before: [...fit.before],
    after: [...fit.after],
    odd: [...fit.odd],
    unsure: wanted.map(fit.uncertaintyOf),
    ask: mixToAskFor(paints, mixes, wanted, wanted, medium, start),
  };
}
