/** Marks of a teacher: kept one by one, told to their student with the letter, and gone with them. */
import { marks } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { decide } from './deciding';
import { letterToPrint } from './letter-to-print';
import { drawMark, takeMarkBack } from './marking';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

const PIN = { kind: 'pin', on: 'painting', points: [[0.4, 0.5]], about: null, words: 'Soften this edge.' };
async function measured(): Promise<string> {
  const id = await studio.send(studio.bea, 10);
  await measureAttempt(studio.house, id);
  return id;
}
const seenByStudent = async () =>
  (await myExercise(studio.house, studio.bea, studio.exerciseId)).attempts[0]?.letter?.marks;

test('a mark is kept, taken back, and seen by the student with the letter alone', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const first = await drawMark(house, teacher, id, PIN);
  await drawMark(house, teacher, id, {
    ...PIN,
    kind: 'arrow',
    points: [
      [-0.3, 0.5],
      [0.4, 0.5],
    ],
    words: '',
  });
  expect(await seenByStudent()).toBeUndefined();
  await takeMarkBack(house, teacher, id, first);
  await decide(house, teacher, id, 'again');
  // What was begun beside the picture is brought to its edge.
  expect(await seenByStudent()).toMatchObject([
    {
      kind: 'arrow',
      points: [
        [0, 0.5],
        [0.4, 0.5],
      ],
    },
  ]);
  expect(await letterToPrint(house, studio.bea, id, 'a4')).toMatchObject({ letters: [{ marks: [{ number: 1 }] }] });
  await expect(drawMark(house, teacher, id, PIN)).rejects.toThrow(Refused);
});

test('a mark beside the picture, or of nobody’s own, is refused in words', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  await expect(drawMark(house, teacher, id, { ...PIN, points: [[2, 2]] })).rejects.toThrow('beside the picture');
  await expect(drawMark(house, { ...teacher, userId: 'other' }, id, PIN)).rejects.toThrow(NotFound);
  await expect(takeMarkBack(house, teacher, id, 'none')).rejects.toThrow(NotFound);
  await expect(drawMark(house, teacher, id, { ...PIN, kind: 'stamp' })).rejects.toThrow();
});

test('two tabs that draw at once both keep what they drew; a student takes all of it along', async () => {
  const { house, teacher, bea } = studio;
  const id = await measured();
  await Promise.all([1, 2, 3, 4].map((k) => drawMark(house, teacher, id, { ...PIN, words: `Mark ${k}` })));
  await decide(house, teacher, id, 'again');
  expect((await seenByStudent())?.map((m) => m.words).sort()).toEqual(['Mark 1', 'Mark 2', 'Mark 3', 'Mark 4']);
  await deleteStudent(house, teacher, bea.studentId);
  expect(await house.db.$count(marks, eq(marks.attemptId, id))).toBe(0);
});
