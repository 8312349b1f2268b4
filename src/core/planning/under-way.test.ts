/** What dries at a moment, and dates that fall together. */
import { defaultTerms, stagesOf } from '@/core/kinds/table';
import { dueOn, meetingsOf } from './meetings';
import { firstTimetable } from './timetable';
import { dryingAt, sameDay } from './under-way';

const rule = {
  ...{ weekdays: [4], start: '18:30', minutes: 180, from: '2026-10-01', until: '2026-12-17' },
  ...{ timeZone: 'Europe/Lisbon', except: [] },
};
const meetings = meetingsOf(rule);
const staged = { ...defaultTerms('monochrome-painting'), medium: 'oil' as const };
const stages = stagesOf({ ...staged, sitting: 'staged' } as typeof staged);

test('a stage dries from the end of its meeting until it is dry, and no longer', () => {
  const wet = stages.find((s) => s.dryHours > 0);
  const placing = firstTimetable(stages, meetings);
  const meeting = meetings.find((m) => m.day === placing[wet?.id ?? '']);
  if (!wet || !meeting) throw new Error('A staged painting in oil has a stage that dries.');
  const at = (ms: number) =>
    dryingAt(stages, meetings, placing, rule.timeZone, new Date(meeting.endsAt.getTime() + ms));
  const named = (ms: number) => at(ms).map((d) => d.stage);
  expect(named(-1)).not.toContain(wet.name);
  expect(named(1)).toContain(wet.name);
  expect(named(wet.dryHours * 3_600_000 + 1)).not.toContain(wet.name);
});

test('two of one class on one day are told, across a change of the clock too', () => {
  const one = (id: string, classId: string, day: string, timeZone = 'Europe/Lisbon') => ({
    ...{ id, title: id, classId, timeZone },
    dueAt: dueOn(day, timeZone),
  });
  const all = [
    ...[one('a', 'x', '2026-10-25'), one('b', 'x', '2026-10-25'), one('c', 'y', '2026-10-25')],
    ...[one('d', 'x', '2026-10-26'), one('e', 'x', '2026-09-01'), one('f', 'x', '2026-09-01')],
  ];
  const now = new Date('2026-10-01T00:00:00Z');
  expect(sameDay(all, now).map((day) => day.map((d) => d.id))).toEqual([['a', 'b']]);
});
