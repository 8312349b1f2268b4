'use server';
import { sendHeld } from '@/studio/critique/deciding';
import { holdLetters, sitDownAt } from '@/studio/critique/sitting';
import { takeBack } from '@/studio/critique/taking-back';
import { sittingAt, type SittingView } from '@/studio/views/sitting';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(60);

/** Sits down at a hand-in and looks how far the evening has come. */
export async function sitDown(handInId: string): Promise<Outcome<SittingView>> {
  const { house, teacher } = await teacherOnly();
  return outcome(async () => {
    const id = idSchema.parse(handInId);
    await sitDownAt(house, teacher, id);
    return sittingAt(house, teacher, id);
  });
}

export async function takeBackDeed(id: string): Promise<Outcome<{ readonly handInId: string }>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(() => takeBack(house, teacher, idSchema.parse(id)));
  revalidatePath('/', 'layout');
  return done;
}

/** Sends one letter that was held. */
export async function sendLetter(attemptId: string): Promise<Outcome<void>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => sendHeld(house, teacher, idSchema.parse(attemptId)));
}

export async function setHolds(holds: boolean): Promise<Outcome<void>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => holdLetters(house, teacher, z.boolean().parse(holds)));
}
