'use server';
import { revalidatePath } from 'next/cache';
import { keepPreparation } from '@/studio/references';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export async function keepReference(referenceId: string, preparation: unknown): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await keepPreparation(house, teacher, referenceId, preparation);
    return null;
  });
  revalidatePath('/references');
  return done;
}
