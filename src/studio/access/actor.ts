/** Who asks. Whatever someone may not see does not exist for them: NotFound, never "forbidden". */
import { attempts, classes, classTeachers, exercises, handIns, type Standing, students } from '@/data/schema/tables';
import { and, asc, eq, inArray, or, type SQL, sql } from 'drizzle-orm';
import type { House } from '../house';

export interface Teacher {
  readonly role: 'teacher';
  readonly standing: Standing;
  readonly userId: string;
  readonly name: string;
}
/** A student's place in a class. */
export interface Place {
  readonly studentId: string;
  readonly classId: string;
}
export interface Student extends Place {
  readonly role: 'student';
  readonly userId: string;
  readonly name: string;
  /** Further classes that they are in. */
  readonly elsewhere: readonly Place[];
}
export type Actor = Teacher | Student;

/** All places of a student, the one they came to first before others. */
export const placesOf = ({ studentId, classId, elsewhere }: Student): readonly Place[] => [
  { studentId, classId },
  ...elsewhere,
];

/** A student as they sit in one of their classes. Throws NotFound where they do not. */
export function inClass(student: Student, classId: string): Student {
  const places = placesOf(student);
  const place = places.find((p) => p.classId === classId);
  if (!place) throw new NotFound();
  return { ...student, ...place, elsewhere: places.filter((p) => p !== place) };
}

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

/** Which classes a teacher teaches or drafts for: their own, and those that others share with them. */
export const isTaughtBy = ({ userId }: Teacher): SQL | undefined =>
  or(
    eq(classes.teacherId, userId),
    sql`exists (select 1 from ${classTeachers} where ${classTeachers.classId} = ${classes.id} and ${classTeachers.teacherId} = ${userId})`,
  );

/** Throws Refused where somebody looks and drafts only. */
export function refuseAssistant({ standing }: Teacher): void {
  if (standing === 'assistant')
    throw new Refused('You look at hand-ins and draft here. Ask whoever teaches this class to do that.');
}

export async function actorOf(house: House, headers: Headers): Promise<Actor | null> {
  const user = await house.auth.userOf(headers);
  if (!user) return null;
  const { id: userId, standing } = user;
  if (user.role === 'teacher') return { role: 'teacher', standing: standing ?? 'assistant', userId, name: user.name };
  const [first, ...others] = await house.db
    .select({ studentId: students.id, classId: students.classId, name: students.name })
    .from(students)
    .where(eq(students.userId, userId))
    .orderBy(asc(students.createdAt), asc(students.id));
  if (!first) return null;
  return {
    ...{ role: 'student', userId, ...first },
    elsewhere: others.map(({ studentId, classId }) => ({ studentId, classId })),
  };
}

export async function classOf(house: House, teacher: Teacher, classId: string) {
  const [row] = await house.db
    .select()
    .from(classes)
    .where(and(eq(classes.id, classId), isTaughtBy(teacher)));
  if (!row) throw new NotFound();
  return row;
}

/** A class that somebody wants to change something of. Throws Refused where they only draft for it. */
export async function classToChange(house: House, teacher: Teacher, classId: string) {
  const row = await classOf(house, teacher, classId);
  refuseAssistant(teacher);
  return row;
}

/** A class that is somebody's own: to be shared, taken out or deleted. Throws Refused where it is only shared with them. */
export async function ownClass(house: House, teacher: Teacher, classId: string) {
  const row = await classToChange(house, teacher, classId);
  if (row.teacherId !== teacher.userId) throw new Refused('Whoever made this class does that.');
  return row;
}

export async function exerciseFor(house: House, actor: Actor, exerciseId: string) {
  const [row] = await house.db
    .select({ exercise: exercises, class: classes })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(
      and(
        eq(exercises.id, exerciseId),
        actor.role === 'teacher'
          ? isTaughtBy(actor)
          : inArray(
              classes.id,
              placesOf(actor).map((p) => p.classId),
            ),
      ),
    );
  if (!row) throw new NotFound();
  return row;
}

/** An exercise that somebody wants to change. Throws Refused where they only draft for its class. */
export async function exerciseToChange(house: House, teacher: Teacher, exerciseId: string) {
  const own = await exerciseFor(house, teacher, exerciseId);
  refuseAssistant(teacher);
  return own;
}

/** An exercise as one of its students comes to it. */
export async function exerciseOfMine(house: House, student: Student, exerciseId: string) {
  const own = await exerciseFor(house, student, exerciseId);
  return { ...own, me: inClass(student, own.class.id) };
}

export async function handInFor(house: House, actor: Actor, handInId: string) {
  const [row] = await house.db
    .select({ handIn: handIns, exercise: exercises, class: classes, student: students })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(
      and(eq(handIns.id, handInId), actor.role === 'teacher' ? isTaughtBy(actor) : eq(students.userId, actor.userId)),
    );
  if (!row) throw new NotFound();
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
    .where(and(eq(students.id, studentId), isTaughtBy(teacher)));
  if (!row) throw new NotFound();
  return row;
}

/** A student of whom somebody wants to change something. Throws Refused where they only draft for the class. */
export async function studentToChange(house: House, teacher: Teacher, studentId: string) {
  const own = await studentFor(house, teacher, studentId);
  refuseAssistant(teacher);
  return own;
}
