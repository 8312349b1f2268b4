/** More time for one student, or leaving an exercise out: for whoever was away, or has a reason. */
import type { Allowance } from '@/core/planning/deadline';
import { dueOn, zoneOf } from '@/core/planning/meetings';
import { allowances, students } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { exerciseToChange, NotFound, type Teacher } from '../access/actor';
import type { House, Reads } from '../house';
import { writeDown } from '../staff/chronicle';
import { textSchema } from '../words';

export const allowanceSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('nothing') }),
  z.object({ what: z.literal('excused'), word: textSchema }),
  z.object({ what: z.literal('until'), day: z.iso.date('Give the day until which there is time.'), word: textSchema }),
]);
export type AllowanceGiven = z.infer<typeof allowanceSchema>;

/** What a student is allowed at an exercise; null of most. */
export async function allowanceOf({ db }: Reads, exerciseId: string, studentId: string): Promise<Allowance | null> {
  const [row] = await db
    .select()
    .from(allowances)
    .where(and(eq(allowances.exerciseId, exerciseId), eq(allowances.studentId, studentId)));
  return row ?? null;
}

/**
 * Allows a student something at an exercise, in place of what was allowed before. Time is given until the evening of a day, in the
 * time of the class.
 */
export async function allow(
  house: House,
  teacher: Teacher,
  exerciseId: string,
  studentId: string,
  given: unknown,
): Promise<void> {
  const { class: own } = await exerciseToChange(house, teacher, exerciseId);
  const wish = allowanceSchema.parse(given);
  const [student] = await house.db
    .select({ id: students.id })
    .from(students)
    .where(and(eq(students.id, studentId), eq(students.classId, own.id)));
  if (!student) throw new NotFound();
  await writeDown(house.db, teacher, 'allowed', { classId: own.id, studentId, exerciseId });
  if (wish.what === 'nothing') {
    await house.db
      .delete(allowances)
      .where(and(eq(allowances.exerciseId, exerciseId), eq(allowances.studentId, studentId)));
    return;
  }
  const allowed = {
    excused: wish.what === 'excused',
    dueAt: wish.what === 'until' ? dueOn(wish.day, zoneOf(own.meetings)) : null,
    word: wish.word,
  };
  await house.db
    .insert(allowances)
    .values({ exerciseId, studentId, ...allowed })
    .onConflictDoUpdate({ target: [allowances.exerciseId, allowances.studentId], set: allowed });
}
