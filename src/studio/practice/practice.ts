/** The practice camera: in the demo, a stand-in for a phone and for an evening of painting. */
import { type ExerciseTerms, isStepped } from '@/core/exercise/terms';
import { exerciseLayout, valuesOf } from '@/core/kinds/table';
import { newId } from '@/data/schema/ids';
import { attempts, dabChecks, handIns, students } from '@/data/schema/tables';
import type { PaintPlan } from '@/devices/painter';
import type { PracticeTask } from '@/workers/practice/camera';
import { and, count, eq } from 'drizzle-orm';
import { randomInt } from 'node:crypto';
import { rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { exerciseOfMine, NotFound, type Student } from '../access/actor';
import { takeLook } from '../hand-in/looks';
import { receivePhoto } from '../hand-in/receive';
import type { House } from '../house';
import { sheetOf } from '../plan/exercises';

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
export const mayPractise = (house: House, terms: ExerciseTerms): boolean =>
  house.settings.demo && exerciseLayout(terms).kind === 'scale';

const PHONE = { condition: 'window', megapixels: 12, orientation: 6, location: true } as const;

async function shoot(house: House, task: Omit<PracticeTask, 'task' | 'seed' | keyof typeof PHONE>): Promise<string> {
  const bytes = await house.pool.run(
    { task: 'practice', seed: randomInt(1, 2 ** 31), ...PHONE, ...task },
    { limitMs: LIMIT_MS },
  );
  const file = path.join(house.files.incoming, `practice-${newId()}`);
  await writeFile(file, bytes);
  return file;
}

/** Paints one test dab, each time nearer to its step, and photographs the sheet; the caller removes the file. */
export async function practiceDab(house: House, student: Student, exerciseId: string, step: number): Promise<string> {
  const own = await exerciseOfMine(house, student, exerciseId);
  const { terms } = own.exercise;
  const layout = exerciseLayout(terms);
  const dab = layout.dabs.find((d) => d.index === step);
  const target = valuesOf(terms)[step - 1];
  if (!mayPractise(house, terms) || !dab || target === undefined) throw new NotFound();
  const [before] = await house.db
    .select({ n: count() })
    .from(dabChecks)
    .where(
      and(eq(dabChecks.exerciseId, exerciseId), eq(dabChecks.studentId, own.me.studentId), eq(dabChecks.step, step)),
    );
  const [row] = await house.db.select().from(students).where(eq(students.id, own.me.studentId));
  const off = 12 * 0.35 ** (before?.n ?? 0);
  return shoot(house, {
    sheet: sheetOf(own, row ?? null),
    layout,
    paintOn: [{ ...dab, index: 1 }],
    plan: { lightness: [Math.min(95, target + off)], faults: [] },
  });
}

/** Paints two thirds of the student's sheet, one step wrongly, and takes a look at it. */
export async function practiceLook(house: House, student: Student, exerciseId: string): Promise<void> {
  const own = await exerciseOfMine(house, student, exerciseId);
  const { terms } = own.exercise;
  if (!mayPractise(house, terms) || !isStepped(terms)) throw new NotFound();
  const [row] = await house.db.select().from(students).where(eq(students.id, own.me.studentId));
  const layout = exerciseLayout(terms);
  const done = layout.cells.slice(0, Math.ceil((2 * layout.cells.length) / 3));
  // Not among the lightest: what is too light there can't be told from paper.
  const wrong = randomInt(Math.min(2, done.length - 1), done.length);
  const gap = (terms.ends.light - terms.ends.dark) / (terms.steps - 1);
  const lightness = valuesOf(terms)
    .slice(0, done.length)
    .map((v, i) => v + (i === wrong ? -0.9 * gap : (gap * randomInt(-15, 16)) / 100));
  const file = await shoot(house, {
    sheet: sheetOf(own, row ?? null),
    layout,
    paintOn: done,
    plan: { lightness, faults: [] },
  });
  try {
    await takeLook(house, student, exerciseId, file);
  } finally {
    await rm(file, { force: true });
  }
}

/** Prints, paints and photographs the student's sheet and hands the picture in. */
export async function practicePhoto(
  house: House,
  student: Student,
  exerciseId: string,
): Promise<{ attemptId: string }> {
  const own = await exerciseOfMine(house, student, exerciseId);
  if (!mayPractise(house, own.exercise.terms)) throw new NotFound();
  const [row] = await house.db.select().from(students).where(eq(students.id, own.me.studentId));
  const [before] = await house.db
    .select({ n: count() })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .where(eq(handIns.studentId, own.me.studentId));
  const { terms } = own.exercise;
  if (!isStepped(terms)) throw new NotFound();
  const file = await shoot(house, {
    sheet: sheetOf(own, row ?? null),
    layout: exerciseLayout(terms),
    plan: plan(terms.steps, terms.ends.light, terms.ends.dark, terms.order === 'light-first', before?.n ?? 0),
  });
  try {
    return await receivePhoto(house, student, exerciseId, file);
  } finally {
    await rm(file, { force: true });
  }
}
