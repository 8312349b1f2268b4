/** Hand-ins of what is built up in stages: which stage comes next, and what the one before looked like. */
import type { HandInStage } from '@/core/kinds/kind';
import { handInStagesOf, kindOf } from '@/core/kinds/table';
import { attempts, measurements } from '@/data/schema/tables';
import { and, desc, eq } from 'drizzle-orm';
import type { House } from '../house';
import type { ToMeasure } from './to-measure';

/** The first stage that none of the tries that count shows; the last one where all are shown. */
export function nextStage(
  stages: readonly HandInStage[],
  tries: readonly { readonly stage: string | null; readonly state: string }[],
): HandInStage | null {
  const shown = new Set(tries.filter((t) => t.state !== 'refused' && t.state !== 'cancelled').map((t) => t.stage));
  return stages.find((s) => !shown.has(s.id)) ?? stages.at(-1) ?? null;
}

/** The stage of an attempt; null where its exercise has none. */
export const stageOfAttempt = ({ attempt, terms }: Pick<ToMeasure, 'attempt' | 'terms'>): HandInStage | null =>
  handInStagesOf(terms).find((s) => s.id === attempt.stage) ?? null;

/** What a stage was measured against; null where that was nothing but itself. */
type Picture = { readonly id: string; readonly revision: number } | null;

/**
 * The hash of what the stage before looked like on the reference's places: of the newest try that was measured against the same
 * picture; of a series the first panel. Null where there is none, or where that was a stain.
 */
export async function stageBefore(
  house: House,
  { attempt, handIn, terms }: ToMeasure,
  picture: Picture,
): Promise<string | null> {
  const stages = handInStagesOf(terms);
  const at = stages.findIndex((s) => s.id === attempt.stage);
  const before = kindOf(terms).againstItself === 'first-panel' && at > 0 ? stages[0] : stages[at - 1];
  if (!before || before.asks === 'even') return null;
  const rows = await house.db
    .select({ against: measurements.against })
    .from(measurements)
    .innerJoin(attempts, eq(measurements.attemptId, attempts.id))
    .where(and(eq(attempts.handInId, handIn.id), eq(attempts.stage, before.id), eq(attempts.state, 'measured')))
    .orderBy(desc(attempts.createdAt));
  const own = rows.find(({ against }) =>
    picture
      ? against?.reference === picture.id && against.revision === picture.revision && against.lightness
      : against?.kind === 'itself',
  );
  return own?.against?.lightness ?? null;
}
