/** Calendars that others subscribe to by a secret address: of a class, or of one student. Whoever made one withdraws it. */
import { meetingsOf } from '@/core/planning/meetings';
import { newSecret } from '@/data/schema/ids';
import { allowances, classes, exercises, feeds } from '@/data/schema/tables';
import { calendarToIcs, type CalendarEvent, dueEvent } from '@/print/timetable-ics';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { classToChange, NotFound, studentToChange, type Teacher } from '../access/actor';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';

const markOf = (house: House, secret: string) => house.auth.mark(`calendar ${secret}`);

/** Of a class, or of a student where one is named. */
export interface CalendarOf {
  readonly classId: string;
  readonly studentId: string | null;
}

const rowOf = ({ classId, studentId }: CalendarOf) =>
  and(eq(feeds.classId, classId), studentId === null ? isNull(feeds.studentId) : eq(feeds.studentId, studentId));

/** Throws NotFound where the student is in another class. */
async function mayOpen(house: House, teacher: Teacher, { classId, studentId }: CalendarOf): Promise<void> {
  await classToChange(house, teacher, classId);
  if (studentId !== null && (await studentToChange(house, teacher, studentId)).class.id !== classId)
    throw new NotFound();
}

/** Whether there is such a calendar. */
export async function hasCalendar(house: House, teacher: Teacher, of: CalendarOf): Promise<boolean> {
  await mayOpen(house, teacher, of);
  return (await house.db.$count(feeds, rowOf(of))) > 0;
}

/** Opens a calendar and returns its secret, which is shown this once; one that was there before ends. */
export async function openCalendar(house: House, teacher: Teacher, of: CalendarOf): Promise<string> {
  await mayOpen(house, teacher, of);
  const secret = newSecret();
  await house.db.transaction(async (tx) => {
    await tx.delete(feeds).where(rowOf(of));
    await tx.insert(feeds).values({ mark: markOf(house, secret), ...of });
    await writeDown(tx, teacher, 'opened-calendar', {
      classId: of.classId,
      ...(of.studentId && { studentId: of.studentId }),
    });
  });
  return secret;
}

/** Withdraws a calendar: its address opens nothing from then on. */
export async function closeCalendar(house: House, teacher: Teacher, of: CalendarOf): Promise<void> {
  await mayOpen(house, teacher, of);
  await house.db.transaction(async (tx) => {
    await tx.delete(feeds).where(rowOf(of));
    await writeDown(tx, teacher, 'closed-calendar', {
      classId: of.classId,
      ...(of.studentId && { studentId: of.studentId }),
    });
  });
}

/** The text of a calendar by its secret: meetings and dates, and nobody's name. Throws NotFound where it is none, or was withdrawn. */
export async function calendarBy(house: House, secret: string): Promise<string> {
  const [feed] = await house.db
    .select()
    .from(feeds)
    .where(eq(feeds.mark, markOf(house, secret)));
  if (!feed) throw new NotFound();
  const [own] = await house.db.select().from(classes).where(eq(classes.id, feed.classId));
  if (!own) throw new NotFound();
  const work = await house.db
    .select()
    .from(exercises)
    .where(eq(exercises.classId, own.id))
    .orderBy(asc(exercises.createdAt), asc(exercises.id));
  const allowed =
    feed.studentId === null
      ? []
      : await house.db.select().from(allowances).where(eq(allowances.studentId, feed.studentId));
  const events: CalendarEvent[] = (own.meetings ? meetingsOf(own.meetings) : []).map((m) => ({
    ...{ id: `${own.id}-${m.day}`, title: own.name, about: '', startsAt: m.startsAt, endsAt: m.endsAt },
  }));
  for (const { id, title, dueAt } of work) {
    const allowance = allowed.find((a) => a.exerciseId === id);
    const due = allowance?.dueAt ?? dueAt;
    if (due && !allowance?.excused) events.push(dueEvent({ id, title, className: own.name }, due));
  }
  return calendarToIcs(events, own.name);
}
