/** Where on a scale a class is off: every student's last try, step by step. */
import type { RecordTable } from './table';
import { meanOf, type Named } from './tried';

/** A step of a student's last try; `error` in steps, above 0 too light. */
export interface StepOfStudent {
  readonly studentId: string;
  readonly step: number;
  readonly error: number;
}

/**
 * A row a student with the error of each step, and the class's mean distance below them.
 * `labels` are what the class calls the steps, in reading order.
 */
export function stepMapOf(
  steps: readonly StepOfStudent[],
  students: readonly Named[],
  labels: readonly string[],
): RecordTable {
  const errorAt = new Map(steps.map((s) => [`${s.studentId} ${s.step}`, s.error]));
  const own = students
    .filter(({ id }) => steps.some((s) => s.studentId === id))
    .map(({ id, name }) => [name, ...labels.map((_, i) => errorAt.get(`${id} ${i + 1}`) ?? null)] as const);
  const distances = labels.map((_, i) => meanOf(steps.filter((s) => s.step === i + 1).map((s) => Math.abs(s.error))));
  return {
    title: 'Off by how many steps',
    columns: ['student', ...labels],
    rows:
      own.length === 0
        ? []
        : [...own.map((row) => [...row] as RecordTable['rows'][number]), ['the class together', ...distances]],
  };
}
