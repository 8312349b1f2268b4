/** Taking back what was done to the corrections of a picture: each comes to stand as it stood before. */
import type { Deed } from '@/core/critique/deed';
import { corrections } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { Refused, type Teacher } from '../access/actor';
import { isSame } from '../access/meanwhile';
import type { House } from '../house';
import { correctionToWrite, drawnOf, enclose, enclosedOf, pictureOf } from './correction-rows';
import { openCritique } from './critiquing';

type Done<D extends Deed['did']> = Extract<Deed, { did: D }>;

export const CHANGED_SINCE = 'This was changed once more since then, and stays as it is now.';

/** As it was drawn before; away again where it was begun. Throws Refused where it was drawn otherwise since. */
export async function undraw(
  house: House,
  teacher: Teacher,
  attemptId: string,
  { id, before, after }: Done<'corrected'>,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const row = await correctionToWrite(tx, attemptId, id);
    if (!isSame(drawnOf(row), after)) throw new Refused(CHANGED_SINCE);
    const own = eq(corrections.id, id);
    await (before
      ? tx
          .update(corrections)
          .set({ ...before, written: row.written + 1 })
          .where(own)
      : tx.delete(corrections).where(own));
  });
}

/** Puts one back that was removed, as the very one that it was. */
export async function putCorrectionBack(
  house: House,
  teacher: Teacher,
  attemptId: string,
  { id, was }: Done<'uncorrected'>,
): Promise<void> {
  const { attempt } = await openCritique(house, teacher, attemptId);
  const pictureHash = pictureOf(attempt);
  await house.db.transaction(async (tx) => {
    // Another may have been chosen for the letter since.
    const withLetter = was.withLetter && (await enclosedOf(tx, attemptId)) === null;
    await tx
      .insert(corrections)
      .values({ id, attemptId, pictureHash, ...was, withLetter })
      .onConflictDoNothing();
  });
}

/** The one that went with the letter before goes with it again. Throws Refused where another was chosen since. */
export async function encloseAsBefore(
  house: House,
  teacher: Teacher,
  attemptId: string,
  { before, after, aside }: Done<'enclosed'>,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    if ((await enclosedOf(tx, attemptId)) !== after) throw new Refused(CHANGED_SINCE);
    if (before !== null) await correctionToWrite(tx, attemptId, before);
    await enclose(tx, attemptId, before);
    if (after !== null) await tx.update(corrections).set({ setAside: aside }).where(eq(corrections.id, after));
  });
}

/** Takes one in again that was set aside. Throws Refused where that was changed since. */
export async function takeInAgain(
  house: House,
  teacher: Teacher,
  attemptId: string,
  { id, before, after, withLetter }: Done<'set-aside'>,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    if ((await correctionToWrite(tx, attemptId, id)).setAside !== after) throw new Refused(CHANGED_SINCE);
    await tx.update(corrections).set({ setAside: before }).where(eq(corrections.id, id));
    if (withLetter && (await enclosedOf(tx, attemptId)) === null) await enclose(tx, attemptId, id);
  });
}
