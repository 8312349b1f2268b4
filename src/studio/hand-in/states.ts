/** Every change of state that there is of a hand-in and of its attempts. Nothing else changes one. */
import type { Transaction } from '@/data/database/engine';
import { attempts, type AttemptState, critiques, decisions, handIns, type HandInState } from '@/data/schema/tables';
import { and, eq, inArray, isNotNull, isNull, notExists } from 'drizzle-orm';

interface Change<State> {
  readonly from: readonly State[];
  readonly to: State;
}

export const ATTEMPT_CHANGES = {
  /** A process takes it to measure it, perhaps from one that ended. */
  begin: { from: ['received', 'queued', 'measuring'], to: 'measuring' },
  handBack: { from: ['received', 'measuring', 'queued'], to: 'queued' },
  measure: { from: ['measuring'], to: 'measured' },
  refuse: { from: ['measuring'], to: 'refused' },
  fail: { from: ['received', 'queued', 'measuring'], to: 'failed' },
  cancel: { from: ['received', 'queued', 'measuring'], to: 'cancelled' },
  tryAgain: { from: ['failed', 'cancelled'], to: 'queued' },
  measureAnew: { from: ['measured'], to: 'queued' },
} as const satisfies Record<string, Change<AttemptState>>;
export type AttemptChange = keyof typeof ATTEMPT_CHANGES;

export const HAND_IN_CHANGES = {
  /** A photograph came that counts; what is passed stays so. */
  wait: { from: ['open', 'waiting', 'held', 'again'], to: 'waiting' },
  /** Decided; the letter is not sent yet, and the student does not see it. */
  hold: { from: ['waiting'], to: 'held' },
  pass: { from: ['waiting', 'held'], to: 'passed' },
  again: { from: ['waiting', 'held'], to: 'again' },
  withdraw: { from: ['held', 'passed', 'again'], to: 'waiting' },
  /** A letter is fetched back before it was read. */
  fetchBack: { from: ['passed', 'again'], to: 'held' },
} as const satisfies Record<string, Change<HandInState>>;
export type HandInChange = keyof typeof HAND_IN_CHANGES;

/** What a student sees of a state: what was decided and not sent yet waits still. */
export const shownToStudent = (state: HandInState): Exclude<HandInState, 'held'> =>
  state === 'held' ? 'waiting' : state;

type Attempt = typeof attempts.$inferSelect;

/**
 * Changes an attempt, and some of its columns with it; null where it is in no state to be changed so, or is no longer had by
 * the turn that asks.
 */
export async function changeAttempt(
  tx: Pick<Transaction, 'update'>,
  id: string,
  change: AttemptChange,
  also: Partial<Pick<Attempt, 'trouble' | 'number' | 'frameIsDark'>> = {},
  turn?: number,
): Promise<Attempt | null> {
  const { from, to } = ATTEMPT_CHANGES[change];
  const own = turn === undefined ? [] : [eq(attempts.turn, turn)];
  const [changed] = await tx
    .update(attempts)
    .set({ ...also, state: to, changedAt: new Date() })
    .where(and(eq(attempts.id, id), inArray(attempts.state, [...from]), ...own))
    .returning();
  return changed ?? null;
}

/** Changes a hand-in; null where it is in no state to be changed so. */
export async function changeHandIn(
  tx: Pick<Transaction, 'update'>,
  id: string,
  change: HandInChange,
): Promise<HandInState | null> {
  const { from, to } = HAND_IN_CHANGES[change];
  const [changed] = await tx
    .update(handIns)
    .set({ state: to })
    .where(and(eq(handIns.id, id), inArray(handIns.state, [...from])))
    .returning({ state: handIns.state });
  return changed?.state ?? null;
}

/** Holds a hand-in until the transaction ends: whoever decides about it or adds to it waits. */
export async function holdHandIn(tx: Transaction, id: string): Promise<HandInState | null> {
  const [held] = await tx.select({ state: handIns.state }).from(handIns).where(eq(handIns.id, id)).for('update');
  return held?.state ?? null;
}

/**
 * Something came that the teacher is to look at. A decision that was held for what lay there before is taken back: it was not sent,
 * and is about another picture.
 */
export async function waitForTeacher(tx: Transaction, id: string): Promise<void> {
  const sent = tx
    .select()
    .from(critiques)
    .where(and(eq(critiques.attemptId, decisions.attemptId), isNotNull(critiques.sentAt)));
  await tx
    .update(decisions)
    .set({ withdrawnAt: new Date() })
    .where(and(eq(decisions.handInId, id), isNull(decisions.withdrawnAt), notExists(sent)));
  await changeHandIn(tx, id, 'wait');
}
