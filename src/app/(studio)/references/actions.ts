'use server';
import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { dropReference, keepPreparation } from '@/studio/references';
import { bringShippedIn } from '@/studio/shipped-pictures';
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

export async function takeShipped(name: string): Promise<void> {
  const { house, teacher } = await teacherOnly();
  const made = await outcome(() => bringShippedIn(house, teacher, name));
  if (made.ok) redirect(`/references/${made.value}`);
}

export async function takeAway(referenceId: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(() => dropReference(house, teacher, referenceId));
  if (!done.ok) return done;
  redirect('/references');
}
