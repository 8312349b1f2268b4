/** The drawn instruments, as markup: what stands where, and what those who can't see it are told. */
import { defaultTerms, stagesOf } from '@/core/kinds/table';
import { dueOn, isoDayIn, meetingsOf } from '@/core/planning/meetings';
import { checkTimetable, firstTimetable } from '@/core/planning/timetable';
import type { Measured } from '@/studio/views/measured';
import { renderToStaticMarkup } from 'react-dom/server';
import { Letter } from '../hand-in/Letter';
import { cssGrey } from '../parts/grey';
import { sayDay, sayMoment } from '../parts/dates';
import { StateMark } from '../parts/StateMark';
import { ShoppingTable } from '../plan/ShoppingTable';
import { TimetableStrip } from '../plan/TimetableStrip';
import { Tray } from '../rack/Tray';
import { GapLadder } from './GapLadder';
import { HandInMark } from './HandInMark';
import { seenOf } from './hand-in-seen';
import { Strip, type StripCell } from './Strip';
import { ValueRuler } from './ValueRuler';
import { ValueStrip } from './ValueStrip';

const count = (html: string, what: RegExp) => [...html.matchAll(what)].length;

test('greys are neutral and as light as they say', () => {
  expect([cssGrey(0), cssGrey(100), cssGrey(53.585)]).toEqual(['rgb(0 0 0)', 'rgb(255 255 255)', 'rgb(128 128 128)']);
});

const cell = (label: string, lightness: number, more: Partial<StripCell> = {}): StripCell => ({
  label,
  lightness,
  target: lightness,
  errorSteps: 0,
  flags: [],
  gapFlags: [],
  ...more,
});

test('a strip shows its measured greys, and says in words what its marks say in shapes', () => {
  const html = renderToStaticMarkup(
    <Strip
      cells={[
        cell('1', 95),
        cell('2', 70, { errorSteps: -0.8, flags: ['off_target'] }),
        cell('3', 24, { errorSteps: 1.2 }),
      ]}
    />,
  );
  expect(html).toContain('1: on its value; 2: 0.8 steps too dark; 3: 1.2 steps too light');
  expect(count(html, /<rect/g)).toBe(3);
  expect(html).toContain(cssGrey(95));
});

