/** Marks that a teacher draws on the pictures of an attempt: each is kept as soon as it is drawn. */
import { type Mark, markSchema, tidied } from '@/core/critique/marks';
import { newId } from '@/data/schema/ids';
import { marks } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { openCritique } from './critiquing';
import { noteDeed } from './noting';

/** More than this on one hand-in nobody looks at. */
const MOST = 60;

/** Returns the mark's id. Throws Refused where the critique was sent, or where the mark lies beside the picture. */
export async function drawMark(house: House, teacher: Teacher, attemptId: string, given: unknown): Promise<string> {
  const own = await openCritique(house, teacher, attemptId);
  const mark = tidied(markSchema.parse(given));
  if (!mark) throw new Refused('This mark lies beside the picture, or is too short to be seen. Draw it once more.');
  if ((await house.db.$count(marks, eq(marks.attemptId, attemptId))) >= MOST)
    throw new Refused(`There are ${MOST} marks on this hand-in. Take some back before you draw another.`);
  const id = newId();
  await house.db.transaction(async (tx) => {
    await tx.insert(marks).values({ id, attemptId, mark });
    await noteDeed(tx, teacher, own, { did: 'marked', id });
  });
  return id;
}

export async function takeMarkBack(
  house: House,
  teacher: Teacher,
  attemptId: string,
  id: string,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const [gone] = await tx
      .delete(marks)
      .where(and(eq(marks.id, id), eq(marks.attemptId, attemptId)))
      .returning({ mark: marks.mark });
    if (!gone) throw new NotFound();
    await note?.(tx, teacher, own, { did: 'unmarked', id, mark: gone.mark });
  });
}

/** Puts back a mark that was taken back, as the very one that it was. Throws Refused where the critique was sent. */
export async function putMarkBack(
  house: House,
  teacher: Teacher,
  attemptId: string,
  id: string,
  mark: Mark,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db.insert(marks).values({ id, attemptId, mark }).onConflictDoNothing();
}
