/** Every change of state that there is of a hand-in and of its attempts. Nothing else changes one. */
import type { Transaction } from '@/data/database/engine';
import { attempts, type AttemptState, handIns, type HandInState } from '@/data/schema/tables';
import { and, eq, inArray } from 'drizzle-orm';

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
  wait: { from: ['open', 'waiting', 'again'], to: 'waiting' },
  pass: { from: ['waiting'], to: 'passed' },
  again: { from: ['waiting'], to: 'again' },
  withdraw: { from: ['passed', 'again'], to: 'waiting' },
} as const satisfies Record<string, Change<HandInState>>;
export type HandInChange = keyof typeof HAND_IN_CHANGES;

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
