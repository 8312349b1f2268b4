/** Keeps what counts of measurements as rows, and makes those anew that are missing or from before. */
import { draftOf } from '@/core/kinds/draft';
import { type FiguresOfAttempt, figuresOf, FIGURES_VERSION } from '@/core/kinds/figures';
import type { MeasuredResult } from '@/core/kinds/measured-result';
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { Transaction } from '@/data/database/engine';
import {
  attemptFindings,
  attemptFigures,
  attempts,
  chipFigures,
  exercises,
  handIns,
  measurements,
  stepFigures,
} from '@/data/schema/tables';
import { eq, isNull, lt, or } from 'drizzle-orm';
import type { House } from '../house';

/** The class's words do not matter for what counts. */
const figuresFor = (result: MeasuredResult, terms: ExerciseTerms): FiguresOfAttempt =>
  figuresOf(result, draftOf(result, terms, 'white-is-one'));

/** Keeps the figures of an attempt in place of those there are. */
export async function keepFigures(
  tx: Transaction,
  attemptId: string,
  result: MeasuredResult,
  terms: ExerciseTerms,
): Promise<void> {
  const { steps, chips, findings, ...figures } = figuresFor(result, terms);
  for (const table of [attemptFindings, stepFigures, chipFigures, attemptFigures])
    await tx.delete(table).where(eq(table.attemptId, attemptId));
  await tx.insert(attemptFigures).values({ attemptId, version: FIGURES_VERSION, ...figures });
  const told = findings.map((finding, place) => ({ attemptId, place, ...finding, steps: [...finding.steps] }));
  if (told.length > 0) await tx.insert(attemptFindings).values(told);
  const read = steps.map((s) => ({ attemptId, ...s, flags: [...s.flags], gapFlags: [...s.gapFlags] }));
  if (read.length > 0) await tx.insert(stepFigures).values(read);
  if (chips.length > 0) await tx.insert(chipFigures).values(chips.map((chip) => ({ attemptId, ...chip })));
}

/** Measurements that are looked at in one go, so that others come in between. */
const AT_ONCE = 20;

/** Makes the figures that are missing, as those of rows from before there were any; returns how many it made. */
export async function fillFigures(house: House): Promise<number> {
  let made = 0;
  for (;;) {
    const old = await house.db
      .select({ attemptId: measurements.attemptId })
      .from(measurements)
      .leftJoin(attemptFigures, eq(attemptFigures.attemptId, measurements.attemptId))
      .where(or(isNull(attemptFigures.attemptId), lt(attemptFigures.version, FIGURES_VERSION)))
      .orderBy(measurements.createdAt)
      .limit(AT_ONCE);
    if (old.length === 0) return made;
    for (const { attemptId } of old) await house.db.transaction((tx) => makeFigures(tx, attemptId));
    made += old.length;
  }
}

/** Makes the figures of an attempt from what was measured of it; none of what was not. */
export async function makeFigures(tx: Transaction, attemptId: string): Promise<void> {
  const [row] = await tx
    .select({ result: measurements.result, terms: attempts.terms, exercise: exercises.terms })
    .from(measurements)
    .innerJoin(attempts, eq(measurements.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(eq(measurements.attemptId, attemptId))
    .for('update', { of: measurements });
  if (row) await keepFigures(tx, attemptId, row.result, row.terms ?? row.exercise);
}
