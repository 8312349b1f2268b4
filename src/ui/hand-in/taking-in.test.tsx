/** How photographs come in, as markup: what is offered, what it is called for those who can't see it. */
import { defaultScale } from '@/core/exercise/scale';
import { defaultTerms } from '@/core/kinds/table';
import type { StudentAttempt } from '@/studio/views/my-work';
import { Tray } from '../rack/Tray';
import { FIRST_MARKS, MarkCorners } from './MarkCorners';
import { CardPanel } from '../ledger/CardPanel';
import { AttemptNow } from './AttemptNow';
import { HandInPhoto } from './HandInPhoto';
import { PileDrop } from '../rack/PileDrop';
import { TakePhoto } from './TakePhoto';
import { markupOf } from '../test-markup';

const count = (html: string, what: RegExp) => [...html.matchAll(what)].length;
const fine = () => Promise.resolve({ ok: true });
const terms = defaultScale('gouache', 9);

test('four corners can be dragged, each named, each told where it is', () => {
  const html = markupOf(
    <MarkCorners source="" alt="The photograph to mark" marks={FIRST_MARKS} onChange={() => undefined} />,
  );
  expect([...html.matchAll(/role="slider" aria-label="([^"]+)"/g)].map((m) => m[1])).toEqual([
    'Top left corner',
    'Top right corner',
    'Bottom right corner',
    'Bottom left corner',
  ]);
  expect(html).toContain('aria-valuetext="15.0 percent across, 30.0 percent down"');
  expect(count(html, /points="0\.15,0\.3 0\.85,0\.3 0\.85,0\.7 0\.15,0\.7"/g)).toBe(2);
  // Nothing is in hand yet: no magnifier covers the picture.
  expect(html).not.toContain('background-image');
});

test('the first corners make an outline that does not cross itself', () => {
  const turns = FIRST_MARKS.map((p, i) => {
    const [q, r] = [FIRST_MARKS[(i + 1) % 4], FIRST_MARKS[(i + 2) % 4]];
    return Math.sign(
      ((q?.x ?? 0) - p.x) * ((r?.y ?? 0) - (q?.y ?? 0)) - ((q?.y ?? 0) - p.y) * ((r?.x ?? 0) - (q?.x ?? 0)),
    );
  });
  expect(new Set(turns)).toEqual(new Set([1]));
});

const handIn = (more: Partial<Parameters<typeof HandInPhoto>[0]> = {}) =>
  markupOf(
    <HandInPhoto
      {...{ exerciseId: 'ex', terms, measured: true, practice: false, again: false, stages: [], nextStage: null }}
      {...more}
    />,
  );

test('a photograph is handed in as it is framed; the practice camera shows only where there is one', () => {
  const html = handIn();
  expect(html).toContain('Photograph of the sheet');
  expect(html).toContain('Hand in: photograph or file');
  for (const words of ['on its worksheet', 'on a board with corner pieces', 'something else: I mark its corners'])
    expect(html).toContain(words);
  expect(html).not.toContain('practice camera');
  expect(handIn({ practice: true })).toContain('practice camera');
  expect(handIn({ again: true })).toContain('Hand in again');
});

test('of what is built up in stages one is handed in, the next one unless somebody chooses', () => {
  expect(handIn()).not.toContain('Which stage');
  const stages = [
    { id: 'stain', name: 'The stain' },
    { id: 'masses', name: 'Two masses' },
  ];
  const html = handIn({ stages, nextStage: 'masses' });
  expect(html).toContain('Which stage is this?');
  expect(html).toContain('<option value="masses" selected="">Two masses</option>');
});

test('plain strips, and pictures in few tones, can be framed in other ways than by their sheet', () => {
  for (const kind of ['bands', 'colours-on-scale', 'master-copy'] as const)
    expect(handIn({ terms: defaultTerms(kind), measured: kind !== 'master-copy' })).not.toContain('<select');
  for (const kind of ['scale', 'monochrome-scale', 'notan', 'five-value'] as const)
    expect(handIn({ terms: defaultTerms(kind) })).toContain('<select');
});

