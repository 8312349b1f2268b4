'use server';
/** Grades by the scheme of a class, and what is remembered of a student. */
import { seenSchema } from '@/studio/access/meanwhile';
import { changeNote, writeNote } from '@/studio/class/notes';
import { grade, setScheme } from '@/studio/grading/grading';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(60);

async function act<T>(work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>): Promise<Outcome<T, string>> {
  const at = await teacherOnly();
  const done = await outcome<T, string>(() => work(at));
  revalidatePath('/', 'layout');
  return done;
}

export async function keepScheme(classId: string, scheme: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => setScheme(house, teacher, idSchema.parse(classId), scheme));
}
export async function giveGrade(attemptId: string, criterionId: string, given: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => grade(house, teacher, attemptId, idSchema.parse(criterionId), given));
}
export async function addNote(studentId: string, text: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => writeNote(house, teacher, idSchema.parse(studentId), text));
}
export async function rewriteNote(
  studentId: string,
  id: string,
  text: string,
  seen: number,
): Promise<Outcome<number, string>> {
  return act(({ house, teacher }) =>
    changeNote(house, teacher, idSchema.parse(studentId), idSchema.parse(id), text, seenSchema.parse(seen)),
  );
}
