/** Deciding about a hand-in, sending the letter at once or later, and taking either back. */
import type { Verdict } from '@/core/critique/verdict';
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { attempts, critiques, decisions, replies, user } from '@/data/schema/tables';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import { attemptFor, refuseAssistant, Refused, type Teacher } from '../access/actor';
import { changeHandIn, holdHandIn } from '../hand-in/states';
import type { House } from '../house';
import { aboutHandIn, writeDown } from '../staff/chronicle';
import { alikeOf } from '../views/alike';
import { attemptsAt, currentOf } from '../views/attempt';
import { measuredOfOne } from '../views/measured';
import { draftWithEdits } from './critiquing';
import { noteDeed } from './noting';

type Own = Awaited<ReturnType<typeof attemptFor>>;

const SAID_OF: Record<Verdict, string> = { pass: 'passed', again: 'sent back' };

/** Throws Refused where somebody else's that is nearly equal was judged otherwise. */
async function refuseUnlike(house: House, { attempt, exercise, handIn }: Own, verdict: Verdict): Promise<void> {
  const near = await alikeOf(
    house,
    { exerciseId: exercise.id, handInId: handIn.id, stage: attempt.stage },
    await measuredOfOne(house, attempt.id),
  );
  const other = near.find((n) => n.verdict !== verdict);
  if (other && !near.some((n) => n.verdict === verdict))
    throw new Refused(
      `By what was measured this is nearly ${other.student}’s, which you ${SAID_OF[other.verdict]}. ` +
        'Look at both; decide once more to let it stand all the same.',
    );
}

async function standingOf(tx: Transaction, attemptId: string) {
  const [standing] = await tx
    .select()
    .from(decisions)
    .where(and(eq(decisions.attemptId, attemptId), isNull(decisions.withdrawnAt)));
  return standing ?? null;
}

const isCurrent = async (tx: Transaction, { handIn, attempt }: Own): Promise<boolean> =>
  currentOf(await attemptsAt(tx, [handIn.id]))?.id === attempt.id;

/** Throws Refused where another picture than this attempt's is to be decided about. */
async function refuseOlder(tx: Transaction, own: Own): Promise<void> {
  if (!(await isCurrent(tx, own))) throw new Refused('A newer photograph came in: decide on that one.');
  const [coming] = await tx
    .select({ id: attempts.id })
    .from(attempts)
    .where(and(eq(attempts.handInId, own.handIn.id), inArray(attempts.state, ['received', 'queued', 'measuring'])));
  if (coming) throw new Refused('A newer photograph is being measured: wait a moment and decide on that one.');
}

/** Sends a letter: what is said in it stays word for word as it is now, whatever becomes of drafts. */
async function send(tx: Transaction, own: Own, verdict: Verdict): Promise<void> {
  const attemptId = own.attempt.id;
  await tx.insert(critiques).values({ attemptId }).onConflictDoNothing();
  // Whoever edits it waits until it is sent.
  await tx.select().from(critiques).where(eq(critiques.attemptId, attemptId)).for('update');
  const letter = { version: 1 as const, items: [...(await draftWithEdits({ db: tx }, own))] };
  if (!(await changeHandIn(tx, own.handIn.id, verdict))) throw new Refused('There is nothing to decide here.');
  await tx.update(critiques).set({ sentAt: new Date(), letter }).where(eq(critiques.attemptId, attemptId));
}

/** Throws Refused where it was somebody else who decided: both have it before them, and one of them is told. */
async function refuseOthers(
  tx: Transaction,
  { decidedBy, verdict }: typeof decisions.$inferSelect,
  teacher: Teacher,
  { student }: Own,
): Promise<void> {
  if (decidedBy === null || decidedBy === teacher.userId) return;
  const [other] = await tx.select({ name: user.name }).from(user).where(eq(user.id, decidedBy));
  throw new Refused(
    `${other?.name ?? 'A colleague'} has decided this already: ${student.name} is ${SAID_OF[verdict]}. It stands as they decided; what you wrote is kept.`,
  );
}

interface HowToDecide {
  /** Whether it stands though a nearly equal one was judged otherwise. */
  readonly isSure?: boolean;
  /** Whether the letter is kept until it is sent with others. */
  readonly holds?: boolean;
  /** Null where it is a deed that is taken back. */
  readonly note?: typeof noteDeed | null;
}