test.each([
  ['streaky', { flags: ['streaky'] }],
  ['bare_ground', { flags: ['bare_ground'] }],
  ['over_the_line', { flags: ['over_the_line'] }],
  ['off_target', { flags: ['off_target'] }],
  ['too_close', { gapFlags: ['too_close'] }],
  ['too_wide', { gapFlags: ['too_wide'] }],
  ['reversed', { gapFlags: ['reversed'] }],
] as const)('%s has a shape of its own, told without colour', (_, flags) => {
  const plain = renderToStaticMarkup(<Strip cells={[cell('1', 60), cell('2', 40)]} />);
  const marked = renderToStaticMarkup(<Strip cells={[cell('1', 60, flags as Partial<StripCell>), cell('2', 40)]} />);
  expect(marked).not.toBe(plain);
  const colours = (html: string) => new Set([...html.matchAll(/(?:fill|stroke)="([^"]+)"/g)].map((m) => m[1]));
  expect([...colours(marked)].sort()).toEqual([...colours(plain)].sort());
});

test('on the ruler a right step hangs straight and a wrong one slants', () => {
  const step = (label: string, lightness: number, target: number) => ({
    label,
    lightness,
    target,
    uncertainty: 0.4,
    off: Math.abs(lightness - target) > 4,
  });
  const html = renderToStaticMarkup(<ValueRuler steps={[step('1', 90, 90), step('2', 70, 60)]} lit={[2]} />);
  const threads = [...html.matchAll(/M([\d.]+) 104V196L([\d.]+) 260/g)].map((m) => Number(m[2]) - Number(m[1]));
  expect(threads[0]).toBeCloseTo(0, 6);
  // Too light: towards the white end, which lies left.
  expect(threads[1]).toBeLessThan(-10);
  expect(count(html, /stroke="var\(--color-ink\)"/g)).toBe(1);
});

test('the ladder names its uneven gaps', () => {
  const ladder = (flagged: boolean[]) =>
    renderToStaticMarkup(<GapLadder labels={['9', '8', '7']} lightness={[90, 60, 50]} flagged={flagged} />);
  expect(ladder([true, false])).toContain('gap after 9 is uneven');
  expect(ladder([false, false])).toContain('the gaps are even');
});

test('states differ by shape, fill and word', () => {
  const marks = (['open', 'waiting', 'again', 'passed', 'refused'] as const).map((state) =>
    renderToStaticMarkup(<StateMark state={state} />),
  );
  expect(new Set(marks.map((m) => /d="([^"]+)"/.exec(m)?.[1])).size).toBe(5);
  expect(new Set(marks.map((m) => m.replace(/<[^>]+>/g, ''))).size).toBe(5);
});

const item = (kind: 'works' | 'fix', say: string, action: string | null = null) => ({
  ...{ key: say, kind, say, action },
  numbers: [{ label: 'off by', value: '3 L*' }],
});
const LETTER = {
  ...{
    verdict: 'again' as const,
    word: 'Nearly there.',
    measured: null,
    hasStrip: false,
    reply: null,
    marks: [],
    correction: null,
  },
  items: [
    item('works', 'The white is clean.'),
    item('fix', 'Step 3 is streaky.', 'Stir the mix.'),
    ...Array.from({ length: 8 }, (_, k) => item('fix', `Thing ${k} is off.`)),
  ],
};
const letterHtml = (more: Partial<Parameters<typeof Letter>[0]['letter']> = {}) =>
  renderToStaticMarkup(
    <Letter
      letter={{ ...LETTER, ...more }}
      labels={[]}
      attemptId="a"
      reference={null}
      reply={() => Promise.resolve({ ok: true, value: null })}
    />,
  );

test('a letter says what works first, then one thing to do, then the others, then the teacher’s word', () => {
  const text = letterHtml().replace(/<[^>]+>/g, '|');
  const order = [
    ...['Once more, please.', 'The white is clean.', 'First of all', 'Step 3 is streaky.', 'Stir the mix.'],
    ...['When that is done', 'Thing 0 is off.', 'And 2 smaller things', 'Nearly there.', 'The numbers behind it'],
    ...['off by', '3 L*', 'A4', 'Answer, or ask one question'],
  ].map((s) => text.indexOf(s));
  expect(order.every((at, i) => at >= 0 && at > (order[i - 1] ?? -1))).toBe(true);
  expect(letterHtml({ verdict: 'pass' })).toContain('Passed.');
});

test('what was written to a letter stands below it, with what was said to that', () => {
  const waiting = letterHtml({ reply: { about: null, text: 'Which black?', answer: null } });
  expect(waiting).toContain('Which black?');
  expect(waiting).toContain('Write it anew');
  const answered = letterHtml({ reply: { about: null, text: 'Which black?', answer: 'The one we mixed.' } });
  expect(answered).toContain('The one we mixed.');
  expect(answered).not.toContain('Write it anew');
});

test('values that have names are read out, bare greys are not', () => {
  expect(renderToStaticMarkup(<ValueStrip values={[90, 20]} />)).toContain('aria-hidden="true"');
  expect(renderToStaticMarkup(<ValueStrip values={[90, 20]} labels={['1', '2']} />)).not.toContain(
    'aria-hidden="true"',
  );
});

test('a shopping list counts packs and money in the class’s currency', () => {
  const line = { perStudent: 1.2, forClass: 36, stock: 0, short: 36, packs: 1, cost: 8 };
  const html = renderToStaticMarkup(
    <ShoppingTable
      lines={[
        { ...line, what: 'titanium-white' },
        { ...line, what: 'ivory-black', packs: 0, cost: 0 },
      ]}
      students={30}
      currency="SEK"
      total={8}
    />,
  );
  expect(html).toContain('titanium white');
  expect(html).toContain('1 pack');
  expect(html).toContain('enough');
  expect(html.replace(/\u00a0/g, ' ')).toContain('SEK 8.00');
});

const rule = {
  weekdays: [4],
  start: '18:30',
  minutes: 120,
  from: '2030-01-03',
  until: '2030-03-28',
  timeZone: 'Europe/Lisbon',
  except: [],
};
const stages = stagesOf({ ...defaultTerms('monochrome-painting', 'oil'), way: 'staged' });
const strip = (placing: Record<string, string>, due: Date | null = null) =>
  renderToStaticMarkup(
    <TimetableStrip
      rule={rule}
      stages={stages}
      placing={placing}
      placed
      due={due}
      lookMinutes={60}
      students={30}
      icsHref="/timetable/x"
      save={() => Promise.resolve({ ok: true })}
    />,
  );

test('a timetable without conflicts says when photographs are due and what dries', () => {
  const html = strip(firstTimetable(stages, meetingsOf(rule)));
  expect(html).toContain('Photographs are due');
  expect(html).toContain('two masses dries');
  expect(html).not.toContain('role="alert"');
});

test('a timetable with conflicts says why, and the smallest change', () => {
  const html = strip({ stain: '2030-01-03', masses: '2030-01-10', greys: '2030-01-17' });
  expect(html).toContain('is still wet: it dries for 9 days');
  expect(html).toContain('“greys in light and shadow” to Thu');
  expect(html).toContain('Mend it');
  expect(strip({})).toContain('There is no meeting left');
});

test('the day it is due and the timetable are one fact: what does not fit is told with the smallest change', () => {
  const meetings = meetingsOf(rule);
  const placing = firstTimetable(stages, meetings);
  const ready = checkTimetable(stages, meetings, placing, rule.timeZone).dueAt as Date;
  const week = 7 * 86_400_000;
  const early = strip(placing, new Date(ready.getTime() - week));
  expect(early).toContain(`make it due ${sayDay(ready, rule.timeZone)}`);
  expect(early).not.toContain(`Photographs are due ${sayMoment(ready, rule.timeZone)}`);
  const late = strip(placing, new Date(ready.getTime() + week));
  expect(late).not.toContain('role="alert"');
  expect(late).toContain(`Photographs are due ${sayMoment(new Date(ready.getTime() + week), rule.timeZone)}`);
});

test('a due day is told in the time zone of the class', () => {
  const late = dueOn('2026-11-30', 'Pacific/Auckland');
  expect(late.toISOString()).toBe('2026-11-30T07:00:00.000Z');
  expect(isoDayIn(new Date('2026-11-30T11:30:00Z'), 'Pacific/Auckland')).toBe('2026-12-01');
  expect(sayDay(new Date('2026-11-30T11:30:00Z'), 'Pacific/Auckland')).toBe('Tue 1 Dec');
});

test('a painting in few tones shows its picture, by-eye work its photograph, neither says that nothing was read', () => {
  const tones = [{ index: 1, share: 1, referenceShare: 1, lightness: 90, spread: 1 }];
  const mark = (measured: unknown) =>
    renderToStaticMarkup(
      <HandInMark attemptId="a1" seen={seenOf(measured as Measured | null, [])} alt="Bea’s painting" />,
    );
  expect(mark({ kind: 'notan', result: { tones } })).toContain('src="/picture/a1/strip"');
  expect(mark({ kind: 'notan', result: { tones: [] } })).toContain('src="/picture/a1/preview"');
  // A stain, or a painting from life, lies on no picture and is straightened all the same.
  expect(mark({ kind: 'painting', result: { registration: null, range: {} } })).toContain('src="/picture/a1/strip"');
  expect(mark({ kind: 'painting', result: { registration: null, range: null } })).toContain('/preview"');
  expect(mark(null)).toContain('src="/picture/a1/preview"');
});

test('nobody is chosen for a picture in the tray until somebody chooses', () => {
  const html = renderToStaticMarkup(
    <Tray
      items={[{ id: 't1', name: 'IMG_1.jpg', reason: 'No name could be read.' }]}
      students={[{ id: 's1', name: 'Bea Lindqvarn' }]}
      exercises={[{ id: 'x1', title: 'Five greys' }]}
      give={() => Promise.resolve({ ok: true })}
      discard={() => Promise.resolve({ ok: true })}
    />,
  );
  const chosen = [...html.matchAll(/<option[^>]*selected=""[^>]*>([^<]*)/g)].map((m) => m[1]);
  expect(chosen).toEqual(['Whose is it?', 'Which exercise?']);
  expect(count(html, /<select[^>]*required=""/g)).toBe(2);
});
