import fc from 'fast-check';
import { defaultTerms, lookMinutes, stagesOf } from '../kinds/table';
import { eveningBefore, localMoment, meetingRuleSchema, meetingsOf, overlaps, type MeetingRule } from './meetings';
import { checkTimetable, firstTimetable, mend } from './timetable';

const zone = 'Europe/Lisbon';
const rule: MeetingRule = {
  weekdays: [4],
  start: '18:30',
  minutes: 120,
  from: '2026-10-01',
  until: '2026-12-17',
  timeZone: zone,
  except: ['2026-10-29'],
};
const meetings = meetingsOf(rule);
const oil = defaultTerms('monochrome-painting', 'oil');
const staged = stagesOf({ ...oil, way: 'staged', glaze: true });
const check = (placing: Record<string, string>, with_ = meetings) => checkTimetable(staged, with_, placing, zone);

test('a class meets weekly but on its exceptions', () => {
  expect(meetings.map((m) => m.day)).toEqual([
    '2026-10-01',
    '2026-10-08',
    '2026-10-15',
    '2026-10-22',
    '2026-11-05',
    '2026-11-12',
    '2026-11-19',
    '2026-11-26',
    '2026-12-03',
    '2026-12-10',
    '2026-12-17',
  ]);
});

test('the local hour holds when the clock changes', () => {
  // Lisbon leaves summer time on 25 October 2026: 18:30 is 17:30 UTC before and 18:30 UTC after.
  expect(meetings.find((m) => m.day === '2026-10-22')?.startsAt.toISOString()).toBe('2026-10-22T17:30:00.000Z');
  expect(meetings.find((m) => m.day === '2026-11-05')?.startsAt.toISOString()).toBe('2026-11-05T18:30:00.000Z');
  const spring = meetingsOf({ ...rule, weekdays: [0], from: '2026-03-22', until: '2026-03-29', except: [] });
  expect(spring.map((m) => m.startsAt.toISOString())).toEqual(['2026-03-22T18:30:00.000Z', '2026-03-29T17:30:00.000Z']);
});

test('a time that the clock skips is the moment after the skip', () => {
  expect(localMoment('2026-03-29', '01:30', zone).toISOString()).toBe('2026-03-29T01:30:00.000Z');
});

test('photographs are due the evening before, across a change of the clock too', () => {
  const monday = meetingsOf({ ...rule, weekdays: [1], from: '2026-10-26', until: '2026-10-26', except: [] })[0];
  expect(monday && eveningBefore(monday, zone).toISOString()).toBe('2026-10-25T20:00:00.000Z');
  const sunday = meetingsOf({ ...rule, weekdays: [0], from: '2026-10-25', until: '2026-10-25', except: [] })[0];
  expect(sunday && eveningBefore(sunday, zone).toISOString()).toBe('2026-10-24T19:00:00.000Z');
});

test('meetings that overlap are told', () => {
  const other = meetingsOf({ ...rule, start: '20:00', from: '2026-10-08', until: '2026-10-08' });
  expect(overlaps([...meetings, ...other]).map(([a, b]) => [a.day, b.day])).toEqual([['2026-10-08', '2026-10-08']]);
  expect(overlaps(meetings)).toEqual([]);
});

test('rules that make no sense say what to change', () => {
  const said = (more: object) => meetingRuleSchema.safeParse({ ...rule, ...more }).error?.issues[0]?.message;
  expect(said({ until: '2026-09-01' })).toMatch(/last day lies before/);
  expect(said({ timeZone: 'Atlantis/Harbour' })).toMatch(/time zone is not known/);
  expect(said({ weekdays: [] })).toMatch(/at least one weekday/);
  expect(said({ start: '25:00' })).toMatch(/18:30/);
  expect(said({ minutes: 0 })).toMatch(/15 minutes/);
  expect(said({ from: '2026-02-30' })).toMatch(/year-month-day/);
});

test('a staged oil painting one week after the other is impossible, and the smallest change mends it', () => {
  const rushed = { stain: '2026-10-01', masses: '2026-10-08', greys: '2026-10-15', glaze: '2026-10-22' };
  const { conflicts, dueAt } = check(rushed);
  expect(dueAt).toBeNull();
  expect(conflicts.map((c) => [c.code, c.stage])).toEqual([
    ['not-dry', 'greys'],
    ['not-dry', 'glaze'],
  ]);
  expect(conflicts[0]?.say).toBe('On 15 Oct “two masses” of 8 Oct is still wet: it dries for 9 days.');
  const mended = mend(staged, meetings, rushed);
  expect(mended?.moves.map((m) => [m.stage, m.from, m.to])).toEqual([
    ['greys', '2026-10-15', '2026-10-22'],
    ['glaze', '2026-10-22', '2026-11-05'],
  ]);
  const good = check(mended?.placing ?? {});
  expect(good.conflicts).toEqual([]);
  // The glaze of 5 November is dry on the 14th; the next meeting is on the 19th.
  expect(good.dueAt?.toISOString()).toBe('2026-11-18T20:00:00.000Z');
});

test('a stage goes on in the next meeting where it may, and is told where it may not', () => {
  const short = meetingsOf({ ...rule, minutes: 45 });
  const placing = firstTimetable(staged, short);
  // Masses take 60 minutes without a break.
  expect(placing['masses']).toBeUndefined();
  const codes = check({ stain: '2026-10-01', masses: '2026-10-08' }, short).conflicts.map((c) => c.code);
  expect(codes).toEqual(expect.arrayContaining(['too-long', 'no-meeting']));
  const scale = stagesOf(defaultTerms('scale'));
  const only = firstTimetable(scale, short);
  expect(checkTimetable(scale, short, only, zone).placed[0]?.meetings.map((m) => m.day)).toEqual([
    '2026-10-01',
    '2026-10-08',
  ]);
});

test('lean is never laid over fat, and stages keep their order', () => {
  const [stain, masses] = staged;
  const upside = [masses, stain].filter((s) => s !== undefined);
  expect(
    checkTimetable(upside, meetings, { masses: '2026-10-01', stain: '2026-10-15' }, zone).conflicts.map((c) => c.code),
  ).toEqual(['lean-over-fat']);
  expect(
    check({ stain: '2026-10-08', masses: '2026-10-01', greys: '2026-10-22', glaze: '2026-11-05' }).conflicts[0]?.code,
  ).toBe('out-of-order');
});

test('too few meetings: no move helps, and it says so', () => {
  const few = meetings.slice(0, 3);
  expect(mend(staged, few, {})).toBeNull();
  expect(check(firstTimetable(staged, few), few).conflicts.at(-1)?.say).toMatch(/needs more meetings/);
});

test('a mended timetable never has conflicts and never moves a stage to an earlier meeting', () => {
  const day = fc.integer({ min: 0, max: 4 }).map((k) => meetings[k]?.day ?? '');
  fc.assert(
    fc.property(day, day, day, day, (stain, masses, greys, glaze) => {
      const placing = { stain, masses, greys, glaze };
      const mended = mend(staged, meetings, placing);
      expect(mended).not.toBeNull();
      expect(check(mended?.placing ?? {}).conflicts).toEqual([]);
      for (const move of mended?.moves ?? []) expect(move.to > (move.from ?? '')).toBe(true);
    }),
  );
});

test('thirty hand-ins take an hour where they are measured, two by eye', () => {
  expect(lookMinutes(defaultTerms('scale'), 30)).toBe(60);
  expect(lookMinutes(defaultTerms('notan'), 30)).toBe(120);
  expect(lookMinutes(defaultTerms('notan'), 30, { referenceId: null, setUpId: 'x' })).toBe(60);
});
