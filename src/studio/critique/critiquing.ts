/** The teacher's side of a hand-in: editing the draft, deciding, taking a decision back. */
import type { Database } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { attempts, critiques, decisions, findingEdits, type Verdict } from '@/data/schema/tables';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import { attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import { isToWrite } from '../access/meanwhile';
import type { House } from '../house';
import { changeHandIn, holdHandIn } from '../hand-in/states';
import { attemptsAt, attemptViews, currentOf } from '../views/attempt';
import { measuredOfOne } from '../views/measured';
import { judgedBy } from '../views/said';
import { alikeOf } from '../views/alike';
import { letterTextSchema } from '../words';

const STANDS = 'This critique was sent and stands as it is. Withdraw the decision to change it.';

/** An attempt whose critique was not sent. Throws Refused where it was, NotFound where there is none. */
export async function openCritique(house: House, teacher: Teacher, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  await holdUnsent(house.db, attemptId);
  return own;
}

/** Holds a critique for whoever writes in it. Throws Refused where it was sent, NotFound where there is none. */
async function holdUnsent(db: Pick<Database, 'select'>, attemptId: string) {
  const [critique] = await db.select().from(critiques).where(eq(critiques.attemptId, attemptId)).for('update');
  if (!critique) throw new NotFound();
  if (critique.sentAt) throw new Refused(STANDS);
  return critique;
}

/** What the teacher made of a finding, as it stands. */
export type StandingEdit = Pick<typeof findingEdits.$inferSelect, 'say' | 'action' | 'dropped'>;

/** A finding that nobody has changed. */
const UNTOUCHED: StandingEdit & { readonly written: number } = { say: null, action: null, dropped: false, written: 0 };

/** What a teacher changes of a finding: null words are the draft's own. */
export interface ItemEdit {
  readonly say?: string;
  readonly action?: string;
  readonly dropped?: boolean;
}

/** The draft of an attempt as it stands, with the teacher's edits. */
async function draftWithEdits(house: House, own: Awaited<ReturnType<typeof attemptFor>>) {
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  return view?.critique?.items ?? [];
}

/**
 * Changes one finding of an unsent draft, by its key; the draft itself stays what it is.
 *
 * @param seen - how often it had been changed when the teacher looked at it; null where that does not matter.
 * @throws NotFound where the draft has no such finding; Refused where it was sent; ChangedMeanwhile where it reads otherwise by now.
 */
export async function editItem(
  house: House,
  teacher: Teacher,
  attemptId: string,
  key: string,
  edit: ItemEdit,
  seen: number | null,
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
    const [row] = await tx
      .select()
      .from(findingEdits)
      .where(and(eq(findingEdits.attemptId, attemptId), eq(findingEdits.key, key)));
    const { say, action, dropped, written } = row ?? UNTOUCHED;
    const theirs: StandingEdit = { say, action, dropped };
    const mine = { ...theirs, ...changes };
    if (!isToWrite(mine, { theirs, written }, seen)) return;
    const next = { ...mine, written: written + 1 };
    await tx
      .insert(findingEdits)
      .values({ attemptId, key, ...next })
      .onConflictDoUpdate({ target: [findingEdits.attemptId, findingEdits.key], set: next });
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
): Promise<number> {
  await openCritique(house, teacher, attemptId);
  const word = letterTextSchema.parse(given);
  return house.db.transaction(async (tx) => {
    const { word: theirs, written } = await holdUnsent(tx, attemptId);
    if (!isToWrite(word, { theirs, written }, seen)) return written;
    await tx
      .update(critiques)
      .set({ word, written: written + 1 })
      .where(eq(critiques.attemptId, attemptId));
    return written + 1;
  });
}

const SAID_OF: Record<Verdict, string> = { pass: 'passed', again: 'sent back' };

/** Throws Refused where somebody else's that is nearly equal was judged otherwise. */
async function refuseUnlike(
  house: House,
  own: Awaited<ReturnType<typeof attemptFor>>,
  verdict: Verdict,
): Promise<void> {
  const { attempt, exercise, handIn } = own;
  const near = await alikeOf(
    house,
    { exerciseId: exercise.id, handInId: handIn.id, stage: attempt.stage },
    await measuredOfOne(house, attempt.id),
  );
  const other = near.find((n) => n.verdict !== verdict);
  if (other && !near.some((n) => n.verdict === verdict))
    throw new Refused(
      `By what was measured this is nearly ${other.student}’s, which you ${SAID_OF[other.verdict]}. Look at both; decide once more to send it all the same.`,
    );
}

/**
 * Sends the critique with a decision; from then on its words are frozen.
 *
 * @param isSure - whether it is sent though a nearly equal one was judged otherwise.
 */
export async function decide(
  house: House,
  teacher: Teacher,
  attemptId: string,
  verdict: Verdict,
  isSure = true,
): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { handIn } = own;
  if (!isSure) await refuseUnlike(house, own, verdict);
  // What is sent stays word for word as it was sent, whatever becomes of drafts.
  const letter = { version: 1 as const, items: [...(await draftWithEdits(house, own))] };
  await house.db.transaction(async (tx) => {
    await holdHandIn(tx, handIn.id);
    if (currentOf(await attemptsAt(tx, [handIn.id]))?.id !== attemptId)
      throw new Refused('A newer photograph came in: decide on that one.');
    const [coming] = await tx
      .select({ id: attempts.id })
      .from(attempts)
      .where(and(eq(attempts.handInId, handIn.id), inArray(attempts.state, ['received', 'queued', 'measuring'])));
    if (coming) throw new Refused('A newer photograph is being measured: wait a moment and decide on that one.');
    const [standing] = await tx
      .select()
      .from(decisions)
      .where(and(eq(decisions.attemptId, attemptId), isNull(decisions.withdrawnAt)));
    if (standing) {
      // The same key pressed twice is one decision.
      if (standing.verdict === verdict) return;
      throw new Refused('This attempt was decided already. Withdraw that decision first.');
    }
    if (!(await changeHandIn(tx, handIn.id, verdict))) throw new Refused('There is nothing to decide here.');
    await tx.insert(decisions).values({ id: newId(), handInId: handIn.id, attemptId, verdict });
    await tx
      .insert(critiques)
      .values({ attemptId, sentAt: new Date(), letter })
      .onConflictDoUpdate({ target: critiques.attemptId, set: { sentAt: new Date(), letter } });
  });
}

/** Takes the standing decision back, as long as no later attempt came in. */
export async function withdraw(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  const { handIn } = await attemptFor(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    await holdHandIn(tx, handIn.id);
    if (currentOf(await attemptsAt(tx, [handIn.id]))?.id !== attemptId)
      throw new Refused('The student has handed in again: this decision stands.');
    const gone = await tx
      .update(decisions)
      .set({ withdrawnAt: new Date() })
      .where(and(eq(decisions.attemptId, attemptId), isNull(decisions.withdrawnAt)))
      .returning({ id: decisions.id });
    if (gone.length === 0) throw new Refused('There is no decision to withdraw.');
    await tx.update(critiques).set({ sentAt: null, letter: null }).where(eq(critiques.attemptId, attemptId));
    await changeHandIn(tx, handIn.id, 'withdraw');
  });
}
