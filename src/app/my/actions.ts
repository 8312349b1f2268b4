'use server';
import type { LookMark } from '@/core/look/stored-look';
import { replyTo } from '@/studio/critique/replies';
import { markLook } from '@/studio/hand-in/looks';
import { cancel, lookAnyway, tryAgain } from '@/studio/hand-in/receive';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { studentOnly } from '../access';
import { outcome, type Outcome } from '../outcome';

async function act(work: (at: Awaited<ReturnType<typeof studentOnly>>) => Promise<void>): Promise<Outcome> {
  const at = await studentOnly();
  const done = await outcome(async () => {
    await work(at);
    return null;
  });
  revalidatePath('/my', 'layout');
  return done;
}

export async function stopMeasuring(attemptId: string): Promise<Outcome> {
  return act(({ house, student }) => cancel(house, student, attemptId));
}
export async function measureAgain(attemptId: string): Promise<Outcome> {
  return act(({ house, student }) => tryAgain(house, student, attemptId));
}
export async function sayToLetter(attemptId: string, about: string | null, text: string): Promise<Outcome> {
  return act(({ house, student }) =>
    replyTo(house, student, attemptId, {
      about: z.string().max(300).nullable().parse(about),
      text: z.string().parse(text),
    }),
  );
}
export async function askLook(exerciseId: string, marks: LookMark[]): Promise<Outcome> {
  return act(({ house, student }) => markLook(house, student, exerciseId, marks));
}
export async function sendAnyway(attemptId: string, word: string): Promise<Outcome> {
  return act(({ house, student }) => lookAnyway(house, student, attemptId, word));
}
