/** Tries of a class, from rows alone. */
import type { MeasuredKind } from '@/core/kinds/measured-result';
import type { Tried } from '@/core/record/tried';
import { attemptFigures, attempts, decisions, exercises, handIns } from '@/data/schema/tables';
import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { House } from '../house';

export type TriedHere = Tried & { readonly attemptId: string; readonly kind: MeasuredKind; readonly cameAt: Date };

/** Hand-ins of a class, or of one student in it. */
export const handedInBy = (classId: string, studentId: string | null) =>
  and(eq(exercises.classId, classId), studentId === null ? undefined : eq(handIns.studentId, studentId));

/** Every try of a class, or of one student in it, that counts, with its standing verdict: one query. */
export async function triesOfClass(
  house: House,
  classId: string,
  studentId: string | null = null,
): Promise<TriedHere[]> {
  const rows = await house.db
    .select({
      attemptId: attempts.id,
      studentId: handIns.studentId,
      exerciseId: handIns.exerciseId,
      number: attempts.number,
      kind: attemptFigures.kind,
      verdict: decisions.verdict,
      cameAt: attempts.createdAt,
      figures: attemptFigures,
    })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(attemptFigures, eq(attemptFigures.attemptId, attempts.id))
    .leftJoin(decisions, and(eq(decisions.attemptId, attempts.id), isNull(decisions.withdrawnAt)))
    .where(and(handedInBy(classId, studentId), eq(attempts.state, 'measured'), isNotNull(attempts.number)))
    .orderBy(asc(attempts.seq));
  return rows.map(({ number, ...row }) => ({ ...row, number: number ?? 0 }));
}
