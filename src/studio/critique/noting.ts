/** Keeps what a teacher did at a hand-in, together with the doing, so that it can be taken back. */
import type { Deed } from '@/core/critique/deed';
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { type Chronicled, deeds, sittings } from '@/data/schema/tables';
import { and, desc, eq, gte, isNull, lt } from 'drizzle-orm';
import type { Teacher } from '../access/actor';
import type { House } from '../house';
import { aboutHandIn, writeDown } from '../staff/chronicle';

/** What was done it to: all of a hand-in where there is no attempt. */
interface DoneTo {
  readonly class: { readonly id: string };
  readonly handIn: { readonly id: string; readonly studentId: string; readonly exerciseId: string };
  readonly attempt: { readonly id: string } | null;
}

/** What is written down of it for everybody who teaches the class; all else is drafting. */
const WRITTEN_DOWN_AS: Partial<Record<Deed['did'], Chronicled>> = {
  decided: 'decided',
  withdrew: 'withdrew',
  sent: 'sent',
  answered: 'answered',
  graded: 'graded',
};

export async function noteDeed(tx: Transaction, teacher: Teacher, done: DoneTo, deed: Deed): Promise<void> {
  const { handIn, attempt } = done;
  await writeDown(tx, teacher, WRITTEN_DOWN_AS[deed.did] ?? 'drafted', aboutHandIn(done));
  await tx
    .insert(deeds)
    .values({ id: newId(), teacherId: teacher.userId, handInId: handIn.id, attemptId: attempt?.id ?? null, deed });
}

/** What a teacher did in their sitting and has not taken back: `sittings` stands beside it. */
export const isStanding = ({ userId }: Teacher) =>
  and(
    eq(deeds.teacherId, userId),
    eq(sittings.teacherId, userId),
    isNull(deeds.takenBackAt),
    gte(deeds.createdAt, sittings.begunAt),
  );

/**
 * Keeps that a correction was drawn or changed. It is written with every stroke: as long as nothing else is done in between, all of
 * them are taken back as one.
 */
export async function noteCorrected(
  tx: Transaction,
  teacher: Teacher,
  done: DoneTo,
  deed: Extract<Deed, { did: 'corrected' }>,
): Promise<void> {
  const [last] = await tx
    .select({ id: deeds.id, deed: deeds.deed })
    .from(deeds)
    .innerJoin(sittings, isStanding(teacher))
    .orderBy(desc(deeds.seq))
    .limit(1);
  if (last?.deed.did !== 'corrected' || last.deed.id !== deed.id) return noteDeed(tx, teacher, done, deed);
  await tx
    .update(deeds)
    .set({ deed: { ...last.deed, after: deed.after } })
    .where(eq(deeds.id, last.id));
}

/** Nobody takes back what was done longer ago than that; it is not kept either. */
const KEPT_DAYS = 30;

export async function forgetOldDeeds(house: House): Promise<void> {
  await house.db.delete(deeds).where(lt(deeds.createdAt, new Date(Date.now() - KEPT_DAYS * 86_400_000)));
}
