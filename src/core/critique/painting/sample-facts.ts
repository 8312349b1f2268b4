/** Facts of every code of a painting, several where its words differ, to read all that can be said. */
import { FORM_CODES } from '../../painting/form/codes';
import { sampleFeature, sampleRegion, sampleShape } from '../../painting/sample-result';
import { EXTENT_KINDS, ACCENT_KINDS } from '../../painting/result';
import { GRADIENT_FAULTS, type PaintingFacts, TURNS, WAYS } from './facts';

const BOX = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
const OTHER = { x: 0.7, y: 0.7, width: 0.2, height: 0.2 };
const SITS = { shift: { x: 0.05, y: -0.02 }, scale: { x: 1.1, y: 1 }, rotation: 3, shear: 0 };
const RESCUED = { repainted: 0.3, range: 10, crowding: -0.2, contrast: 3 };
const NAME = 'jug > lit side';
const PAIR = ['jug > shadow', 'wall'] as [string, string];

const range = (dark: number, light: number) => ({ contrast: 0.7, short: { dark, light } });
const part = (shape: string | null, steps: number, share = 1): PaintingFacts['part_off'] => ({
  ...{ part: sampleRegion(steps, { shape }), share, steps, tolerance: 0.5 },
});
const contrast = (
  steps: number,
  instead: PaintingFacts['contrast_off']['instead'] = null,
  shouts: string | null = null,
): PaintingFacts['contrast_off'] => ({
  ...{ steps, instead, shouts },
  contrast: {
    ...{ id: 'c', between: PAIR, box: BOX, chroma: null, hue: null },
    lightness: { wanted: 10, painted: 10 + 9 * steps },
  },
});
const colour = { id: 'c', box: BOX, area: 0.1, a: 0, b: 0, wantedA: 0, wantedB: 0, residualA: 9, residualB: 0 };

export const SAMPLE_FACTS: { readonly [C in keyof PaintingFacts]: readonly PaintingFacts[C][] } = {
  stain_even: [{ unevenness: 3 }],
  stain_uneven: [{ unevenness: 14 }],
  masses_apart: [{ apart: 1 }],
  masses_meet: [{ apart: -0.5 }],
  greys_in_order: [{ pairs: 0 }],
  greys_swapped: [
    { lighter: BOX, darker: OTHER, by: 9 },
    { lighter: BOX, darker: BOX, by: 9 },
  ],
  values_kept: [{ lost: 0.02 }],
  values_lost: [{ lost: 0.3 }],
  rescue_reaches: [RESCUED],
  rescue_clearer: [RESCUED],
  rescue_contrast: [RESCUED],
  rescue_narrower: [RESCUED],
  rescue_untouched: [RESCUED],
  middle_crowded: [
    { middle: 0.9, wanted: null },
    { middle: 0.9, wanted: 0.4 },
  ],
  lights_scattered: [{ pieces: 9, wanted: 2 }],
  darks_scattered: [{ pieces: 9, wanted: 2 }],
  focus_elsewhere: [
    { painted: BOX, wanted: OTHER, atFocus: { student: 0.4, reference: 0.4 } },
    { painted: BOX, wanted: BOX, atFocus: { student: 0.4, reference: 0.4 } },
  ],
  drawing_holds: [{ shift: 0 }],
  values_hold: [{ parts: 0 }],
  range_holds: [{ contrast: 1 }],
  range_short: [range(2, 0), range(0, 2)],
  range_stretched: [range(-1, -1)],
  all_lighter: [{ steps: 1.2, tolerance: 0.5 }],
  all_darker: [{ steps: -1.2, tolerance: 0.5 }],
  part_off: [part(NAME, 1), part(NAME, -2.4, 0.3), part(null, 0.7)],
  extent_off: EXTENT_KINDS.flatMap((kind) =>
    [NAME, null].map((name) => ({ extent: { ...{ id: 'e', box: BOX, by: 0.2, kind }, name }, steps: 0.4 })),
  ),
  line_off: ACCENT_KINDS.flatMap((kind) =>
    [true, false].map((light) => ({ line: { ...{ id: 'l', box: BOX, amount: 0.3, kind }, light } })),
  ),
  gradient_off: GRADIENT_FAULTS.map((fault) => ({ shape: sampleShape(NAME), fault, steps: 1.2 })),
  contrast_off: [
    contrast(1),
    contrast(-0.8),
    contrast(-2),
    contrast(1, null, 'wall'),
    contrast(1, 'white'),
    contrast(-1, 'colour'),
  ],
  form_holds: [{ shapes: 4 }],
  form_broken: FORM_CODES.flatMap((code) =>
    ['jug', null].map((object) => ({
      rule: { ...{ id: 'r', code, names: ['jug > shadow', 'jug > highlight'], value: 1, limit: 0, box: BOX }, object },
    })),
  ),
  colours_hold: [{ parts: 0 }],
  colour_strength: [{ strength: 0.5 }, { strength: 1.6 }],
  colour_cast: TURNS.map((turn) => ({ cast: { a: 4, b: 8 }, turn, off: 20, tolerance: 6 })),
  colour_off: TURNS.flatMap((turn) =>
    [NAME, null].map((shape) => ({
      ...{ part: { ...colour, residualChroma: 2, shape }, turn, off: 9, tolerance: 6 },
    })),
  ),
  shadow_warmth: [-8, 8].map((wanted) => ({
    ...{ object: 'jug', shadows: ['jug > shadow'], lights: [NAME], box: BOX, wanted, painted: -wanted },
  })),
  accent_of_colour: [true, false].map((allowed) => ({ allowed, places: [{ box: BOX, area: 0.02, off: 30 }] })),
  accent_alone: [{ allowed: true, places: [{ box: BOX, area: 0.02, off: 30 }] }],
  colour_elsewhere: [
    { painted: BOX, wanted: OTHER },
    { painted: BOX, wanted: BOX },
  ],
  feature_moved: WAYS.flatMap((way) =>
    [NAME, null].map((name) => ({
      ...{ moved: sampleFeature({ name, dx: 0.05, dy: 0.03, width: 1.2, height: 0.8, slant: 7 }), ways: [way] },
    })),
  ),
  gap_off: [-0.01, 0.03, 0.2].map((painted) => ({
    gap: { between: ['jug', 'egg'], way: 'across', wanted: 0.08, painted, box: BOX },
  })),
  picture_moved: [SITS],
  picture_turned: [SITS, { ...SITS, rotation: -3 }],
  picture_sized: [SITS, { ...SITS, scale: { x: 0.9, y: 0.9 } }],
};
