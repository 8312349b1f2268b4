/** Grades by the scheme of a class: a person gives them, and what was measured at that moment is kept beside. */
import { type Criterion, givenSchema, type Grade, gradeOf, schemeSchema } from '@/core/grading/scheme';
import { attemptFigures, classes, grades, measurements } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { attemptFor, classToChange, NotFound, Refused, type Teacher } from '../access/actor';
import { noteDeed } from '../critique/noting';
import type { House } from '../house';
import { aboutHandIn, writeDown } from '../staff/chronicle';

/** Sets by what a class is graded; null for passing or coming again alone. Grades that were given stay as they are. */
export async function setScheme(house: House, teacher: Teacher, classId: string, given: unknown): Promise<void> {
  await classToChange(house, teacher, classId);
  const scheme = given === null ? null : schemeSchema.parse(given);
  await house.db.update(classes).set({ scheme }).where(eq(classes.id, classId));
  await writeDown(house.db, teacher, 'changed-class', { classId });
}

/** The figure of a measurement that stands beside a criterion, and when it was measured. */
async function measuredBeside(tx: Pick<House['db'], 'select'>, attemptId: string, { figure }: Criterion) {
  const [row] = await tx
    .select({ figures: attemptFigures, at: measurements.createdAt })
    .from(measurements)
    .leftJoin(attemptFigures, eq(attemptFigures.attemptId, measurements.attemptId))
    .where(eq(measurements.attemptId, attemptId));
  const value = figure && row?.figures ? row.figures[figure] : null;
  return { figure: value === null ? null : figure, figureValue: value, measuredAt: row?.at ?? null };
}

/**
 * Gives a grade by one criterion, in place of one that was given before; null takes it back.
 *
 * @throws Refused where it does not fit the criterion; NotFound where the class has no such criterion.
 */
export async function grade(
  house: House,
  teacher: Teacher,
  attemptId: string,
  criterionId: string,
  given: unknown,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const criterion = own.class.scheme?.criteria.find((c) => c.id === criterionId);
  if (!criterion) throw new NotFound();
  const key = and(eq(grades.attemptId, attemptId), eq(grades.criterion, criterionId));
  const made = given === null ? null : gradeOf(criterion, givenSchema.parse(given));
  if (typeof made === 'string') throw new Refused(made);
  await house.db.transaction(async (tx) => {
    const [before] = await tx.delete(grades).where(key).returning();
    if (made) {
      const beside = await measuredBeside(tx, attemptId, criterion);
      await tx
        .insert(grades)
        .values({ attemptId, criterion: criterionId, ...made, ...beside, givenBy: teacher.userId });
    }
    const asDone = (done: Pick<Grade, 'points' | 'level'> | undefined | null) =>
      done ? { points: done.points, level: done.level } : null;
    const deed = { criterion: criterionId, before: asDone(before), after: asDone(made) };
    if (note) await note(tx, teacher, own, { did: 'graded', ...deed });
    else await writeDown(tx, teacher, 'graded', aboutHandIn(own));
  });
}