test('phones’ own formats are taken, and the chief button is told from a quiet one', () => {
  const take = (chief: boolean) =>
    markupOf(
      <TakePhoto
        url="/look/ex"
        terms={terms}
        measured
        label="Photograph for a look"
        words="Take a look"
        chief={chief}
        practice={null}
      />,
    );
  for (const type of ['image/jpeg', 'image/heic', 'image/png', 'image/webp', 'image/avif', 'image/tiff'])
    expect(take(true)).toContain(type);
  expect(take(true)).toContain('class="act');
  expect(take(false)).not.toContain('class="act');
});

test('a pile has one place to drop it and one button to choose it', () => {
  const html = markupOf(<PileDrop classId="class" />);
  expect(html).toContain('aria-label="Photographs of a pile, or a ZIP of them"');
  expect(html).toContain('Choose files');
  expect(html).not.toContain('<progress');
});

const tray = (items: Parameters<typeof Tray>[0]['items']) =>
  markupOf(
    <Tray
      items={items}
      students={[
        { id: 's1', name: 'Bea Lindqvarn' },
        { id: 's2', name: 'Ruta Vane' },
      ]}
      exercises={[{ id: 'e1', title: 'Nine greys' }]}
      give={fine}
      discard={fine}
    />,
  );

test('an empty tray is not there; a stray says why it is one and can be given without dragging', () => {
  expect(tray([])).toBe('');
  const html = tray([
    { id: 't1', name: 'table.jpg', reason: 'No worksheet was found in it.' },
    { id: 't2', name: 'nobody.jpg', reason: 'This sheet carries no name.' },
  ]);
  expect(count(html, /<li /g)).toBe(2);
  expect(html).toContain('src="/tray/t1"');
  expect(html).toContain('aria-label="table.jpg: drag onto a student’s place"');
  expect(html).toContain('No worksheet was found in it.');
  expect(count(html, /aria-label="Student of [^"]+"/g)).toBe(2);
  expect(count(html, />Ruta Vane</g)).toBe(2);
  expect(count(html, />Throw away</g)).toBe(2);
});

test('what is known of the printed greys is said, with a way out in both formats', () => {
  const none = markupOf(<CardPanel classId="c" card={null} bringIn={fine} forget={fine} />);
  expect(none).toContain('Nothing is known of your printer');
  expect(none).not.toContain('As CSV');
  // There is nothing to carry over yet.
  expect(none).not.toContain('Photograph of both sheets');
  const known = markupOf(
    <CardPanel
      classId="c"
      card={{ basis: 'measured', name: 'read on 2026-11-20', patches: 24 }}
      bringIn={fine}
      forget={fine}
    />,
  );
  expect(known).toContain('24 patches, read on 2026-11-20');
  expect(known).toContain('href="/card/c?as=csv"');
  expect(known).toContain('href="/card/c?as=cgats"');
  expect(known).toContain('Forget it');
  expect(known).toContain('Photograph of both sheets');
  expect(known).toContain('The known sheet lies');
});

const pass: NonNullable<StudentAttempt['letter']> = {
  verdict: 'pass',
  word: 'The darks hold.',
  reply: null,
  marks: [],
  correction: null,
  items: [],
  measured: null,
  hasStrip: false,
};
const now = (more: Partial<StudentAttempt>) => {
  const attempt: StudentAttempt = {
    id: 'at',
    number: 1,
    stage: null,
    state: 'measured',
    trouble: null,
    plea: null,
    createdAt: new Date('2026-11-20T18:00:00Z'),
    hasPreview: true,
    issues: [],
    letter: null,
    ...more,
  };
  return markupOf(<AttemptNow attempt={attempt} measured stop={fine} again={fine} anyway={fine} />);
};

test('until there is a letter the phone says that the picture will do; then the letter alone speaks', () => {
  expect(now({})).toContain('This picture will do.');
  expect(now({ letter: pass })).toBe('');
  expect(now({ letter: { ...pass, verdict: 'again' } })).toBe('');
});
