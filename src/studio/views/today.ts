/** What waits for the teacher. */
import { attempts, classes, exercises, handIns, students, user } from '@/data/schema/tables';
import { and, asc, eq, inArray, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Teacher } from '../access/actor';
import { classesOf } from '../class/people';
import type { House } from '../house';
import { attemptsAt, currentOf } from './attempt';
import { measuredOfAll } from './measured';

/** Hand-ins that wait for the teacher, oldest first, over all classes. */
export async function waitingOf(house: House, teacher: Teacher) {
  const groups = await classesOf(house, teacher);
  if (groups.length === 0) return [];
  const ofTheirs = inArray(
    students.classId,
    groups.map((g) => g.id),
  );
  const rows = await house.db
    .select({ handIn: handIns, student: students, exercise: exercises })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(eq(handIns.state, 'waiting'), ofTheirs))
    .orderBy(asc(students.number));
  const tries = await attemptsAt(
    house.db,
    rows.map((r) => r.handIn.id),
  );
  const waiting = rows.flatMap((row) => {
    const attempt = currentOf(tries.filter((a) => a.handInId === row.handIn.id));
    return attempt ? [{ ...row, attempt }] : [];
  });
  const measured = await measuredOfAll(
    house,
    waiting.map((w) => w.attempt.id),
  );
  return waiting
    .map((w) => ({ ...w, measured: measured.get(w.attempt.id) ?? null }))
    .sort((a, b) => a.attempt.createdAt.getTime() - b.attempt.createdAt.getTime());
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
    .where(and(eq(attempts.state, 'failed'), eq(classes.teacherId, teacher.userId), notExists(laterOnes)))
    .orderBy(asc(attempts.seq));
  return rows.map((row) => ({ ...row, trouble: row.trouble ?? '' }));
}

/** How often the teacher's own door was closed within a day because of wrong passwords. */
export async function closingsOfOwnDoor(house: House, teacher: Teacher): Promise<number> {
  const [own] = await house.db.select({ email: user.email }).from(user).where(eq(user.id, teacher.userId));
  return own ? house.door.closings({ teacher: own.email }) : 0;
}
