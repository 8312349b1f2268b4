/** Whom a letter is written for: as in its class, unless the teacher chose otherwise for one hand-in. */
import { registerSchema } from '@/core/critique/voice';
import { handIns } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { handInFor, type Teacher } from '../access/actor';
import type { House } from '../house';
import { noteDeed } from './noting';

/** Null is as in its class. What was sent already stays as it was said. */
export async function speakTo(
  house: House,
  teacher: Teacher,
  handInId: string,
  given: unknown,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  const own = await handInFor(house, teacher, handInId);
  const register = registerSchema.nullable().parse(given);
  const before = own.handIn.register;
  if (before === register) return;
  await house.db.transaction(async (tx) => {
    await tx.update(handIns).set({ register }).where(eq(handIns.id, handInId));
    await note?.(tx, teacher, { ...own, attempt: null }, { did: 'spoke', before, after: register });
  });
}
