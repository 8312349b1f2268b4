/** What a teacher waits for: who has not handed in, and who was sent back and brought nothing new. */
import { dateStanding } from '@/core/planning/deadline';
import { allowances, classes, decisions, exercises, handIns, students } from '@/data/schema/tables';
import { and, asc, eq, gte, isNull, lte, notExists, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { isTaughtBy, type Teacher } from '../access/actor';
import type { House } from '../house';

const DAY_MS = 86_400_000;
/** Dates to come that are told, and dates gone by that still are. */
const AHEAD_MS = 7 * DAY_MS;
const BEHIND_MS = 28 * DAY_MS;

export interface Owed {
  readonly exerciseId: string;
  readonly classId: string;
  readonly title: string;
  readonly className: string;
  readonly students: readonly {
    readonly id: string;
    readonly name: string;
    /** By how much it is late, ms; 0 while there is time. */
    readonly lateMs: number;
  }[];
}

/** Exercises whose date is near or gone by, each with those who have handed in nothing: one query. Who is excused is left out. */
export async function notHandedIn(house: House, teacher: Teacher, now = new Date()): Promise<Owed[]> {
  const until = new Date(now.getTime() + AHEAD_MS);
  const since = new Date(now.getTime() - BEHIND_MS);
  const rows = await house.db
    .select({
      exerciseId: exercises.id,
      title: exercises.title,
      classId: classes.id,
      className: classes.name,
      dueAt: exercises.dueAt,
      id: students.id,
      name: students.name,
      allowed: { dueAt: allowances.dueAt, excused: allowances.excused, word: allowances.word },
    })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .innerJoin(students, eq(students.classId, classes.id))
    .leftJoin(handIns, and(eq(handIns.exerciseId, exercises.id), eq(handIns.studentId, students.id)))
    .leftJoin(allowances, and(eq(allowances.exerciseId, exercises.id), eq(allowances.studentId, students.id)))
    .where(
      and(
        isTaughtBy(teacher),
        or(isNull(handIns.id), eq(handIns.state, 'open')),
        lte(exercises.dueAt, until),
        gte(exercises.dueAt, since),
      ),
    )
    .orderBy(asc(exercises.dueAt), asc(exercises.id), asc(students.number));
  const found = new Map<string, Owed & { students: Owed['students'][number][] }>();
  for (const { exerciseId, classId, title, className, dueAt, id, name, allowed } of rows) {
    const { kind, lateMs } = dateStanding(dueAt, allowed, null, now);
    if (kind === 'excused') continue;
    const own = found.get(exerciseId) ?? { exerciseId, classId, title, className, students: [] };
    own.students.push({ id, name, lateMs });
    found.set(exerciseId, own);
  }
  return [...found.values()];
}

/** Told at once, those who were sent back longest ago first. */
const MOST_SENT_BACK = 12;

/** Who was sent back and has brought nothing new: one query. */
export async function sentBackOf(house: House, teacher: Teacher) {
  const later = alias(decisions, 'later');
  const laterOnes = house.db
    .select({ one: sql`1` })
    .from(later)
    .where(
      and(
        eq(later.handInId, handIns.id),
        isNull(later.withdrawnAt),
        sql`(${later.createdAt}, ${later.id}) > (${decisions.createdAt}, ${decisions.id})`,
      ),
    );
  return house.db
    .select({
      handInId: handIns.id,
      student: students.name,
      title: exercises.title,
      since: decisions.createdAt,
      total: sql<number>`count(*) over ()`.mapWith(Number),
    })
    .from(handIns)
    .innerJoin(decisions, and(eq(decisions.handInId, handIns.id), isNull(decisions.withdrawnAt)))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(
      and(
        eq(handIns.state, 'again'),
        isTaughtBy(teacher),
        // Of several tries that were sent back the last one counts.
        notExists(laterOnes),
      ),
    )
    .orderBy(asc(decisions.createdAt))
    .limit(MOST_SENT_BACK);
}
