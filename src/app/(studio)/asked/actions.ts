'use server';
import { giveOpinion } from '@/studio/critique/opinions';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export async function sayOpinion(id: string, said: unknown): Promise<Outcome<void>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(() => giveOpinion(house, teacher, z.string().max(60).parse(id), said));
  revalidatePath('/', 'layout');
  return done;
}
