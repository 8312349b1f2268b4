/** The teacher's side of a hand-in: editing the draft, deciding, taking a decision back. */
import { newId } from '@/data/schema/ids';
import { attempts, critiques, decisions, findingEdits, type Verdict } from '@/data/schema/tables';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import { attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { changeHandIn, holdHandIn } from '../hand-in/states';
import { attemptsAt, attemptViews, currentOf } from '../views/attempt';
import { textSchema } from '../words';

async function openCritique(house: House, teacher: Teacher, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
  if (!critique) throw new NotFound();
  if (critique.sentAt)
    throw new Refused('This critique was sent and stands as it is. Withdraw the decision to change it.');
  return own;
}

export interface ItemEdit {
  readonly say?: string;
  readonly action?: string;
  readonly dropped?: boolean;
}

/** The draft of an attempt as it stands, with the teacher's edits. */
async function draftWithEdits(house: House, own: Awaited<ReturnType<typeof attemptFor>>) {
  const { attempt, exercise, class: group } = own;
  const judgedBy = { terms: exercise.terms, numbering: group.numbering };
  const [view] = await attemptViews(house, [attempt], judgedBy);
  return view?.critique?.items ?? [];
}

/**
 * Changes one finding of an unsent draft, by its key; the draft itself stays what it is.
 *
 * @throws NotFound where the draft has no such finding; Refused where it was sent.
 */
export async function editItem(
  house: House,
  teacher: Teacher,
  attemptId: string,
  key: string,
  edit: ItemEdit,
): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  const changes = {
    ...(edit.say === undefined ? {} : { say: textSchema.parse(edit.say) || null }),
    ...(edit.action === undefined ? {} : { action: textSchema.parse(edit.action) || null }),
    ...(edit.dropped === undefined ? {} : { dropped: edit.dropped }),
  };
  if (Object.keys(changes).length === 0) return;
  if (!(await draftWithEdits(house, own)).some((item) => item.original.key === key)) throw new NotFound();
  await house.db
    .insert(findingEdits)
    .values({ attemptId, key, ...changes })
    .onConflictDoUpdate({ target: [findingEdits.attemptId, findingEdits.key], set: changes });
}

export async function setWord(house: House, teacher: Teacher, attemptId: string, word: string): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db
    .update(critiques)
    .set({ word: textSchema.parse(word) })
    .where(eq(critiques.attemptId, attemptId));
}

/** Sends the critique with a decision; from then on its words are frozen. */
export async function decide(house: House, teacher: Teacher, attemptId: string, verdict: Verdict): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { handIn } = own;
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
