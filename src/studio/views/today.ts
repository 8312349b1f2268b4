/** What waits for the teacher. */
import { exercises, handIns, students } from '@/data/schema/tables';
import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Teacher } from '../access/actor';
import { classesOf } from '../class/people';
import type { House } from '../house';
import { attemptsAt, currentOf, measuredOfAll } from './attempt';

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
