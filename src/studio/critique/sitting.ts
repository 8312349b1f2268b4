/** An evening at the Table: where the teacher is, so that it can be left and come back to, and whether letters are held. */
import { sittings } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { handInFor, type Teacher } from '../access/actor';
import type { House } from '../house';

/** Whoever did nothing for longer than that begins a new sitting. */
const OVER_MS = 3 * 3_600_000;

/** Letters are held unless the teacher wants each to be sent at once. */
export const HOLDS_AT_FIRST = true;

/** The sitting of a teacher as it was left; null where there was none. */
export async function sittingNow(house: House, teacher: Teacher) {
  const [row] = await house.db.select().from(sittings).where(eq(sittings.teacherId, teacher.userId));
  return row ?? null;
}

export const holdsLetters = async (house: House, teacher: Teacher): Promise<boolean> =>
  (await sittingNow(house, teacher))?.holds ?? HOLDS_AT_FIRST;

/** The teacher has a hand-in before them: it is where they come back to, on whichever machine. */
export async function sitDownAt(house: House, teacher: Teacher, handInId: string): Promise<void> {
  await handInFor(house, teacher, handInId);
  const now = new Date();
  await house.db.transaction(async (tx) => {
    const own = eq(sittings.teacherId, teacher.userId);
    await tx.insert(sittings).values({ teacherId: teacher.userId }).onConflictDoNothing();
    const [row] = await tx.select().from(sittings).where(own).for('update');
    const isOver = row !== undefined && now.getTime() - row.lastAt.getTime() > OVER_MS;
    await tx
      .update(sittings)
      .set({ handInId, lastAt: now, ...(isOver && { begunAt: now }) })
      .where(own);
  });
}

/** Whether letters are held from now on; what is held already stays so until it is sent. */
export async function holdLetters(house: House, teacher: Teacher, holds: boolean): Promise<void> {
  await house.db
    .insert(sittings)
    .values({ teacherId: teacher.userId, holds })
    .onConflictDoUpdate({ target: sittings.teacherId, set: { holds } });
}
