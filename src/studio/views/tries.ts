/** The tries of a hand-in one after the other, with what changed from each to the next. */
import type { Figures, StepFigure } from '@/core/kinds/figures';
import { figureChanges, type FigureChange, stepsMoved } from '@/core/kinds/since-then';
import { attemptFigures, stepFigures } from '@/data/schema/tables';
import { asc, inArray } from 'drizzle-orm';
import type { House } from '../house';
import type { AttemptView } from './attempt';

export interface TryView {
  readonly attemptId: string;
  readonly number: number;
  readonly stage: string | null;
  readonly cameAt: Date;
  readonly verdict: AttemptView['verdict'];
  readonly hasStrip: boolean;
  readonly steps: readonly StepFigure[];
  readonly changes: readonly FigureChange[];
  /** Of a scale: steps that came closer to their targets than at the try before, and that went further from them. */
  readonly closer: readonly number[];
  readonly further: readonly number[];
}

/** Tries that count, each beside the last one before it of the same stage: two queries. */
export async function triesOf(house: House, attempts: readonly AttemptView[]): Promise<TryView[]> {
  const counted = attempts.flatMap((a) => (a.number === null ? [] : [{ ...a, number: a.number }]));
  if (counted.length < 2) return [];
  const ids = counted.map((a) => a.id);
  const figures = await house.db.select().from(attemptFigures).where(inArray(attemptFigures.attemptId, ids));
  const steps = await house.db
    .select()
    .from(stepFigures)
    .where(inArray(stepFigures.attemptId, ids))
    .orderBy(asc(stepFigures.step));
  const figuresOf = (id: string): Figures | null => figures.find((f) => f.attemptId === id) ?? null;
  const stepsOf = (id: string) => steps.filter((s) => s.attemptId === id);
  return counted.map((own, i): TryView => {
    const before = counted.slice(0, i).findLast((a) => a.stageId === own.stageId) ?? null;
    const now = figuresOf(own.id);
    return {
      attemptId: own.id,
      ...{ number: own.number, stage: own.stage, cameAt: own.createdAt, verdict: own.verdict, hasStrip: own.hasStrip },
      steps: stepsOf(own.id),
      changes: now ? figureChanges(before && figuresOf(before.id), now) : [],
      ...stepsMoved(before ? stepsOf(before.id) : [], stepsOf(own.id)),
    };
  });
}
