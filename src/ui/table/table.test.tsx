/** The Table of each family: one frame, with who painted it, what is said of it and what is decided. */
import { withEdits } from '@/core/critique/letter';
import { draftOf } from '@/core/kinds/draft';
import { defaultTerms, labelsOf } from '@/core/kinds/table';
import { measureGaps, targetsFor } from '@/core/scale/flags';
import { sampleScale, sampleSteps } from '@/core/scale/sample-result';
import { samplePainting, sampleRegion, sampleShape } from '@/core/painting/sample-result';
import { FindingForm } from './FindingForm';
import type { TableProps } from './table-props';
import { WhyFold } from './WhyFold';
import { Table } from './Table';
import { markupOf } from '../test-markup';

const terms = { ...defaultTerms('scale'), steps: 5 };
const targets = targetsFor(terms, []);
const lightness = targets.map((l, i) => (i === 2 ? l + 14 : l));
const measured = sampleScale(sampleSteps({ targets, lightness, own: { 3: { flags: ['off_target'] } } }), {
  gaps: measureGaps(terms, lightness, [0.3, 0.3, 0.3, 0.3, 0.3]),
  leastWork: [{ step: 3, from: lightness[2] ?? 0, to: targets[2] ?? 0 }],
});

const done = () => Promise.resolve({ ok: true as const, value: null });
const actions = new Proxy(
  { tones: new Proxy({}, { get: () => done }) },
  {
    get: (own, name) => (name === 'tones' ? own.tones : done),
  },
) as TableProps['actions'];
const handIn = {
  id: 'h1',
  exerciseId: 'x1',
  student: 'Bea Lindqvarn',
  title: 'Five greys',
  state: 'waiting' as const,
  previous: null,
  next: null,
  place: '1 of 1',
  late: '',
  register: null,
  classRegister: 'beginners' as const,
};
const attempt = {
  id: 'a1',
  number: 1,
  stage: null,
  stageId: null,
  state: 'measured' as const,
  plea: null,
  trouble: null,
  createdAt: new Date(0),
  hasPreview: true,
  hasStrip: true,
  masses: [],
  verdict: null,
  reply: null,
  marks: [],
  corrections: [],
};
const items = withEdits(draftOf(measured, terms, 'white-is-one'), []);
const critique = { word: '', written: 0, changes: {}, whys: {}, sentAt: null, items };
const scale = { kind: 'scale' as const, result: measured };

test('a scale: its strip over what was wanted, the ruler, least work, findings and both decisions', () => {
  const part = {
    kind: 'scale' as const,
    measured: scale,
    repaint: null,
    row: { perRow: 5, gapPercent: 1, tall: false },
  };
  const shown = { ...attempt, terms, measured: scale, critique };
  const html = markupOf(
    <Table
      handIn={handIn}
      attempts={[shown]}
      shown={shown as TableProps['shown']}
      isCurrent
      labels={labelsOf(terms, 'white-is-one')}
      part={part as TableProps['part']}
      phrases={{}}
      remarks={[]}
      correctingWith={null}
      opinions={[]}
      colleagues={[]}
      grading={[]}
      tries={[]}
      alike={[]}
      actions={actions}
    />,
  );
  for (const words of [
    'Bea Lindqvarn',
    'Five greys',
    '/picture/a1/strip',
    'Value ruler',
    'Least work',
    'Once more',
    'Pass',
  ])
    expect(html).toContain(words);
  const fixes = items.filter((i) => i.original.kind === 'fix');
  expect(fixes.length).toBeGreaterThan(0);
  for (const fix of fixes) expect(html).toContain(`data-code="${fix.original.code}"`);
});

test('a painting in many values: laid beside what was wanted, its parts outlined, told and in figures', () => {
  const own = defaultTerms('monochrome-painting');
  const result = samplePainting({
    regions: [sampleRegion(2, { shape: 'jug > lit side' })],
    shapes: [sampleShape('jug > lit side', { lightness: 70, target: 52, deltaLightness: 18, residual: 18 })],
  });
  const painting = { kind: 'painting' as const, result, against: null };
  const said = withEdits(draftOf(result, own, 'white-is-one'), []);
  const shown = { ...attempt, terms: own, measured: painting, critique: { ...critique, items: said } };
  const html = markupOf(
    <Table
      handIn={handIn}
      attempts={[shown]}
      shown={shown as TableProps['shown']}
      isCurrent
      labels={[]}
      part={{ kind: 'painting', measured: painting, standing: 'other-reference', setUp: null, beside: 'reference' }}
      phrases={{}}
      remarks={[]}
      correctingWith={null}
      opinions={[]}
      colleagues={[]}
      grading={[]}
      tries={[]}
      alike={[]}
      actions={actions}
    />,
  );
  for (const words of [
    '/laid/a1/drawn',
    '/laid/a1/wanted',
    'The lit side of the jug is far too light beside the rest.',
    'data-code="part_off"',
    'prepared anew since',
    'A piece laid in',
    '<td>70.0</td><td>52.0</td><td>+18.0</td>',
  ])
    expect(html).toContain(words);
});

test('by eye: the photograph as it came, no findings, and both decisions', () => {
  const own = defaultTerms('master-copy');
  const shown = { ...attempt, terms: own, measured: null, hasStrip: false, critique: { ...critique, items: [] } };
  const html = markupOf(
    <Table
      handIn={handIn}
      attempts={[shown]}
      shown={shown as TableProps['shown']}
      isCurrent
      labels={[]}
      part={null}
      phrases={{}}
      remarks={[]}
      correctingWith={null}
      opinions={[]}
      colleagues={[]}
      grading={[]}
      tries={[]}
      alike={[]}
      actions={actions}
    />,
  );
  expect(html).toContain('/picture/a1/preview');
  expect(html).not.toContain('data-code');
  for (const words of ['Once more', 'Pass']) expect(html).toContain(words);
});

test('words that were said of the same thing before are offered while it is edited', () => {
  const [item] = critique.items;
  if (!item) throw new Error('Nothing is said.');
  const html = markupOf(
    <FindingForm
      item={item}
      written={0}
      phrases={{ say: ['Four and five are twins.', item.original.say], action: [] }}
      change={() => Promise.resolve({ ok: true, value: undefined })}
      close={() => undefined}
    />,
  );
  expect(html).toContain('Four and five are twins.');
  // What stands there already is not offered.
  expect(html.split('aria-label="Said before"')[1]?.match(/<li>/g)).toHaveLength(1);
});

test('why a finding is said stands folded away, and is opened with its numbers', () => {
  const why = { numbers: [{ label: 'the gap is', value: '4.1 L*' }], weight: 0.3, source: 'beyond the tolerance' };
  const fold = (open: boolean) => markupOf(<WhyFold why={why} open={open} onOpen={() => undefined} />);
  expect(fold(false)).not.toContain('4.1');
  for (const words of ['the gap is', '4.1 L*', 'weighs, beside the rest', 'Judged by: beyond the tolerance.'])
    expect(fold(true)).toContain(words);
});
