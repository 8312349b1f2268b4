/** Hand-ins of one exercise that are nearly equal by what was measured, and were judged otherwise: told before anything is sent. */
import { apartBy, NEAR_STEPS } from '@/core/kinds/alike';
import type { Verdict } from '@/core/critique/verdict';
import { attempts, decisions, handIns, students } from '@/data/schema/tables';
import { and, desc, eq, isNull, ne } from 'drizzle-orm';
import type { Reads } from '../house';
import { type Measured, measuredOfAll } from './measured';

export interface Alike {
  readonly attemptId: string;
  readonly handInId: string;
  readonly student: string;
  readonly verdict: Verdict;
  readonly measured: Measured;
}

/** Shown beside one hand-in at the most: the nearest. */
const MOST = 2;

/**
 * Decided hand-ins of others at the exercise that are nearly equal to a measured attempt at the same stage, the nearest first; of
 * each student the newest decision.
 */
export async function alikeOf(
  house: Reads,
  {
    exerciseId,
    handInId,
    stage,
  }: { readonly exerciseId: string; readonly handInId: string; readonly stage: string | null },
  measured: Measured | null,
): Promise<Alike[]> {
  if (!measured) return [];
  const decided = await house.db
    .select({
      attemptId: attempts.id,
      handInId: handIns.id,
      student: students.name,
      verdict: decisions.verdict,
      stage: attempts.stage,
    })
    .from(decisions)
    .innerJoin(attempts, eq(decisions.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(and(eq(handIns.exerciseId, exerciseId), ne(handIns.id, handInId), isNull(decisions.withdrawnAt)))
    .orderBy(desc(attempts.seq));
  const newest = decided.filter(
    (d, k) => d.stage === stage && decided.findIndex((o) => o.handInId === d.handInId && o.stage === stage) === k,
  );
  const results = await measuredOfAll(
    house,
    newest.map((d) => d.attemptId),
  );
  return newest
    .flatMap(({ stage: _stage, ...own }) => {
      const read = results.get(own.attemptId);
      const apart = read ? apartBy(measured.result, read.result) : null;
      return read && apart !== null && apart <= NEAR_STEPS ? [{ ...own, measured: read, apart }] : [];
    })
    .sort((a, b) => a.apart - b.apart)
    .slice(0, MOST)
    .map(({ apart: _apart, ...own }) => own);
}
