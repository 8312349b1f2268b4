/** The teacher's side of a hand-in: editing the draft. */
import type { Database } from '@/data/database/engine';
import { critiques, findingEdits } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import { isToWrite } from '../access/meanwhile';
import type { House, Reads } from '../house';
import { attemptViews } from '../views/attempt';
import { judgedBy } from '../views/said';
import { letterTextSchema } from '../words';
import { noteDeed } from './noting';
import { standingEdit } from './standing';

const STANDS = 'This critique was sent and stands as it is. Withdraw the decision to change it.';

/** An attempt whose critique was not sent. Throws Refused where it was, NotFound where there is none. */
export async function openCritique(house: House, teacher: Teacher, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  await holdUnsent(house.db, attemptId);
  return own;
}

/** Holds a critique for whoever writes in it. Throws Refused where it was sent, NotFound where there is none. */
export async function holdUnsent(db: Pick<Database, 'select'>, attemptId: string) {
  const [critique] = await db.select().from(critiques).where(eq(critiques.attemptId, attemptId)).for('update');
  if (!critique) throw new NotFound();
  if (critique.sentAt) throw new Refused(STANDS);
  return critique;
}

/** What a teacher changes of a finding: null words are the draft's own. */
export interface ItemEdit {
  readonly say?: string;
  readonly action?: string;
  readonly dropped?: boolean;
}

/** The draft of an attempt as it stands, with the teacher's edits. */
export async function draftWithEdits(house: Reads, own: Awaited<ReturnType<typeof attemptFor>>) {
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  return view?.critique?.items ?? [];
}

/**
 * Changes one finding of an unsent draft, by its key; the draft itself stays what it is.
 *
 * @param seen - how often it had been changed when the teacher looked at it; null where that does not matter.
 * @param note - keeps what was done, so that it can be taken back; null where it is that taking back.
 * @throws NotFound where the draft has no such finding; Refused where it was sent; ChangedMeanwhile where it reads otherwise by now.
 */
export async function editItem(
  house: House,
  teacher: Teacher,
  attemptId: string,
  key: string,
  edit: ItemEdit,
  seen: number | null,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  const changes = {
    ...(edit.say === undefined ? {} : { say: letterTextSchema.parse(edit.say) || null }),
    ...(edit.action === undefined ? {} : { action: letterTextSchema.parse(edit.action) || null }),
    ...(edit.dropped === undefined ? {} : { dropped: edit.dropped }),
  };
  if (Object.keys(changes).length === 0) return;
  if (!(await draftWithEdits(house, own)).some((item) => item.original.key === key)) throw new NotFound();
  await house.db.transaction(async (tx) => {
    await holdUnsent(tx, attemptId);
    const { edit: theirs, written } = await standingEdit({ db: tx }, attemptId, key);
    const mine = { ...theirs, ...changes };
    if (!isToWrite(mine, { theirs, written }, seen)) return;
    const next = { ...mine, written: written + 1 };
    await tx
      .insert(findingEdits)
      .values({ attemptId, key, ...next })
      .onConflictDoUpdate({ target: [findingEdits.attemptId, findingEdits.key], set: next });
    await note?.(tx, teacher, own, { did: 'edited', key, before: theirs, after: mine });
  });
}

/**
 * Returns how often it was written.
 *
 * @throws ChangedMeanwhile where another word stands there than the one that was seen.
 */
export async function setWord(
  house: House,
  teacher: Teacher,
  attemptId: string,
  given: string,
  seen: number | null,
  note: typeof noteDeed | null = noteDeed,
): Promise<number> {
  const own = await openCritique(house, teacher, attemptId);
  const word = letterTextSchema.parse(given);
  return house.db.transaction(async (tx) => {
    const { word: theirs, written } = await holdUnsent(tx, attemptId);
    if (!isToWrite(word, { theirs, written }, seen)) return written;
    await tx
      .update(critiques)
      .set({ word, written: written + 1 })
      .where(eq(critiques.attemptId, attemptId));
    await note?.(tx, teacher, own, { did: 'worded', before: theirs, after: word });
    return written + 1;
  });
}
