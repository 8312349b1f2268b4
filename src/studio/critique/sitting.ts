/** An evening at the Table: where the teacher is, so that it can be left and come back to, and whether letters are held. */
import { sittings } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { handInFor, refuseAssistant, type Teacher } from '../access/actor';
import type { House } from '../house';
import { aboutHandIn, writeDown } from '../staff/chronicle';

/** Whoever did nothing for longer than that begins a new sitting. */
const OVER_MS = 3 * 3_600_000;

/** Letters are held unless the teacher wants each to be sent at once. */
const HOLDS_AT_FIRST = true;

/** The sitting of a teacher as it was left; null where there was none. */
export async function sittingNow(house: House, teacher: Teacher) {
  const [row] = await house.db.select().from(sittings).where(eq(sittings.teacherId, teacher.userId));
  return row ?? null;
}

/** Whether letters are held in a sitting; those of an assistant always are. */
export const holdsIn = ({ standing }: Teacher, sitting: { readonly holds: boolean } | null): boolean =>
  standing === 'assistant' || (sitting?.holds ?? HOLDS_AT_FIRST);

export const holdsLetters = async (house: House, teacher: Teacher): Promise<boolean> =>
  holdsIn(teacher, await sittingNow(house, teacher));

/** The teacher has a hand-in before them: it is where they come back to, on whichever machine. */
export async function sitDownAt(house: House, teacher: Teacher, handInId: string): Promise<void> {
  const own = await handInFor(house, teacher, handInId);
  await writeDown(house.db, teacher, 'looked', aboutHandIn(own));
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
  if (!holds) refuseAssistant(teacher);
  await house.db
    .insert(sittings)
    .values({ teacherId: teacher.userId, holds })
    .onConflictDoUpdate({ target: sittings.teacherId, set: { holds } });
}
