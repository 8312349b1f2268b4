/** The results of a class as one table: a row a student and an exercise, whatever became of it. */
import { FIGURE_KEYS, FIGURE_WORDS } from '../kinds/figure-words';
import type { Figures } from '../kinds/figures';
import type { DateKind } from '../planning/deadline';
import type { RecordTable } from './table';

export interface ResultRow {
  readonly student: string;
  readonly exercise: string;
  readonly state: 'nothing yet' | 'waits' | 'once more' | 'passed';
  readonly date: DateKind;
  /** Days; 0 of what was not late. */
  readonly daysLate: number;
  readonly tries: number;
  /** Of the last try that counts; null where nothing was measured. */
  readonly figures: Figures | null;
  /** Grades in a few words; null where there are none. */
  readonly grades: string | null;
}

const DATE_WORDS: Readonly<Record<DateKind, string>> = {
  excused: 'excused',
  'no-date': '',
  'to-come': 'to come',
  'in-time': 'in time',
  late: 'late',
  missing: 'missing',
};

/** Figures are written as they are kept: steps, L*, and shares. */
export function resultsOf(rows: readonly ResultRow[]): RecordTable {
  return {
    title: 'Results',
    columns: [
      ...['student', 'exercise', 'state', 'date', 'days late', 'tries', 'grades'],
      ...FIGURE_KEYS.map((key) => FIGURE_WORDS[key].label),
    ],
    rows: rows.map((row): RecordTable['rows'][number] => [
      row.student,
      ...[row.exercise, row.state, DATE_WORDS[row.date], row.daysLate, row.tries, row.grades],
      ...FIGURE_KEYS.map((key) => row.figures?.[key] ?? null),
    ]),
  };
}
