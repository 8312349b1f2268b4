/** When a class meets: a weekly rule in the class's own time zone, and the meetings that come of it. */
import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';
import { z } from 'zod';

const day = z.iso.date({ error: 'Give dates as year-month-day.' });

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

const MOST_DAYS = 400;

/** How long a meeting may last. */
export const MEETING_MINUTES = { least: 15, most: 720 } as const;
const HOW_LONG = 'A meeting lasts 15 minutes to 12 hours.';

export const meetingRuleSchema = z
  .object({
    /** 0 is Sunday. */
    weekdays: z.array(z.number().int().min(0).max(6)).min(1, 'Choose at least one weekday.'),
    /** Local time, as 18:30. */
    start: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Give the time as 18:30.'),
    minutes: z
      .number({ error: HOW_LONG })
      .int()
      .min(MEETING_MINUTES.least, HOW_LONG)
      .max(MEETING_MINUTES.most, HOW_LONG),
    from: day,
    until: day,
    timeZone: z.string().refine(isTimeZone, 'This time zone is not known: give one like Europe/Lisbon.'),
    /** Days on which the class does not meet. */
    except: z.array(day).max(100),
  })
  .refine((r) => r.from <= r.until, { error: 'The last day lies before the first.', path: ['until'] })
  .refine((r) => (Date.parse(r.until) - Date.parse(r.from)) / 86_400_000 <= MOST_DAYS, {
    error: 'A term is at most a year long.',
    path: ['until'],
  });
export type MeetingRule = z.infer<typeof meetingRuleSchema>;

/** The time zone of a class: that of its meetings; while it has none, that of the machine that keeps the studio. */
export const zoneOf = (rule: { readonly timeZone: string } | null): string =>
  rule?.timeZone ?? new Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The local day of a moment, ISO. */
export const isoDayIn = (moment: Date, timeZone: string): string =>
  new Intl.DateTimeFormat('sv-SE', { timeZone }).format(moment);

export interface Meeting {
  /** The local day, ISO. */
  readonly day: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
  readonly minutes: number;
}

const isoDay = (d: Date) =>
  `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;

/** A local moment of a day in a zone. In the hour that a clock skips it is the moment after the skip. */
export function localMoment(isoDate: string, time: string, timeZone: string): Date {
  const [y, m, d] = isoDate.split('-').map(Number);
  const [hours, minutes] = time.split(':').map(Number);
  return new Date(new TZDate(y ?? 0, (m ?? 1) - 1, d ?? 1, hours ?? 0, minutes ?? 0, timeZone).getTime());
}

/** All meetings of a rule, in order. The local hour stays the same across changes of the clock. */
export function meetingsOf(rule: MeetingRule): Meeting[] {
  const found: Meeting[] = [];
  let at = new TZDate(
    ...(rule.from.split('-').map((n, i) => Number(n) - (i === 1 ? 1 : 0)) as [number, number, number]),
    rule.timeZone,
  );
  for (let date = isoDay(at); date <= rule.until; at = addDays(at, 1), date = isoDay(at)) {
    if (!rule.weekdays.includes(at.getDay()) || rule.except.includes(date)) continue;
    const startsAt = localMoment(date, rule.start, rule.timeZone);
    found.push({
      day: date,
      startsAt,
      endsAt: new Date(startsAt.getTime() + rule.minutes * 60_000),
      minutes: rule.minutes,
    });
  }
  return found;
}

/** Pairs of meetings of several rules that overlap in time, each told once. */
export function overlaps(meetings: readonly Meeting[]): [Meeting, Meeting][] {
  const sorted = [...meetings].sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime());
  return sorted.slice(1).flatMap((next, i): [Meeting, Meeting][] => {
    const before = sorted[i];
    return before && next.startsAt < before.endsAt ? [[before, next]] : [];
  });
}

/** Handed in by the evening of the day. */
const EVENING = '20:00';

/** When something is due that is due on a day. */
export const dueOn = (day: string, timeZone: string): Date => localMoment(day, EVENING, timeZone);

/** When photographs are due that are to be looked at before a meeting: the evening before it. */
export function eveningBefore(meeting: Meeting, timeZone: string): Date {
  const [y, m, d] = meeting.day.split('-').map(Number);
  const before = addDays(new TZDate(y ?? 0, (m ?? 1) - 1, d ?? 1, timeZone), -1);
  return localMoment(isoDay(before), EVENING, timeZone);
}
