import { defaultTerms, stagesOf } from '@/core/kinds/table';
import { meetingsOf } from '@/core/planning/meetings';
import { checkTimetable, firstTimetable } from '@/core/planning/timetable';
import { timetableToIcs } from './timetable-ics';

test('a calendar file holds each meeting in universal time, across a change of the clock, and the day photographs are due', () => {
  const zone = 'Europe/Lisbon';
  const meetings = meetingsOf({
    weekdays: [4],
    start: '18:30',
    minutes: 120,
    from: '2026-10-22',
    until: '2026-12-17',
    timeZone: zone,
    except: [],
  });
  const stages = stagesOf({ ...defaultTerms('monochrome-painting', 'oil'), way: 'staged' });
  const timetable = checkTimetable(stages, meetings, firstTimetable(stages, meetings), zone);
  expect(timetable.conflicts).toEqual([]);
  const ics = timetableToIcs(timetable, { id: 'ex1', title: 'Watering can', className: 'Tidewell' });
  const starts = [...ics.matchAll(/^DTSTART:(\S+)/gm)].map((m) => m[1]);
  expect(starts).toEqual(['20261022T173000Z', '20261029T183000Z', '20261112T183000Z', '20261125T200000Z']);
  expect(ics).toContain('SUMMARY:Watering can: stain the ground');
  expect(ics.match(/^UID:/gm)).toHaveLength(4);
  expect(ics.startsWith('BEGIN:VCALENDAR')).toBe(true);
});
