/** Facts of every change that a correction can make, several where its words differ, to read all that can be said. */
import type { CorrectionFacts } from './facts';

const BOX = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
const named = { name: 'shadow under the chin', box: BOX };
const unnamed = { name: null, box: BOX };
const still = { dx: 0, dy: 0, wider: 1, taller: 1, turn: 0 };

export const SAMPLE_FACTS: { readonly [C in keyof CorrectionFacts]: readonly CorrectionFacts[C][] } = {
  corrected_lightness: [
    { ...named, by: -5, steps: -0.5 },
    { ...unnamed, by: 12, steps: 1.2 },
  ],
  corrected_edge: [named, unnamed],
  corrected_glaze: [{ ...unnamed, paint: 'burnt-umber', mm: 0.04 }],
  corrected_place: [
    { ...unnamed, ...still, dx: 0.05, dy: -0.02 },
    { ...named, ...still, wider: 1.2, taller: 0.8, turn: -6 },
    { ...named, ...still },
  ],
  corrected_shape: [
    { ...unnamed, lightness: 50, step: 'step 5' },
    { ...named, lightness: 50, step: null },
  ],
};
