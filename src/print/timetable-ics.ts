/** A timetable as a calendar file (RFC 5545), in universal time, so that every calendar shows the right hour. */
import type { Timetable } from '@/core/planning/timetable';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const utc = (d: Date): DateArray => [
  d.getUTCFullYear(),
  d.getUTCMonth() + 1,
  d.getUTCDate(),
  d.getUTCHours(),
  d.getUTCMinutes(),
];
const times = (start: Date, end: Date) => ({
  start: utc(start),
  startInputType: 'utc' as const,
  startOutputType: 'utc' as const,
  end: utc(end),
  endInputType: 'utc' as const,
  endOutputType: 'utc' as const,
});

export interface CalendarWords {
  /** Names the exercise, so that a calendar that reads the file twice keeps one copy. */
  readonly id: string;
  readonly title: string;
  readonly className: string;
}

const DUE_MINUTES = 15;

/** Text of the .ics file. Throws when the calendar package refuses an event. */
export function timetableToIcs(timetable: Timetable, words: CalendarWords): string {
  const events: EventAttributes[] = timetable.placed.flatMap(({ stage, meetings }) =>
    meetings.map((m, k): EventAttributes => ({
      uid: `${words.id}-${stage.id}-${k}@fair-grey.invalid`,
      title: `${words.title}: ${stage.name}${k > 0 ? ' (goes on)' : ''}`,
      description: words.className,
      ...times(m.startsAt, m.endsAt),
    })),
  );
  if (timetable.dueAt)
    events.push({
      uid: `${words.id}-due@fair-grey.invalid`,
      title: `${words.title}: photographs due`,
      description: words.className,
      ...times(timetable.dueAt, new Date(timetable.dueAt.getTime() + DUE_MINUTES * 60_000)),
    });
  const { error, value } = createEvents(events, { productId: 'fair-grey', calName: words.title });
  if (error || !value) throw error ?? new Error('The calendar came out empty.');
  return value;
}
