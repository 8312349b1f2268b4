/** What stands beside the criteria of a class at an attempt: what was measured, and what was given. */
import type { Criterion, Scheme } from '@/core/grading/scheme';
import { FIGURE_WORDS, readFigure } from '@/core/kinds/figure-words';
import type { Figures } from '@/core/kinds/figures';
import { attemptFigures, grades } from '@/data/schema/tables';
import { asc, eq, inArray } from 'drizzle-orm';
import type { Reads } from '../house';

export interface CriterionView {
  readonly criterion: Criterion;
  /** What was measured of it, as it is read; null where nothing was. */
  readonly measured: string | null;
  readonly given: { readonly points: number | null; readonly level: string | null } | null;
}

/** A figure as it is told beside a grade. */
export function sayFigure(key: keyof Figures, value: number): string {
  const { label, unit } = FIGURE_WORDS[key];
  return `${label}: ${readFigure(key, value)}${unit === '' ? '' : ` ${unit}`}`;
}

/** The criteria of a class with what was measured and given of an attempt; empty where it has none. */
export async function gradingOf({ db }: Reads, scheme: Scheme | null, attemptId: string): Promise<CriterionView[]> {
  if (!scheme) return [];
  const given = await db.select().from(grades).where(eq(grades.attemptId, attemptId));
  const [figures] = await db.select().from(attemptFigures).where(eq(attemptFigures.attemptId, attemptId));
  return scheme.criteria.map((criterion) => {
    const value = criterion.figure && figures ? figures[criterion.figure] : null;
    const own = given.find((g) => g.criterion === criterion.id);
    return {
      criterion,
      measured: criterion.figure && value !== null ? sayFigure(criterion.figure, value) : null,
      given: own ? { points: own.points, level: own.level } : null,
    };
  });
}

/** Grades of some attempts, in the order of their criteria: one query. */
export const gradesOf = ({ db }: Reads, attemptIds: readonly string[]) =>
  db
    .select()
    .from(grades)
    .where(inArray(grades.attemptId, [...attemptIds, '']))
    .orderBy(asc(grades.givenAt), asc(grades.criterion));
