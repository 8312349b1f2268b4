import { glazed } from '../mixing/layers';
import { paletteOf } from '../mixing/paint-model';
import { FIRST_SOFT, firstChange, type Means } from './first-change';
import { layerSchema } from './layer';

const means = (...paints: Parameters<typeof paletteOf>[0]): Means => ({
  ...{ step: 9, surface: 'satin' },
  values: [90, 50, 10].map((lightness) => ({ lightness })),
  paints: [...paletteOf(paints)].map(([id, model]) => ({ id, model })),
});
const KINDS = Object.keys(FIRST_SOFT) as (keyof typeof FIRST_SOFT)[];

test.each(KINDS)('a layer that begins as %s can be kept', (kind) => {
  const change = firstChange(kind, means('titanium-white', 'burnt-umber'));
  const layer = { id: 'one', name: '', mask: { edits: [], soft: FIRST_SOFT[kind] }, change };
  expect(layerSchema.safeParse(layer).success).toBe(true);
});

test.each(['burnt-umber', 'ivory-black', 'yellow-ochre'] as const)(
  'a glaze of %s begins thin: about half a step',
  (id) => {
    const change = firstChange('glaze', means('titanium-white', id));
    if (change?.kind !== 'glaze') throw new Error('It is a glaze.');
    expect(change.paint).toBe(id);
    const by = Math.abs(glazed(50, change.model, change.mm, 'satin')[0] - 50);
    expect(by).toBeGreaterThanOrEqual(4.5);
    expect(by).toBeLessThan(9);
  },
);

test('without a paint there is no glaze', () => {
  expect(firstChange('glaze', means())).toBeNull();
});
