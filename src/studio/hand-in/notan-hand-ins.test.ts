/** Paintings measured against a picture, and readings of them that a teacher accepts. */
import { defaultTerms } from '@/core/kinds/table';
import { measurements, readings } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { attemptFor, NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { decide } from '../critique/deciding';
import { sitDownAt } from '../critique/sitting';
import { lastDeed, takeBack } from '../critique/taking-back';
import { setExercise } from '../plan/exercises';
import { keepPreparation, referenceFor } from '../reference/references';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { standingOf, tableOf, tonesOfAttempt } from '../views/table';
import { measureAttempt } from './measuring';
import { acceptReading, judgeAgain, measureAnew, takeReadingsBack } from './notan-hand-ins';

import { handedIn, paintedFrom } from '../test-picture';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

const itemsOf = async (attemptId: string) => (await saidOf(studio, attemptId)).map((i) => i.original.code);
/** Id of the first flipped shape. */
const flippedIn = async (attemptId: string) =>
  (await saidOf(studio, attemptId))
    .find((i) => i.original.code === 'flipped_shape')
    ?.original.key.split(' ')
    .at(-1) ?? '';

test('a painting is measured against the picture; a lost shape accepted for this one counts as right for this one alone', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom(studio);
  const [bea, ruta] = [await handedIn(studio, exerciseId), await handedIn(studio, exerciseId, studio.ruta, 120)];
  expect(await itemsOf(bea)).toContain('flipped_shape');
  const { handIn } = await attemptFor(house, teacher, bea);
  await sitDownAt(house, teacher, handIn.id);
  await acceptReading(house, teacher, bea, await flippedIn(bea), 'this');
  expect(await itemsOf(bea)).not.toContain('flipped_shape');
  expect(await standingOf(house, teacher, bea)).toBe('as-it-is');
  expect(await itemsOf(ruta)).toContain('flipped_shape');
  expect(await standingOf(house, teacher, ruta)).toBe('as-it-is');
  await expect(acceptReading(house, teacher, bea, '19.19', 'this')).rejects.toThrow(NotFound);
  // With whatever else was done in the evening it is taken back, and told again.
  const last = await lastDeed(house, teacher);
  expect(last?.say).toContain('the reading that was accepted for');
  await takeBack(house, teacher, last?.id ?? '');
  expect(await itemsOf(bea)).toContain('flipped_shape');
  await expect(takeBack(house, teacher, last?.id ?? '')).rejects.toThrow(NotFound);
});

test('accepted for everyone: earlier hand-ins say that they were measured before, and are judged by it when asked', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom(studio);
  const [bea, ruta] = [await handedIn(studio, exerciseId), await handedIn(studio, exerciseId, studio.ruta, 120)];
  await acceptReading(house, teacher, bea, await flippedIn(bea), 'everyone');
  expect(await standingOf(house, teacher, ruta)).toBe('other-readings');
  await judgeAgain(house, teacher, ruta);
  expect(await itemsOf(ruta)).not.toContain('flipped_shape');
  expect(await standingOf(house, teacher, ruta)).toBe('as-it-is');
  await takeReadingsBack(house, teacher, exerciseId);
  expect(await standingOf(house, teacher, ruta)).toBe('other-readings');
});

test('a critique that was sent is not judged again', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom(studio);
  const id = await handedIn(studio, exerciseId);
  await decide(house, teacher, id, 'pass');
  await expect(judgeAgain(house, teacher, id)).rejects.toThrow(Refused);
  await expect(measureAnew(house, teacher, id)).rejects.toThrow('was sent');
});

test('when the picture is prepared anew a hand-in says so, and measured anew it keeps its number and the teacher’s words', async () => {
  const { house, teacher } = studio;
  const { referenceId, exerciseId } = await paintedFrom(studio);
  const id = await handedIn(studio, exerciseId);
  const { preparation } = await referenceFor(house, teacher, referenceId);
  await keepPreparation(house, teacher, referenceId, { ...preparation, smooth: 1 }, null);
  expect(await standingOf(house, teacher, id)).toBe('other-reference');
  await measureAnew(house, teacher, id);
  await measureAttempt(house, id);
  expect(await standingOf(house, teacher, id)).toBe('as-it-is');
  const table = await tableOf(
    house,
    teacher,
    (await house.db.query.attempts.findFirst({ where: (a, { eq: same }) => same(a.id, id) }))?.handInId ?? '',
  );
  expect(table.attempts.map((a) => a.number)).toEqual([1]);
  expect(await tonesOfAttempt(house, teacher, id, 'drawn')).not.toBeNull();
});

test('without a picture to measure against a person judges by eye', async () => {
  const { house, teacher, classId } = studio;
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'From the set-up',
    note: '',
    dueAt: null,
    terms: defaultTerms('notan'),
  });
  const id = await studio.send(studio.bea, 90, exerciseId);
  await measureAttempt(house, id);
  expect(await house.db.select().from(measurements).where(eq(measurements.attemptId, id))).toEqual([]);
});

test('a deleted student takes tones and readings of their own along', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom(studio);
  // Of a size of its own: the same bytes of another test's student would rightly stay.
  const id = await handedIn(studio, exerciseId, studio.bea, 100, 34);
  await acceptReading(house, teacher, id, await flippedIn(id), 'this');
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, id));
  const [reading] = await house.db.select().from(readings).where(eq(readings.exerciseId, exerciseId));
  await deleteStudent(house, teacher, studio.bea.studentId);
  expect(await house.files.has(row?.against?.planes ?? '')).toBe(false);
  expect(await house.files.has(reading?.maskHash ?? '')).toBe(false);
});
