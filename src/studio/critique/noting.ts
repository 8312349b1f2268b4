/** Keeps what a teacher did at a hand-in, together with the doing, so that it can be taken back. */
import type { Deed } from '@/core/critique/deed';
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { deeds } from '@/data/schema/tables';
import { lt } from 'drizzle-orm';
import type { Teacher } from '../access/actor';
import type { House } from '../house';

/** What was done it to: all of a hand-in where there is no attempt. */
interface DoneTo {
  readonly handIn: { readonly id: string };
  readonly attempt: { readonly id: string } | null;
}

export async function noteDeed(
  tx: Transaction,
  teacher: Teacher,
  { handIn, attempt }: DoneTo,
  deed: Deed,
): Promise<void> {
  await tx
    .insert(deeds)
    .values({ id: newId(), teacherId: teacher.userId, handInId: handIn.id, attemptId: attempt?.id ?? null, deed });
}

/** Nobody takes back what was done longer ago than that; it is not kept either. */
const KEPT_DAYS = 30;

export async function forgetOldDeeds(house: House): Promise<void> {
  await house.db.delete(deeds).where(lt(deeds.createdAt, new Date(Date.now() - KEPT_DAYS * 86_400_000)));
}
