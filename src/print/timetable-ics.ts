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

export interface CalendarEvent {
  /** The same whenever the calendar is read anew. */
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
}

/** When the photographs of an exercise are due. */
export const dueEvent = ({ id, title, className }: CalendarWords, dueAt: Date): CalendarEvent => ({
  ...{ id: `${id}-due`, title: `${title}: photographs due`, about: className },
  ...{ startsAt: dueAt, endsAt: new Date(dueAt.getTime() + DUE_MINUTES * 60_000) },
});

/** What a calendar without any dates is: most calendar programs refuse a file that is none. */
const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:fair-grey', 'END:VCALENDAR', ''].join('\r\n');

/** Text of an .ics file. Throws when the calendar package refuses an event. */
export function calendarToIcs(events: readonly CalendarEvent[], calName: string): string {
  if (events.length === 0) return EMPTY;
  const { error, value } = createEvents(
    events.map(({ id, title, about, startsAt, endsAt }): EventAttributes => ({
      ...{ uid: `${id}@fair-grey.invalid`, title, description: about },
      ...times(startsAt, endsAt),
    })),
    { productId: 'fair-grey', calName },
  );
  if (error || !value) throw error ?? new Error('The calendar came out empty.');
  return value;
}

/** The timetable of an exercise. Throws when the calendar package refuses an event. */
export function timetableToIcs(timetable: Timetable, words: CalendarWords): string {
  const events = timetable.placed.flatMap(({ stage, meetings }) =>
    meetings.map(({ startsAt, endsAt }, k): CalendarEvent => ({
      id: `${words.id}-${stage.id}-${k}`,
      title: `${words.title}: ${stage.name}${k > 0 ? ' (goes on)' : ''}`,
      ...{ about: words.className, startsAt, endsAt },
    })),
  );
  return calendarToIcs(timetable.dueAt ? [...events, dueEvent(words, timetable.dueAt)] : events, words.title);
}
