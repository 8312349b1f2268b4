'use server';
import { discardFromTray, giveFromTray } from '@/studio/hand-in/pile';
import { allow } from '@/studio/plan/allowances';
import { revalidatePath } from 'next/cache';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export async function givePicture(
  classId: string,
  trayId: string,
  studentId: string,
  exerciseId: string,
): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await giveFromTray(house, teacher, trayId, { studentId, exerciseId });
    return null;
  });
  revalidatePath(`/rack/${classId}`);
  return done;
}

export async function discardPicture(classId: string, trayId: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await discardFromTray(house, teacher, trayId);
    return null;
  });
  revalidatePath(`/rack/${classId}`);
  return done;
}

/** More time for one student at an exercise, or leaving it out. */
export async function allowTime(exerciseId: string, studentId: string, wish: unknown): Promise<Outcome<void>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(() => allow(house, teacher, exerciseId, studentId, wish));
  revalidatePath('/', 'layout');
  return done;
}
