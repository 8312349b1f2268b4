/** Who saw or changed what in a class, written down as it happens and kept for half a year. */
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { chronicle, type Chronicled, exercises, students, user } from '@/data/schema/tables';
import { and, desc, eq, gt, isNull, lt } from 'drizzle-orm';
import { classOf, NotFound, type Teacher } from '../access/actor';
import type { House } from '../house';

/** It is kept for so long, and then forgotten. */
export const CHRONICLE_DAYS = 180;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/** What is done over and over: once an hour is enough to know. */
const ONCE_AN_HOUR: ReadonlySet<Chronicled> = new Set(['looked', 'looked-at-record', 'drafted', 'graded']);

/** What it was about: a class, and where it was about one of them, whose it was and at which exercise. */
export interface About {
  readonly classId: string;
  readonly studentId?: string;
  readonly exerciseId?: string;
}

/** A hand-in, as something that is written down. */
export const aboutHandIn = (own: {
  readonly class: { readonly id: string };
  readonly handIn: { readonly studentId: string; readonly exerciseId: string };
}): About => ({ classId: own.class.id, studentId: own.handIn.studentId, exerciseId: own.handIn.exerciseId });

export async function writeDown(
  db: Pick<Transaction, 'insert' | '$count'>,
  teacher: Teacher,
  did: Chronicled,
  { classId, studentId, exerciseId }: About,
): Promise<void> {
  const row = { teacherId: teacher.userId, did, classId, studentId: studentId ?? null, exerciseId: exerciseId ?? null };
  if (ONCE_AN_HOUR.has(did)) {
    const same = and(
      eq(chronicle.teacherId, row.teacherId),
      eq(chronicle.did, did),
      eq(chronicle.classId, classId),
      studentId ? eq(chronicle.studentId, studentId) : isNull(chronicle.studentId),
      exerciseId ? eq(chronicle.exerciseId, exerciseId) : isNull(chronicle.exerciseId),
      gt(chronicle.at, new Date(Date.now() - HOUR_MS)),
    );
    if ((await db.$count(chronicle, same)) > 0) return;
  }
  await db.insert(chronicle).values({ id: newId(), ...row });
}

/** Told at once, the last first. */
const MOST = 300;

/** What was written down of a class: for those who teach it, not for those who draft for them. */
export async function chronicleOf(house: House, teacher: Teacher, classId: string) {
  const own = await classOf(house, teacher, classId);
  if (teacher.standing === 'assistant') throw new NotFound();
  const rows = await house.db
    .select({
      ...{ id: chronicle.id, at: chronicle.at, did: chronicle.did },
      ...{ who: user.name, student: students.name, title: exercises.title },
    })
    .from(chronicle)
    .innerJoin(user, eq(chronicle.teacherId, user.id))
    .leftJoin(students, eq(chronicle.studentId, students.id))
    .leftJoin(exercises, eq(chronicle.exerciseId, exercises.id))
    .where(eq(chronicle.classId, classId))
    .orderBy(desc(chronicle.at), desc(chronicle.id))
    .limit(MOST);
  return { class: own, rows };
}

export async function forgetOldChronicle(house: House, now = new Date()): Promise<void> {
  await house.db.delete(chronicle).where(lt(chronicle.at, new Date(now.getTime() - CHRONICLE_DAYS * DAY_MS)));
}
