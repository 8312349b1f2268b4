'use server';
import { dropReference, keepPreparation } from '@/studio/reference/references';
import type { Preparation } from '@/core/reference/preparation';
import { dropSetUp, keepNewSetUp, keepSetUp, type SetUpWords } from '@/studio/reference/set-ups';
import { bringShippedIn } from '@/studio/reference/shipped-pictures';
import { seenSchema } from '@/studio/access/meanwhile';
import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

/** Answers its revision. */
export async function keepReference(
  referenceId: string,
  preparation: unknown,
  seen: number,
): Promise<Outcome<number, Preparation>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome<number, Preparation>(() =>
    keepPreparation(house, teacher, referenceId, preparation, seenSchema.parse(seen)),
  );
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
  redirect(`/references?gone=${done.value}`);
}

export async function beginSetUp(form: FormData): Promise<void> {
  const { house, teacher } = await teacherOnly();
  const word = (name: string) => z.string().catch('').parse(form.get(name));
  const made = await outcome(() => keepNewSetUp(house, teacher, { title: word('title'), note: word('note') }));
  if (made.ok) redirect(`/references/set-up/${made.value}`);
}

/** Answers how often it was written. */
export async function keepMasses(
  setUpId: string,
  next: { title: string; note: string; setUp: unknown },
  seen: number,
): Promise<Outcome<number, SetUpWords>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome<number, SetUpWords>(() =>
    keepSetUp(house, teacher, setUpId, next, seenSchema.parse(seen)),
  );
  revalidatePath('/references');
  return done;
}

export async function takeSetUpAway(setUpId: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(() => dropSetUp(house, teacher, setUpId));
  if (!done.ok) return done;
  redirect('/references');
}
