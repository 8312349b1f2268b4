/** Grades by a scheme: a person gives them, what was measured is kept beside, and nothing is graded by itself. */
import type { Scheme } from '@/core/grading/scheme';
import { grades, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import type { Student } from '../access/actor';
import { changeNote, notesOn, writeNote } from '../class/notes';
import { decide } from '../critique/deciding';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { gradingOf } from '../views/grading';
import { myExercise } from '../views/my-work';
import { classResults, gradeBook } from '../views/results';
import { grade, setScheme } from './grading';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

const LEVELS = [
  { name: 'begun', words: 'Some steps stand apart.', points: 1 },
  { name: 'secure', words: 'Every step is told from the next.', points: 4 },
];
const SCHEME: Scheme = {
  version: 1,
  shown: true,
  criteria: [
    { id: 'even', name: 'Even steps', figure: 'evenness', by: { kind: 'points', most: 10 } },
    { id: 'hand', name: 'Care', figure: null, by: { kind: 'levels', levels: LEVELS } },
  ],
};

async function handedIn(student: Student, shade: number): Promise<string> {
  const id = await studio.send(student, shade);
  await measureAttempt(studio.house, id);
  return id;
}
const book = async () => (await gradeBook(studio.house, studio.teacher, studio.classId)).book.rows;

test('nothing is graded until somebody does, and each grade keeps what was measured then', async () => {
  const { house, teacher, classId, bea } = studio;
  const id = await handedIn(bea, 31);
  await expect(grade(house, teacher, id, 'even', { kind: 'points', points: 3 })).rejects.toThrow();
  await setScheme(house, teacher, classId, SCHEME);
  const before = await gradingOf(house, SCHEME, id);
  expect(before.map((c) => c.given)).toEqual([null, null]);
  expect(before[0]?.measured).toMatch(/^unevenness of the gaps: \d/);
  expect(await book()).toEqual([['Bea Lindqvarn'], ['Ruta Vane']]);

  await grade(house, teacher, id, 'even', { kind: 'points', points: 7.5 });
  await grade(house, teacher, id, 'hand', { kind: 'level', level: 'secure' });
  expect(await book()).toEqual([
    ['Bea Lindqvarn', '11.5 of 14'],
    ['Ruta Vane', null],
  ]);
  const [row] = await house.db.select().from(grades).where(eq(grades.criterion, 'even'));
  expect(row).toMatchObject({ figure: 'evenness', name: 'Even steps', most: 10, givenBy: teacher.userId });
  expect(row?.measuredAt).toBeInstanceOf(Date);
  // What was given stays as it was when the scheme changes.
  await setScheme(house, teacher, classId, { ...SCHEME, criteria: SCHEME.criteria.slice(1) });
  expect(await book()).toEqual([
    ['Bea Lindqvarn', '11.5 of 14'],
    ['Ruta Vane', null],
  ]);
  await grade(house, teacher, id, 'hand', null);
  expect((await book())[0]).toEqual(['Bea Lindqvarn', '7.5 of 10']);
});

test.each([
  ['even', { kind: 'points', points: 11 }, '10 points at most'],
  ['even', { kind: 'level', level: 'secure' }, 'graded in points'],
  ['hand', { kind: 'level', level: 'splendid' }, 'one of the steps'],
  ['even', { kind: 'points', points: -1 }, 'begin at nought'],
])('a grade by %s that does not fit is told: %j', async (criterion, given, says) => {
  const { house, teacher, classId, bea } = studio;
  await setScheme(house, teacher, classId, SCHEME);
  await expect(grade(house, teacher, await handedIn(bea, 32), criterion, given)).rejects.toThrow(says);
});

test('a student sees grades with the letter, where the class shows them, and never before', async () => {
  const { house, teacher, classId, bea, exerciseId } = studio;
  await setScheme(house, teacher, classId, SCHEME);
  const id = await handedIn(bea, 33);
  await grade(house, teacher, id, 'even', { kind: 'points', points: 8 });
  const seen = async () => (await myExercise(house, bea, exerciseId)).attempts[0]?.grades;
  expect(await seen()).toEqual([]);
  await decide(house, teacher, id, 'pass');
  expect(await seen()).toEqual([{ name: 'Even steps', words: '8 of 10' }]);
  await setScheme(house, teacher, classId, { ...SCHEME, shown: false });
  expect(await seen()).toEqual([]);
});

test('results: a row a student and an exercise, with what became of it and what was measured', async () => {
  const { house, teacher, classId, bea } = studio;
  const id = await handedIn(bea, 34);
  await decide(house, teacher, id, 'again');
  const { columns, rows } = await classResults(house, teacher, classId);
  const at = (row: (typeof rows)[number] | undefined, name: string) => row?.[columns.indexOf(name)];
  const [first, second] = rows;
  expect([at(first, 'student'), at(first, 'state'), at(first, 'tries')]).toEqual(['Bea Lindqvarn', 'once more', 1]);
  expect(typeof at(first, 'off, on the whole')).toBe('number');
  expect([at(second, 'student'), at(second, 'state'), at(second, 'off, on the whole')]).toEqual([
    'Ruta Vane',
    'nothing yet',
    null,
  ]);
});

test('notes are for those who teach: kept, changed, and told where two write at once', async () => {
  const { house, teacher, bea } = studio;
  await writeNote(house, teacher, bea.studentId, 'Paints with the left hand.');
  await expect(writeNote(house, teacher, bea.studentId, '  ')).rejects.toThrow('Write something down');
  const [note] = await notesOn(house, teacher, bea.studentId);
  expect(note).toMatchObject({ by: 'Hesper Dunnock', written: 0 });
  const id = note?.id ?? '';
  await changeNote(house, teacher, bea.studentId, id, 'Left-handed.', 0);
  await expect(changeNote(house, teacher, bea.studentId, id, 'Right-handed.', 0)).rejects.toThrow('somewhere else');
  await house.db.update(user).set({ name: 'Hesper D.' }).where(eq(user.id, teacher.userId));
  expect((await notesOn(house, teacher, bea.studentId))[0]).toMatchObject({ text: 'Left-handed.', by: 'Hesper D.' });
  await changeNote(house, teacher, bea.studentId, id, '', 1);
  expect(await notesOn(house, teacher, bea.studentId)).toEqual([]);
});
