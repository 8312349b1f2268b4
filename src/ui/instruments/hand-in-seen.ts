/** What a hand-in is seen by at a glance: the cells of its measured strip, or one of its pictures. */
import { type StepFigure, stepsIn } from '@/core/kinds/figures';
import type { Measured } from '@/studio/views/measured';
import type { Glance } from '@/studio/views/glances';
import type { StripCell } from './Strip';

export type Seen =
  | { readonly kind: 'cells'; readonly cells: readonly StripCell[] }
  | { readonly kind: 'picture'; readonly which: 'strip' | 'preview' };

const picture = (isStraight: boolean): Seen => ({ kind: 'picture', which: isStraight ? 'strip' : 'preview' });

function cellsOf(steps: readonly StepFigure[], labels: readonly string[]): Seen {
  return {
    kind: 'cells',
    cells: steps.map(({ step, lightness, target, error, flags, gapFlags }, i) => ({
      ...{ label: labels[i] ?? String(step), lightness, target, errorSteps: error, flags, gapFlags },
    })),
  };
}

/** Of a hand-in that was loaded whole; its photograph where nothing was read. */
export function seenOf(measured: Measured | null, labels: readonly string[]): Seen {
  switch (measured?.kind) {
    case 'scale': {
      const steps = stepsIn(measured.result);
      return steps.length > 0 ? cellsOf(steps, labels) : picture(false);
    }
    case 'notan':
      return picture(measured.result.tones.length > 0);
    case 'painting':
      // Of a stain, and from life, there is nothing that it was laid on; what was read always has a range.
      return picture(measured.result.range !== null);
    case undefined:
      return picture(false);
  }
}

/** Of one of many, by the rows that are kept of it. */
export const seenAtAGlance = (
  { steps, hasStrip }: Pick<Glance, 'steps' | 'hasStrip'>,
  labels: readonly string[],
): Seen => (steps.length > 0 ? cellsOf(steps, labels) : picture(hasStrip));
