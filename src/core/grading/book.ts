/** The grades of a class as tables: one to look over, and one with all that stands behind them. */
import type { RecordTable } from '../record/table';
import { type Grade, gradeWords, totalOf } from './scheme';

/** The grades of a try, with the figures that stood beside them, as they are read. */
export interface Graded {
  readonly studentId: string;
  readonly exerciseId: string;
  /** Which try it was, from 1. */
  readonly number: number;
  readonly grades: readonly (Grade & { readonly measured: string | null })[];
}

interface Named {
  readonly id: string;
  readonly name: string;
}
interface Titled {
  readonly id: string;
  readonly title: string;
}

/** All grades of a try in a few words: their sum where they have points, else each. */
export function inShort(grades: readonly Grade[]): string {
  const total = totalOf(grades);
  return total ? `${total.points} of ${total.most}` : grades.map(gradeWords).join('; ');
}

/** The last try of each student at an exercise that was graded. */
function lastGraded(graded: readonly Graded[]): ReadonlyMap<string, Graded> {
  const found = new Map<string, Graded>();
  for (const one of graded) {
    const key = `${one.studentId} ${one.exerciseId}`;
    if (one.number > (found.get(key)?.number ?? 0)) found.set(key, one);
  }
  return found;
}

/** A row a student, a column an exercise; null where nothing was graded. */
export function bookOf(
  graded: readonly Graded[],
  students: readonly Named[],
  exercises: readonly Titled[],
): RecordTable {
  const last = lastGraded(graded);
  return {
    title: 'Grades',
    columns: ['student', ...exercises.map((e) => e.title)],
    rows: students.map((s) => [
      s.name,
      ...exercises.map((e) => {
        const own = last.get(`${s.id} ${e.id}`);
        return own ? inShort(own.grades) : null;
      }),
    ]),
  };
}

/** A row a grade, with the figure that it was given beside. */
export function gradesInFull(
  graded: readonly Graded[],
  students: readonly Named[],
  exercises: readonly Titled[],
): RecordTable {
  return {
    title: 'Grades in full',
    columns: ['student', 'exercise', 'try', 'criterion', 'grade', 'points', 'of', 'measured then'],
    rows: graded.flatMap(({ studentId, exerciseId, number, grades }) => {
      const name = students.find((s) => s.id === studentId)?.name ?? '';
      const title = exercises.find((e) => e.id === exerciseId)?.title ?? '';
      return grades.map((g): RecordTable['rows'][number] => {
        const { points, most, measured } = g;
        return [name, title, number, g.name, gradeWords(g), points, most, measured];
      });
    }),
  };
}
