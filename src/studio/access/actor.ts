/** Who asks. Whatever someone may not see does not exist for them: NotFound, never "forbidden". */
import { attempts, classes, exercises, handIns, students } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import type { House } from '../house';

export interface Teacher {
  readonly role: 'teacher';
  readonly userId: string;
  readonly name: string;
}
export interface Student {
  readonly role: 'student';
  readonly userId: string;
  readonly studentId: string;
  readonly classId: string;
  readonly name: string;
}
export type Actor = Teacher | Student;

export class NotFound extends Error {
  override readonly name = 'NotFound';
}
/** A request that can't be met; `message` says what to do. */
export class Refused extends Error {
  override readonly name = 'Refused';
}

/** There is no room to keep anything; what is there already is safe. */
export class NoRoom extends Refused {
  constructor() {
    super(
      'There is too little room on the studio’s disk to take pictures now. Nothing was lost; tell your teacher and try again later.',
    );
  }
}

/** Somebody sends more than anybody paints. */
export class TooOften extends Refused {
  constructor() {
    super(
      'So many pictures came from you within an hour that the studio takes no more for now. Wait a while, then go on.',
    );
  }
}

/** What systems call it; the number is PostgreSQL's. */
const FULL: ReadonlySet<string> = new Set(['ENOSPC', 'EDQUOT', '53100']);

/** Whether something failed because a disk, this machine's or the database's, is full. */
export function isFull(error: unknown): boolean {
  for (let e = error as Partial<NodeJS.ErrnoException> | null | undefined; e; e = e.cause as typeof e)
    if (FULL.has(e.code ?? '') || /no space left on device/i.test(e.message ?? '')) return true;
  return false;
}

export async function actorOf(house: House, headers: Headers): Promise<Actor | null> {
  const user = await house.auth.userOf(headers);
  if (!user) return null;
  if (user.role === 'teacher') return { role: 'teacher', userId: user.id, name: user.name };
  const [row] = await house.db.select().from(students).where(eq(students.userId, user.id));
  return row ? { role: 'student', userId: user.id, studentId: row.id, classId: row.classId, name: row.name } : null;
}

export async function classOf(house: House, teacher: Teacher, classId: string) {
  const [row] = await house.db
    .select()
    .from(classes)
    .where(and(eq(classes.id, classId), eq(classes.teacherId, teacher.userId)));
  if (!row) throw new NotFound();
  return row;
}

export async function exerciseFor(house: House, actor: Actor, exerciseId: string) {
  const [row] = await house.db
    .select({ exercise: exercises, class: classes })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(eq(exercises.id, exerciseId));
  const allowed =
    row && (actor.role === 'teacher' ? row.class.teacherId === actor.userId : row.class.id === actor.classId);
  if (!allowed) throw new NotFound();
  return row;
}

export async function handInFor(house: House, actor: Actor, handInId: string) {
  const [row] = await house.db
    .select({ handIn: handIns, exercise: exercises, class: classes, student: students })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(eq(handIns.id, handInId));
  const allowed =
    row && (actor.role === 'teacher' ? row.class.teacherId === actor.userId : row.student.id === actor.studentId);
  if (!allowed) throw new NotFound();
  return row;
}

export async function attemptFor(house: House, actor: Actor, attemptId: string) {
  const [attempt] = await house.db.select().from(attempts).where(eq(attempts.id, attemptId));
  if (!attempt) throw new NotFound();
  return { attempt, ...(await handInFor(house, actor, attempt.handInId)) };
}

export async function studentFor(house: House, teacher: Teacher, studentId: string) {
  const [row] = await house.db
    .select({ student: students, class: classes })
    .from(students)
    .innerJoin(classes, eq(students.classId, classes.id))
    .where(and(eq(students.id, studentId), eq(classes.teacherId, teacher.userId)));
  if (!row) throw new NotFound();
  return row;
}
