/** Facts of every code of a picture in few tones, several where its words differ, to read all that can be said. */
import { sampleMass } from '../../notan/sample-result';
import type { ToneFacts } from './facts';

const BOX = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
const mass = sampleMass('jug > shadow', { steps: { from: 2, to: 3 } });
const pair = { object: 'jug', lit: ['jug > lit side'], shadow: ['jug > shadow'], separation: -4, wanted: 8 };
const tone = { index: 2, share: 0, referenceShare: 0.2, lightness: null, spread: null };

export const SAMPLE_FACTS: { readonly [C in keyof ToneFacts]: readonly ToneFacts[C][] } = {
  big_shapes: [{ agreement: 0.96 }],
  flat_tones: [{ spread: [1, 1], all: true }],
  pairs_hold: [{ pairs: [pair] }, { pairs: [pair, pair] }],
  in_their_steps: [{ inside: [1] }],
  decided: [{ regions: 0, slivers: 0 }],
  flipped_shape: [
    { id: '1.1', box: BOX, area: 0.1, drawn: 1, wanted: 3, shape: 'jug > shadow' },
    { id: '2.2', box: BOX, area: 0.1, drawn: 2, wanted: 1 },
  ],
  outside_steps: [{ mass, tone: 1, wanted: 2, share: 0.4, area: 0.1 }],
  pair_crossed: [{ pair, due: 8, step: 20, area: 0.1, emphasis: 1, told: false }],
  overlap_lighter: [
    { overlap: { name: 'jug > cast', than: 'wall > shadow', by: 4 }, step: 20, area: 0.1, emphasis: 1 },
  ],
  missing_tone: [
    { tone, count: 3 },
    { tone: { ...tone, referenceShare: null }, count: 3 },
  ],
  shifted: [
    { x: 0.04, y: 0 },
    { x: -0.04, y: 0.01 },
    { x: 0, y: 0.04 },
    { x: 0, y: -0.04 },
  ],
  tone_share: [
    { tone: 1, share: 0.4, referenceShare: 0.2 },
    { tone: 3, share: 0.1, referenceShare: 0.3 },
  ],
  grey_for_black: [
    { lightness: 40, target: 20, frame: 24 },
    { lightness: 40, target: 20, frame: null },
  ],
  grey_for_white: [{ lightness: 80, target: 96, frame: null }],
  uneven_tone: [{ tone: 2, spread: 9, share: 0.3 }],
  slivers: [{ slivers: 6 }],
  sizes_alike: [{ variety: 0.1 }],
  ragged_edges: [{ ragged: 0.4, slivers: 0 }],
  white_not_sparing: [
    { share: 0.4, due: 0.1, hasReference: true },
    { share: 0.4, due: 0.1, hasReference: false },
  ],
  seams_stand_out: [{ between: 0.6 }],
};
