'use server';
import { revalidatePath } from 'next/cache';
import { addStudent, createClass, reissueCode } from '@/studio/people';
import { deleteStudent } from '@/studio/records';
import { numberingSchema } from '@/studio/words';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export async function makeClass(name: string, numbering: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await createClass(house, teacher, name, numberingSchema.parse(numbering));
    return '';
  });
  revalidatePath('/ledger');
  return done;
}

/** Answers with the personal code; it is shown this once. */
export async function enrol(classId: string, name: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => `${name}: ${(await addStudent(house, teacher, classId, name)).code}`);
  revalidatePath(`/ledger/${classId}`);
  return done;
}

export async function newCode(studentId: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => reissueCode(house, teacher, studentId));
}

export async function removeStudent(studentId: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await deleteStudent(house, teacher, studentId);
    return '';
  });
  revalidatePath('/ledger', 'layout');
  return done;
}
