/** After how many tries an exercise was passed. */
import type { RecordTable } from './table';
import type { Titled, Tried } from './tried';

/** A row an exercise: how many passed at the first try, at the second, later, and not yet. */
export function passesOf(tried: readonly Tried[], exercises: readonly Titled[]): RecordTable {
  const rows = exercises.flatMap(({ id, title }): RecordTable['rows'] => {
    const here = tried.filter((t) => t.exerciseId === id);
    const students = [...new Set(here.map((t) => t.studentId))];
    if (students.length === 0) return [];
    const passedAt = students.map((s) => here.find((t) => t.studentId === s && t.verdict === 'pass')?.number ?? null);
    const count = (is: (n: number | null) => boolean) => passedAt.filter(is).length;
    return [
      [
        title,
        count((n) => n === 1),
        count((n) => n === 2),
        count((n) => n !== null && n > 2),
        count((n) => n === null),
      ],
    ];
  });
  return {
    title: 'Tries until it was passed',
    columns: ['exercise', 'first try', 'second try', 'later', 'not yet'],
    rows,
  };
}