/** Decides about an attempt, and sends its letter unless that is held: from then on its words are frozen. */
export async function decide(
  house: House,
  teacher: Teacher,
  attemptId: string,
  verdict: Verdict,
  { isSure = true, holds = false, note = noteDeed }: HowToDecide = {},
): Promise<void> {
  if (!holds) refuseAssistant(teacher);
  const own = await attemptFor(house, teacher, attemptId);
  if (!isSure) await refuseUnlike(house, own, verdict);
  await house.db.transaction(async (tx) => {
    const state = await holdHandIn(tx, own.handIn.id);
    await refuseOlder(tx, own);
    const standing = await standingOf(tx, attemptId);
    // The same key pressed twice is one decision.
    if (standing?.verdict === verdict && (holds || state !== 'held')) {
      await refuseOthers(tx, standing, teacher, own);
      return;
    }
    if (standing && standing.verdict !== verdict) {
      await refuseOthers(tx, standing, teacher, own);
      throw new Refused('This attempt was decided already. Withdraw that decision first.');
    }
    const decision = { handInId: own.handIn.id, attemptId, verdict, decidedBy: teacher.userId };
    if (!standing) await tx.insert(decisions).values({ id: newId(), ...decision });
    if (!note) await writeDown(tx, teacher, 'decided', aboutHandIn(own));
    if (!holds) {
      await send(tx, own, verdict);
      await writeDown(tx, teacher, 'sent', aboutHandIn(own));
    }
    if (holds && !(await changeHandIn(tx, own.handIn.id, 'hold')))
      throw new Refused('There is nothing to decide here.');
    await note?.(tx, teacher, own, { did: 'decided', verdict, wasSent: !holds });
  });
}

/**
 * Sends a letter that was held; one that was sent already stays sent.
 *
 * @throws Refused where nothing is held, as where a newer picture came in.
 */
export async function sendHeld(
  house: House,
  teacher: Teacher,
  attemptId: string,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  refuseAssistant(teacher);
  const own = await attemptFor(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const state = await holdHandIn(tx, own.handIn.id);
    const standing = await standingOf(tx, attemptId);
    if (!standing)
      throw new Refused(`${own.student.name} has sent something new, or it was taken back: look at it once more.`);
    if (state !== 'held') return;
    await send(tx, own, standing.verdict);
    await note?.(tx, teacher, own, { did: 'sent', verdict: standing.verdict });
  });
}

const HANDED_IN_AGAIN = 'The student has handed in again: this decision stands.';

/** Takes the standing decision back, sent or held, as long as no later attempt came in. */
export async function withdraw(
  house: House,
  teacher: Teacher,
  attemptId: string,
  note: typeof noteDeed | null = noteDeed,
): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const state = await holdHandIn(tx, own.handIn.id);
    if (!(await isCurrent(tx, own))) throw new Refused(HANDED_IN_AGAIN);
    const standing = await standingOf(tx, attemptId);
    if (!standing) throw new Refused('There is no decision to withdraw.');
    if (state !== 'held') refuseAssistant(teacher);
    await tx.update(decisions).set({ withdrawnAt: new Date() }).where(eq(decisions.id, standing.id));
    await tx.update(critiques).set({ sentAt: null, letter: null }).where(eq(critiques.attemptId, attemptId));
    await changeHandIn(tx, own.handIn.id, 'withdraw');
    if (!note) await writeDown(tx, teacher, 'withdrew', aboutHandIn(own));
    await note?.(tx, teacher, own, { did: 'withdrew', verdict: standing.verdict, wasSent: state !== 'held' });
  });
}

/** Fetches a letter back that was sent: its decision is held again. Throws Refused where the student has acted on it. */
export async function fetchBack(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  refuseAssistant(teacher);
  const own = await attemptFor(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    await holdHandIn(tx, own.handIn.id);
    if (!(await isCurrent(tx, own))) throw new Refused(HANDED_IN_AGAIN);
    if ((await tx.select().from(replies).where(eq(replies.attemptId, attemptId))).length > 0)
      throw new Refused(`${own.student.name} has answered this letter already: it stands.`);
    if (!(await changeHandIn(tx, own.handIn.id, 'fetchBack'))) throw new Refused('This letter was not sent.');
    await writeDown(tx, teacher, 'fetched-back', aboutHandIn(own));
    await tx.update(critiques).set({ sentAt: null, letter: null }).where(eq(critiques.attemptId, attemptId));
  });
}
