/** Set-ups from life: kept with the names of their masses, which are then painted on each student's own picture. */
import { kindOf } from '@/core/kinds/table';
import {
  emptySetUp,
  PAINTED_MASSES_VERSION,
  type PaintedMasses,
  paintedMassesSchema,
  setUpSchema,
} from '@/core/reference/set-up';
import { newId } from '@/data/schema/ids';
import { attempts, classes, exercises, setUps } from '@/data/schema/tables';
import { and, asc, desc, eq, inArray, or } from 'drizzle-orm';
import { attemptFor, isTaughtBy, NotFound, Refused, type Teacher } from '../access/actor';
import { isSame, isToWrite } from '../access/meanwhile';
import { noteDeed } from '../critique/noting';
import { judgeAgain, measureAnew, standsUnsent } from '../hand-in/notan-hand-ins';
import type { House } from '../house';
import { nameSchema, textSchema } from '../words';

export type SetUpRow = typeof setUps.$inferSelect;
/** What a teacher says of a set-up. */
export type SetUpWords = Pick<SetUpRow, 'title' | 'note' | 'setUp'>;

export async function keepNewSetUp(
  house: House,
  teacher: Teacher,
  given: { readonly title: string; readonly note: string },
): Promise<string> {
  const id = newId();
  await house.db.insert(setUps).values({
    id,
    teacherId: teacher.userId,
    title: nameSchema.parse(given.title),
    note: textSchema.parse(given.note),
    setUp: emptySetUp(),
  });
  return id;
}

export async function setUpsOf(house: House, teacher: Teacher): Promise<SetUpRow[]> {
  return house.db
    .select()
    .from(setUps)
    .where(eq(setUps.teacherId, teacher.userId))
    .orderBy(desc(setUps.createdAt), asc(setUps.id));
}

/** A set-up of the teacher's own, or one that a class they teach paints from. */
export async function setUpFor(house: House, teacher: Teacher, setUpId: string): Promise<SetUpRow> {
  const painted = house.db
    .select({ id: exercises.setUpId })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(exercises.setUpId, setUpId), isTaughtBy(teacher)));
  const [row] = await house.db
    .select()
    .from(setUps)
    .where(and(eq(setUps.id, setUpId), or(eq(setUps.teacherId, teacher.userId), inArray(setUps.id, painted))));
  if (!row) throw new NotFound();
  return row;
}

/** A set-up of the teacher's own, to be changed. Throws Refused where it is a colleague's. */
async function ownSetUp(house: House, teacher: Teacher, setUpId: string): Promise<void> {
  if ((await setUpFor(house, teacher, setUpId)).teacherId !== teacher.userId)
    throw new Refused('This set-up is a colleague’s: ask them to change it.');
}

/**
 * Changes what is asked of the masses; returns how often it was written. What was judged before says so; nothing is judged anew.
 *
 * @throws ChangedMeanwhile where somebody else changed it since.
 */
export async function keepSetUp(
  house: House,
  teacher: Teacher,
  setUpId: string,
  given: { readonly title: string; readonly note: string; readonly setUp: unknown },
  seen: number | null,
): Promise<number> {
  await ownSetUp(house, teacher, setUpId);
  const next = {
    title: nameSchema.parse(given.title),
    note: textSchema.parse(given.note),
    setUp: setUpSchema.parse(given.setUp),
  };
  return house.db.transaction(async (tx) => {
    const [row] = await tx.select().from(setUps).where(eq(setUps.id, setUpId)).for('update');
    if (!row) throw new NotFound();
    const { title, note, setUp, written } = row;
    if (!isToWrite(next, { theirs: { title, note, setUp }, written }, seen)) return written;
    const asksTheSame = JSON.stringify(next.setUp) === JSON.stringify(setUp);
    await tx
      .update(setUps)
      .set({ ...next, written: written + 1, revision: row.revision + (asksTheSame ? 0 : 1) })
      .where(eq(setUps.id, setUpId));
    return written + 1;
  });
}

/** Exercises that are painted from a set-up. */
export async function usesOfSetUp(house: House, teacher: Teacher, setUpId: string) {
  return house.db
    .select({ id: exercises.id, title: exercises.title, className: classes.name })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(exercises.setUpId, setUpId), isTaughtBy(teacher)))
    .orderBy(asc(exercises.title));
}

/** Throws Refused while an exercise is painted from it. */
export async function dropSetUp(house: House, teacher: Teacher, setUpId: string): Promise<void> {
  await ownSetUp(house, teacher, setUpId);
  const [used] = await house.db
    .select({ title: exercises.title })
    .from(exercises)
    .where(eq(exercises.setUpId, setUpId))
    .limit(1);
  if (used) throw new Refused(`“${used.title}” is painted from this set-up: give that exercise something else first.`);
  await house.db.delete(setUps).where(eq(setUps.id, setUpId));
}

/** Keeps where the masses lie on one student's picture, and judges it by them. Throws Refused where the critique was sent. */
export async function paintMasses(house: House, teacher: Teacher, attemptId: string, edits: unknown): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  await standsUnsent(house, attemptId);
  const masses: PaintedMasses = paintedMassesSchema.parse({ version: PAINTED_MASSES_VERSION, edits });
  await house.db.transaction(async (tx) => {
    await tx.update(attempts).set({ masses }).where(eq(attempts.id, attemptId));
    await noteDeed(tx, teacher, own, { did: 'brushed', before: own.attempt.masses, after: masses });
  });
  await judgeByMasses(house, teacher, own);
}

/**
 * Lets the masses lie as they lay before, null for nowhere; says whether it did: not where somebody painted others since.
 * Throws Refused where the critique was sent.
 */
export async function unpaintMasses(
  house: House,
  teacher: Teacher,
  attemptId: string,
  before: PaintedMasses | null,
  after: PaintedMasses,
): Promise<boolean> {
  const own = await attemptFor(house, teacher, attemptId);
  await standsUnsent(house, attemptId);
  if (!isSame(own.attempt.masses, after)) return false;
  await house.db.update(attempts).set({ masses: before }).where(eq(attempts.id, attemptId));
  await judgeByMasses(house, teacher, own, before === null);
  return true;
}

/**
 * A painting in all its values is read once more, as its edges show on the photograph alone; and one without masses, as there is
 * nothing to judge it by.
 */
async function judgeByMasses(
  house: House,
  teacher: Teacher,
  { attempt, exercise }: Pick<Awaited<ReturnType<typeof attemptFor>>, 'attempt' | 'exercise'>,
  isBare = false,
): Promise<void> {
  const isReadAnew = isBare || kindOf(attempt.terms ?? exercise.terms).family === 'paintings';
  await (isReadAnew ? measureAnew(house, teacher, attempt.id) : judgeAgain(house, teacher, attempt.id));
}
