'use server';
import { importRemarks, keepRemark, removeRemark } from '@/studio/critique/remarks';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../../access';
import { outcome, type Outcome } from '../../../outcome';

const csvSchema = z.string().max(900_000, 'This file is too long for a list of remarks.');

async function done<T>(work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>): Promise<Outcome<T>> {
  const at = await teacherOnly();
  const answer = await outcome(() => work(at));
  revalidatePath('/ledger/remarks');
  return answer;
}

export async function keepOne(remark: unknown): Promise<Outcome<void>> {
  return done(({ house, teacher }) => keepRemark(house, teacher, remark));
}
export async function removeOne(id: string): Promise<Outcome<void>> {
  return done(({ house, teacher }) => removeRemark(house, teacher, z.string().max(60).parse(id)));
}
export async function readRemarks(csv: string): Promise<Outcome<number>> {
  return done(({ house, teacher }) => importRemarks(house, teacher, csvSchema.parse(csv)));
}
