/** What waits for the teacher. */
import { attempts, classes, exercises, handIns, students, user } from '@/data/schema/tables';
import { and, asc, eq, inArray, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { isTaughtBy, type Teacher } from '../access/actor';
import type { House } from '../house';
import { type Glance, glancesAt, withSteps } from './glances';

export type Waiting = Awaited<ReturnType<typeof waitingOf>>['first'][number];

/** Shown at once: the rest is on the racks. */
const SHOWN = 24;
const DAY_MS = 86_400_000;

/** What came longest ago first; of one day, what has most to mend. */
const byNeed = (a: Glance, b: Glance): number => {
  const day = ({ cameAt }: Glance) => Math.floor((cameAt?.getTime() ?? 0) / DAY_MS);
  return day(a) - day(b) || (b.figures?.need ?? 0) - (a.figures?.need ?? 0);
};

/**
 * Hand-ins that wait for the teacher, over all classes: how many, and the oldest and neediest of them.
 *
 * @param at - where the teacher was before: it comes first while it waits.
 */
export async function waitingOf(house: House, teacher: Teacher, at: string | null = null) {
  const theirs = house.db.select({ id: classes.id }).from(classes).where(isTaughtBy(teacher));
  const which = and(eq(handIns.state, 'waiting'), inArray(exercises.classId, theirs));
  const waiting = (await glancesAt(house, which)).sort(
    (a, b) => Number(b.handInId === at) - Number(a.handInId === at) || byNeed(a, b),
  );
  const shown = await withSteps(house, waiting.slice(0, SHOWN));
  const ids = shown.map((w) => w.handInId);
  const whose =
    ids.length === 0
      ? []
      : await house.db
          .select({ id: handIns.id, student: students.name, exercise: exercises, class: classes })
          .from(handIns)
          .innerJoin(students, eq(handIns.studentId, students.id))
          .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
          .innerJoin(classes, eq(exercises.classId, classes.id))
          .where(inArray(handIns.id, ids));
  const byId = new Map(whose.map((w) => [w.id, w]));
  return {
    total: waiting.length,
    first: shown.flatMap((glance) => {
      const own = byId.get(glance.handInId);
      return own ? [{ glance, student: own.student, exercise: own.exercise, class: own.class }] : [];
    }),
  };
}

/** Pictures that could not be measured, however often it was tried, and after which nothing else came; over all classes. */
export async function notMeasuredOf(house: House, teacher: Teacher) {
  const later = alias(attempts, 'later');
  const laterOnes = house.db
    .select({ one: sql`1` })
    .from(later)
    .where(and(eq(later.handInId, attempts.handInId), sql`${later.seq} > ${attempts.seq}`));
  const rows = await house.db
    .select({
      attemptId: attempts.id,
      handInId: attempts.handInId,
      student: students.name,
      title: exercises.title,
      trouble: attempts.trouble,
    })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(attempts.state, 'failed'), isTaughtBy(teacher), notExists(laterOnes)))
    .orderBy(asc(attempts.seq));
  return rows.map((row) => ({ ...row, trouble: row.trouble ?? '' }));
}

/** How often the teacher's own door was closed within a day because of wrong passwords. */
export async function closingsOfOwnDoor(house: House, teacher: Teacher): Promise<number> {
  const [own] = await house.db.select({ email: user.email }).from(user).where(eq(user.id, teacher.userId));
  return own ? house.door.closings({ teacher: own.email }) : 0;
}
