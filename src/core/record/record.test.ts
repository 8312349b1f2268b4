/** Tables of the record, beside what a person counts by hand. */
import { tableToCsv } from '../formats/table-csv';
import type { Figures } from '../kinds/figures';
import { colourBiasOf } from './colour-bias';
import { courseOf } from './course';
import { passesOf } from './passes';
import { stepMapOf } from './step-map';
import type { Tried } from './tried';

const NONE: Figures = {
  ...{ error: null, worst: null, bias: null, evenness: null, darkest: null, lightest: null },
  ...{ agreement: null, drawing: null, edges: null },
};
const tried = (
  studentId: string,
  exerciseId: string,
  number: number,
  verdict: Tried['verdict'],
  figures: Partial<Figures> = {},
): Tried => ({ studentId, exerciseId, number, verdict, figures: { ...NONE, ...figures } });
const EXERCISES = [
  { id: 'x', title: 'Nine greys' },
  { id: 'y', title: 'Notan' },
  { id: 'z', title: 'Nothing yet' },
];
const BEA = { id: 'bea', name: 'Bea' };

test('the course: means of first and last tries, and one student beside them', () => {
  const all = [
    tried('bea', 'x', 1, 'again', { error: 0.8, lightest: 95, darkest: 35 }),
    tried('bea', 'x', 2, 'again', { error: 0.6, lightest: 95, darkest: 30 }),
    tried('bea', 'x', 3, 'pass', { error: 0.2, lightest: 95, darkest: 25 }),
    tried('ivo', 'x', 1, 'pass', { error: 0.4, lightest: 93, darkest: 23 }),
    tried('ivo', 'y', 1, null, { agreement: 0.9 }),
  ];
  expect(courseOf(all, EXERCISES, 'error', 'Off', BEA).rows).toEqual([
    ['Nine greys', expect.closeTo(0.6), expect.closeTo(0.3), 0.8, 0.2],
  ]);
  expect(courseOf(all, EXERCISES, 'range', 'Range', null).rows).toEqual([['Nine greys', 65, 70]]);
  expect(courseOf(all, EXERCISES, 'agreement', 'Agreement', BEA).rows).toEqual([['Notan', 0.9, 0.9, null, null]]);
});

test('tries until it was passed', () => {
  const all = [
    ...[tried('a', 'x', 1, 'pass'), tried('b', 'x', 1, 'again'), tried('b', 'x', 2, 'pass')],
    ...[tried('c', 'x', 1, 'again'), tried('c', 'x', 2, 'again'), tried('c', 'x', 3, 'pass')],
    ...[tried('d', 'x', 1, null), tried('e', 'y', 1, 'again')],
  ];
  expect(passesOf(all, EXERCISES).rows).toEqual([
    ['Nine greys', 1, 1, 1, 1],
    ['Notan', 0, 0, 0, 1],
  ]);
});

test('the map of steps: signs of each student, distances of the class', () => {
  const steps = [
    { studentId: 'bea', step: 1, error: 0.1 },
    { studentId: 'bea', step: 2, error: -0.7 },
    { studentId: 'ivo', step: 2, error: 0.5 },
  ];
  const students = [BEA, { id: 'ivo', name: 'Ivo' }, { id: 'nobody', name: 'Nobody' }];
  expect(stepMapOf(steps, students, ['1', '2', '3']).rows).toEqual([
    ['Bea', 0.1, -0.7, null],
    ['Ivo', null, 0.5, null],
    ['the class together', 0.1, expect.closeTo(0.6), null],
  ]);
  expect(stepMapOf([], students, ['1']).rows).toEqual([]);
});

test('colours apart from greys', () => {
  const chips = [
    { what: 'grey' as const, error: 0.1 },
    { what: 'grey' as const, error: -0.1 },
    { what: 'pure' as const, error: 1 },
  ];
  expect(colourBiasOf(chips).rows).toEqual([
    ['greys', 2, 0, 0.1],
    ['pure colours', 1, 1, 1],
  ]);
});

test('a table as CSV holds no formula, and numbers stay numbers', () => {
  const table = {
    title: '',
    columns: ['student', 'off'],
    rows: [
      ['=HYPERLINK("x")', -0.123456],
      ['-1+1', null],
      ['Bea, “B”', 12],
    ] as const,
  };
  expect(tableToCsv(table)).toBe('student,off\n"\'=HYPERLINK(""x"")",-0.1235\n"\'-1+1",\n"Bea, “B”",12\n');
});
