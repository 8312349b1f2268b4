/** The practice camera: in the demo, a stand-in for a phone and for an evening of painting. */
import { randomInt } from 'node:crypto';
import { writeFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { count, eq } from 'drizzle-orm';
import { attempts, handIns, students } from '@/data/schema';
import { newId } from '@/data/ids';
import type { PaintPlan } from '@/devices/painter';
import { exerciseFor, NotFound, type Student } from './actor';
import { type ExerciseTerms, isStepped } from '@/core/exercise/terms';
import { exerciseLayout } from '@/core/sheet/exercise-layout';
import { sheetOf } from './exercises';
import type { House } from './house';
import { receivePhoto } from './receive';

const LIMIT_MS = 120_000;

/** A hand with small errors that shrink from try to try. */
function plan(steps: number, light: number, dark: number, lightFirst: boolean, tries: number): PaintPlan {
  const gap = (light - dark) / (steps - 1);
  const error = gap * 0.5 * 0.5 ** tries;
  const lightness = Array.from({ length: steps }, (_, i) => {
    const at = lightFirst ? light - i * gap : dark + i * gap;
    return at + (i === 0 || i === steps - 1 ? 0 : (error * randomInt(-100, 101)) / 100);
  });
  return { lightness, faults: [] };
}

/** The practice painter fills cells; it knows no pictures. */
export const mayPractise = (house: House, terms: ExerciseTerms): boolean => house.settings.demo && exerciseLayout(terms).kind === 'scale';

/** Prints, paints and photographs the student's sheet and hands the picture in. */
export async function practicePhoto(house: House, student: Student, exerciseId: string): Promise<{ attemptId: string }> {
  const own = await exerciseFor(house, student, exerciseId);
  if (!mayPractise(house, own.exercise.terms)) throw new NotFound();
  const [row] = await house.db.select().from(students).where(eq(students.id, student.studentId));
  const [before] = await house.db
    .select({ n: count() })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .where(eq(handIns.studentId, student.studentId));
  const { terms } = own.exercise;
  if (!isStepped(terms)) throw new NotFound();
  const bytes = await house.pool.run(
    {
      task: 'practice',
      sheet: sheetOf(own, row ?? null),
      layout: exerciseLayout(terms),
      plan: plan(terms.steps, terms.ends.light, terms.ends.dark, terms.order === 'light-first', before?.n ?? 0),
      condition: 'window',
      seed: randomInt(1, 2 ** 31),
      megapixels: 12,
      orientation: 6,
      location: true,
    },
    { limitMs: LIMIT_MS },
  );
  const file = path.join(house.files.incoming, `practice-${newId()}`);
  await writeFile(file, bytes);
  try {
    return await receivePhoto(house, student, exerciseId, file);
  } finally {
    await rm(file, { force: true });
  }
}
