/** Hand-ins at a glance: a few queries for however many, of rows alone and never of what was measured whole. */
import type { Figures, StepFigure } from '@/core/kinds/figures';
import type { MeasuredKind } from '@/core/kinds/measured-result';
import { attemptFigures, attempts, exercises, handIns, type HandInState, stepFigures } from '@/data/schema/tables';
import { and, asc, desc, eq, inArray, min, or, type SQL, sql } from 'drizzle-orm';
import type { Reads } from '../house';

export interface Glance {
  readonly handInId: string;
  readonly studentId: string;
  readonly exerciseId: string;
  readonly state: HandInState;
  /** The attempt that counts; null where none does. */
  readonly attemptId: string | null;
  /** Its number; null of one that was refused and sent on all the same. */
  readonly attempt: number | null;
  readonly plea: string | null;
  readonly cameAt: Date | null;
  /** When the first one came that counts. */
  readonly firstAt: Date | null;
  readonly hasPreview: boolean;
  readonly hasStrip: boolean;
  /** Whether the last picture that came was refused, and nobody asks for it to be looked at. */
  readonly refused: boolean;
  readonly kind: MeasuredKind | null;
  readonly figures: (Figures & { readonly need: number }) | null;
  /** Steps of a scale; none where they were not asked for. */
  readonly steps: readonly StepFigure[];
}

/** What counts: it was measured, or the student asks for it to be looked at all the same. */
export const counts = or(
  eq(attempts.state, 'measured'),
  and(eq(attempts.state, 'refused'), sql`${attempts.plea} is not null`),
);

const { error, worst, bias, evenness, darkest, lightest, agreement, drawing, edges, need } = attemptFigures;
const figureColumns = { error, worst, bias, evenness, darkest, lightest, agreement, drawing, edges, need };

/** The newest attempts that count of some hand-ins. */
const currents = ({ db }: Reads, which: SQL | undefined) =>
  db
    .selectDistinctOn([attempts.handInId], {
      handInId: attempts.handInId,
      id: attempts.id,
      number: attempts.number,
      plea: attempts.plea,
      createdAt: attempts.createdAt,
      hasPreview: sql<boolean>`${attempts.previewHash} is not null`,
      hasStrip: sql<boolean>`${attempts.stripHash} is not null`,
      kind: attemptFigures.kind,
      figures: figureColumns,
    })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .leftJoin(attemptFigures, eq(attemptFigures.attemptId, attempts.id))
    .where(and(counts, which))
    .orderBy(attempts.handInId, desc(attempts.seq));

/** Hand-ins whose last picture was refused. */
const refusedOnes = ({ db }: Reads, which: SQL | undefined) =>
  db
    .selectDistinctOn([attempts.handInId], {
      handInId: attempts.handInId,
      isRefused: sql<boolean>`${attempts.state} = 'refused' and ${attempts.plea} is null`,
    })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(which)
    .orderBy(attempts.handInId, desc(attempts.seq));

const firsts = ({ db }: Reads, which: SQL | undefined) =>
  db
    .select({ handInId: attempts.handInId, at: min(attempts.createdAt) })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(counts, which))
    .groupBy(attempts.handInId);

async function stepsOf({ db }: Reads, attemptIds: readonly string[]): Promise<ReadonlyMap<string, StepFigure[]>> {
  const found = new Map<string, StepFigure[]>();
  if (attemptIds.length === 0) return found;
  const rows = await db
    .select()
    .from(stepFigures)
    .where(inArray(stepFigures.attemptId, [...attemptIds]))
    .orderBy(stepFigures.attemptId, asc(stepFigures.step));
  for (const { attemptId, ...step } of rows) found.set(attemptId, [...(found.get(attemptId) ?? []), step]);
  return found;
}

/** The same glances with the steps of those that are scales: one query more. */
export async function withSteps(house: Reads, glances: readonly Glance[]): Promise<Glance[]> {
  const steps = await stepsOf(
    house,
    glances.map((g) => g.attemptId).filter((id) => id !== null),
  );
  return glances.map((g) => ({ ...g, steps: (g.attemptId && steps.get(g.attemptId)) || [] }));
}

/**
 * Glances at hand-ins, without their steps.
 *
 * @param which - a condition on hand-ins and their exercises.
 */
export async function glancesAt(house: Reads, which: SQL | undefined): Promise<Glance[]> {
  const [rows, current, last, first] = await Promise.all([
    house.db
      .select({ handIn: handIns })
      .from(handIns)
      .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
      .where(which),
    currents(house, which),
    refusedOnes(house, which),
    firsts(house, which),
  ]);
  const currentOf = new Map(current.map((c) => [c.handInId, c]));
  const refused = new Set(last.filter((l) => l.isRefused).map((l) => l.handInId));
  const firstOf = new Map(first.map((f) => [f.handInId, f.at]));
  return rows.map(({ handIn }): Glance => {
    const own = currentOf.get(handIn.id);
    return {
      handInId: handIn.id,
      studentId: handIn.studentId,
      exerciseId: handIn.exerciseId,
      state: handIn.state,
      attemptId: own?.id ?? null,
      attempt: own?.number ?? null,
      plea: own?.plea ?? null,
      cameAt: own?.createdAt ?? null,
      firstAt: firstOf.get(handIn.id) ?? null,
      hasPreview: own?.hasPreview ?? false,
      hasStrip: own?.hasStrip ?? false,
      refused: refused.has(handIn.id),
      kind: own?.kind ?? null,
      figures: own?.figures ?? null,
      steps: [],
    };
  });
}
