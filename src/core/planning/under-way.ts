/** What is under way in the exercises of a studio: what dries and until when, and which dates get in each other's way. */
import { isoDayIn, type Meeting } from './meetings';
import type { Stage } from './stage';
import { checkTimetable, type Placing } from './timetable';

export interface Drying {
  /** Name of the stage that was painted. */
  readonly stage: string;
  readonly until: Date;
}

/** Stages that were painted and are still wet at a moment. */
export function dryingAt(
  stages: readonly Stage[],
  meetings: readonly Meeting[],
  placing: Placing,
  timeZone: string,
  now: Date,
): Drying[] {
  return checkTimetable(stages, meetings, placing, timeZone).placed.flatMap(({ stage, meetings: taken, dryAt }) => {
    const ended = taken.at(-1)?.endsAt;
    return ended && dryAt && ended <= now && now < dryAt ? [{ stage: stage.name, until: dryAt }] : [];
  });
}

export interface Dated {
  readonly id: string;
  readonly title: string;
  readonly classId: string;
  readonly dueAt: Date;
  readonly timeZone: string;
}

/** Exercises of one class that are due on one day, two or more at a time, the next first; days that are over don't count. */
export function sameDay(all: readonly Dated[], now: Date): Dated[][] {
  const days = new Map<string, Dated[]>();
  for (const one of all.filter(({ dueAt }) => dueAt > now)) {
    const key = `${one.classId} ${isoDayIn(one.dueAt, one.timeZone)}`;
    days.set(key, [...(days.get(key) ?? []), one]);
  }
  return [...days.values()]
    .filter((day) => day.length > 1)
    .sort((a, b) => (a[0]?.dueAt.getTime() ?? 0) - (b[0]?.dueAt.getTime() ?? 0));
}
