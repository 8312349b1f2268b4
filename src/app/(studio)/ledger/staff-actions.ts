'use server';
/** Who teaches in the studio, and who teaches a class. */
import { bringAlong } from '@/studio/class/several';
import { inviteTeacher, resetPassword, setStanding } from '@/studio/staff/colleagues';
import { shareClass, unshareClass } from '@/studio/staff/sharing';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(60);

async function act<T>(work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>): Promise<Outcome<T>> {
  const at = await teacherOnly();
  const done = await outcome(() => work(at));
  revalidatePath('/ledger', 'layout');
  return done;
}

export async function invite(standing: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => inviteTeacher(house, teacher, standing));
}
export async function letColleagueBe(id: string, standing: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => setStanding(house, teacher, idSchema.parse(id), standing));
}
/** Answers with the new password; it is shown this once. */
export async function newPasswordFor(id: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => resetPassword(house, teacher, idSchema.parse(id)));
}
export async function shareWith(classId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => shareClass(house, teacher, classId, idSchema.parse(id)));
}
export async function unshareWith(classId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => unshareClass(house, teacher, classId, idSchema.parse(id)));
}
export async function enrolToo(classId: string, studentId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => bringAlong(house, teacher, classId, idSchema.parse(studentId)));
}
