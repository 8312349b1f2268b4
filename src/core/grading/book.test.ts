import { bookOf, type Graded, gradesInFull, inShort } from './book';

const students = [
  { id: 'b', name: 'Bea Lindqvarn' },
  { id: 'r', name: 'Ruta Vane' },
];
const exercises = [{ id: 'e', title: 'Five greys' }];
const points = (given: number) => ({ name: 'Even steps', points: given, most: 10, level: null, measured: 'gaps: 0.2' });
const step = { name: 'Care', points: null, most: null, level: 'secure', measured: null };
const graded = (number: number, grades: Graded['grades']): Graded => ({
  ...{ studentId: 'b', exerciseId: 'e', number, grades },
});

test('the book shows the last try that was graded: its sum, or its steps in words', () => {
  const all = [graded(1, [points(9)]), graded(2, [points(4), step])];
  expect(bookOf(all, students, exercises).rows).toEqual([
    ['Bea Lindqvarn', '4 of 10'],
    ['Ruta Vane', null],
  ]);
  expect(inShort([step])).toBe('secure');
});

test('in full every grade of every try has its row, with what was measured then', () => {
  const { columns, rows } = gradesInFull([graded(1, [points(9), step])], students, exercises);
  expect(columns).toHaveLength(8);
  expect(rows).toEqual([
    ['Bea Lindqvarn', 'Five greys', 1, 'Even steps', '9 of 10', 9, 10, 'gaps: 0.2'],
    ['Bea Lindqvarn', 'Five greys', 1, 'Care', 'secure', null, null, null],
  ]);
});
