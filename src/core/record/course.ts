/** How a figure went over a term: the class's mean at each exercise, and one student beside it. */
import type { RecordTable } from './table';
import { type CourseKey, firstAndLast, meanOf, type Named, type Titled, type Tried, valueOf } from './tried';

/**
 * A row an exercise at which anybody has such a figure: the class's mean of first and of last tries, and the same of one student.
 * `label` is what the figure is called.
 */
export function courseOf(
  tried: readonly Tried[],
  exercises: readonly Titled[],
  key: CourseKey,
  label: string,
  student: Named | null,
): RecordTable {
  const pairs = firstAndLast(tried);
  const rows = exercises.flatMap(({ id, title }): RecordTable['rows'] => {
    const here = pairs.filter(({ first }) => first.exerciseId === id);
    const mean = (which: 'first' | 'last') => meanOf(here.map((pair) => valueOf(key, pair[which].figures)));
    const first = mean('first');
    if (first === null && mean('last') === null) return [];
    const own = student && here.find((pair) => pair.first.studentId === student.id);
    const ofOwn = (which: 'first' | 'last') => (own ? valueOf(key, own[which].figures) : null);
    return [[title, first, mean('last'), ...(student ? [ofOwn('first'), ofOwn('last')] : [])]];
  });
  const columns = ['exercise', 'class, first try', 'class, last try'];
  return {
    title: label,
    columns: student ? [...columns, `${student.name}, first try`, `${student.name}, last try`] : columns,
    rows,
  };
}
