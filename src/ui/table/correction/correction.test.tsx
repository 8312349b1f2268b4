/** The board of corrections and what a letter shows of one, as they are first drawn. */
import { firstChange } from '@/core/correction/first-change';
import type { Change, Layer } from '@/core/correction/layer';
import type { CorrectionView } from '@/studio/views/corrections';
import { renderToStaticMarkup } from 'react-dom/server';
import { CorrectionWipe } from '../../hand-in/CorrectionWipe';
import { CorrectionBoard } from './CorrectionBoard';
import { CHANGES, type CorrectingWith, meansOf } from './layer-kinds';
import { LayerPanel } from './LayerPanel';
import type { Correcting } from './use-correction';

const done = () => Promise.resolve({ ok: true as const, value: undefined });
const TOOLS: CorrectingWith = {
  of: {
    step: 10,
    values: [9, 5, 1].map((n) => ({ label: `step ${n}`, lightness: 10 * n })),
    shapes: [],
  },
  surface: 'gloss',
  paints: [
    {
      ...{ id: 'burnt-umber', name: 'burnt umber', caution: 'Oily rags can heat up.' },
      model: { absorption: [2, 4, 6], scattering: [0.4, 0.3, 0.2] },
    },
  ],
};
const layer = (change: Change, more: Partial<Layer> = {}): Layer => ({
  ...{ id: 'one', name: '', change, mask: { edits: [], soft: 0.01 } },
  ...more,
});
const way = (more: Partial<CorrectionView> = {}): CorrectionView => ({
  ...{ id: 'w', name: 'Lighter eggs', written: 2, setAside: null, withLetter: true, isOfBefore: false },
  layers: [layer({ kind: 'lightness', by: 5 }, { name: 'two eggs' })],
  ...more,
});
const board = (ways: CorrectionView[], frozen = false) =>
  renderToStaticMarkup(
    <CorrectionBoard
      ways={ways}
      picture="/picture/x/strip"
      tools={TOOLS}
      frozen={frozen}
      keep={() => Promise.resolve({ ok: true, value: { id: 'w', written: 1, isApart: false } })}
      sendWith={done}
      setAside={done}
      remove={done}
      leave={() => undefined}
    />,
  );
const panel = (change: Change) =>
  renderToStaticMarkup(
    <LayerPanel
      layer={layer(change)}
      tools={TOOLS}
      drawing={{ way: { id: null, name: '', layers: [] } } as unknown as Correcting}
      frozen={false}
    />,
  );

test('every kind of change is offered by its key, and the layers of the way that goes along are listed', () => {
  const html = board([way({ id: 'o', name: 'Another', withLetter: false, setAside: 'Too much.' }), way()]);
  for (const { name } of CHANGES) expect(html).toContain(name);
  for (const words of [
    'two eggs',
    'goes with the letter',
    'set aside: Too much.',
    'A correction, not the painting itself',
  ])
    expect(html).toContain(words);
  expect(html).toContain('/corrected/w/layers?v=2');
});

test('of a letter that was sent it is looked at and taken along, and nothing is offered', () => {
  const html = board([way()], true);
  for (const words of ['Another way', 'Set aside', 'Take back', 'Draw round it', 'Remove'])
    expect(html).not.toContain(words);
  expect(html).toContain('/corrected/w/png');
});

test('one from before it was measured anew says so', () => {
  expect(board([way({ isOfBefore: true })])).toContain('from before it was measured anew');
});

test.each(CHANGES.map((c) => c.kind))('a layer that begins as %s can be set', (kind) => {
  const change = firstChange(kind, meansOf(TOOLS));
  expect(change?.kind).toBe(kind);
  const html = panel(change as Change);
  expect(html.match(/type="range"/g)?.length ?? 0).toBeGreaterThan(0);
  expect(html).toContain('What it is about');
});

test('how far a change goes is said as in the studio, and what a glaze can hurt by beside it', () => {
  expect(panel({ kind: 'lightness', by: -5 })).toContain('half a step darker');
  expect(panel({ kind: 'lightness', by: 0 })).toContain('as it is');
  expect(panel(firstChange('glaze', meansOf(TOOLS)) as Change)).toContain('Oily rags');
  expect(firstChange('glaze', meansOf({ ...TOOLS, paints: [] }))).toBeNull();
});

test('in a letter both pictures stand under one line, and the correction is called one', () => {
  const html = renderToStaticMarkup(<CorrectionWipe correction={{ id: 'w', written: 3 }} />);
  for (const part of [
    '/corrected/w/picture?v=3',
    '/corrected/w/before?v=3',
    'correction of your painting',
    'type="range"',
  ])
    expect(html).toContain(part);
});
