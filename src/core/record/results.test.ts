import { FIGURE_KEYS } from '../kinds/figure-words';
import type { Figures } from '../kinds/figures';
import { type ResultRow, resultsOf } from './results';

const NOTHING = Object.fromEntries(FIGURE_KEYS.map((key) => [key, null])) as unknown as Figures;
const row = (more: Partial<ResultRow> = {}): ResultRow => ({
  ...{ student: 'Bea Lindqvarn', exercise: 'Five greys', state: 'waits', date: 'late', daysLate: 2, tries: 1 },
  ...{ figures: null, grades: null, ...more },
});

test('every row has a cell for every column, whatever is known of it', () => {
  const { columns, rows } = resultsOf([row(), row({ figures: { ...NOTHING, error: 0.4, bias: -0.1 } })]);
  expect(rows.map((r) => r.length)).toEqual([columns.length, columns.length]);
  const at = (name: string) => rows[1]?.[columns.indexOf(name)];
  expect([at('off, on the whole'), at('too light or too dark'), at('darkest')]).toEqual([0.4, -0.1, null]);
  expect([at('date'), at('days late')]).toEqual(['late', 2]);
});

test('an exercise without a date says nothing of one', () => {
  const { columns, rows } = resultsOf([row({ date: 'no-date', daysLate: 0 })]);
  expect(rows[0]?.[columns.indexOf('date')]).toBe('');
});
