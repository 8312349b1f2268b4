/** Set-ups from life, and paintings judged by masses that were painted on them. */
import { defaultTerms } from '@/core/kinds/table';
import { judgePainting } from '@/core/notan/judge-painting';
import { type NotanResult } from '@/core/notan/result';
import { sampleNotan } from '@/core/notan/sample-result';
import { setUpSchema, type SetUp } from '@/core/reference/set-up';
import { massSchema } from '@/core/tones/mass';
import { planesToPng } from '@/workers/decoding/planes';
import { attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import { decide } from '../critique/deciding';
import { sitDownAt } from '../critique/sitting';
import { measureAttempt } from '../hand-in/measuring';
import { acceptReading, judgeAgain, setFrameIsDark } from '../hand-in/notan-hand-ins';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, saidOf, takenBack, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { standingOf, tableOf } from '../views/table';
import { dropSetUp, keepNewSetUp, keepSetUp, paintMasses, setUpFor, setUpsOf, usesOfSetUp } from './set-ups';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

const [W, H] = [120, 100];
/** A dark jug on a light ground. */
const drawn = {
  width: W,
  height: H,
  toneOf: Uint8Array.from({ length: W * H }, (_, i) =>
    i % W >= 40 && i % W < 80 && i >= 30 * W && i < 80 * W ? 3 : 1,
  ),
};
const words = { title: 'Jug', note: 'by the window' };
const setUp = (from: number, to: number): SetUp =>
  setUpSchema.parse({
    version: 1,
    lights: 1,
    tones: 3,
    masses: [
      { id: 'jug', ...massSchema.parse({ name: 'jug > lit side', emphasis: 1, steps: { from, to, of: 3 } }) },
      { id: 'ground', ...massSchema.parse({ name: 'ground', emphasis: 1 }) },
    ],
  });
const press = { kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' };

async function asRead(frame: NotanResult['frame'] = null) {
  const judged = judgePainting({
    drawn,
    reference: null,
    readings: [],
    named: null,
    tones: [94, null, 25].map((lightness) => ({ lightness, spread: lightness && 1 })),
    targets: [94, 60, 25],
  });
  const result = sampleNotan({
    ...judged,
    shapes: { large: 2, middle: 0, small: 0, largest: 0.8, variety: null, slivers: 0, ragged: 0.1 },
    frame,
    targets: null,
  });
  const nothing = new Uint8Array(W * H);
  return {
    result,
    planes: await planesToPng({ wanted: { ...drawn, toneOf: nothing }, drawn, nameOf: nothing }),
    names: [],
    lightness: null,
  };
}

async function fromLife(asked = setUp(1, 2)) {
  const { house, teacher, classId, bea } = studio;
  const setUpId = await keepNewSetUp(house, teacher, words);
  await keepSetUp(house, teacher, setUpId, { ...words, setUp: asked }, null);
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'From where you sit',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('notan'), tones: 3 },
    setUpId,
  });
  studio.nextNotan(await asRead());
  const attemptId = await studio.send(bea, 100, exerciseId);
  await measureAttempt(house, attemptId);
  return { setUpId, exerciseId, attemptId };
}

const said = async (attemptId: string) => (await saidOf(studio, attemptId)).map((i) => i.original);

test('a set-up is kept with its masses, is its teacher’s alone, and counts its changes', async () => {
  const { house, teacher } = studio;
  const id = await keepNewSetUp(house, teacher, words);
  await keepSetUp(house, teacher, id, { ...words, setUp: setUp(1, 2) }, null);
  await keepSetUp(house, teacher, id, { title: 'Jug by the door', note: '', setUp: setUp(1, 2) }, null);
  expect(await setUpFor(house, teacher, id)).toMatchObject({ title: 'Jug by the door', revision: 2 });
  await expect(
    keepSetUp(
      house,
      teacher,
      id,
      {
        ...words,
        setUp: { ...setUp(1, 2), masses: [...setUp(1, 2).masses, ...setUp(1, 2).masses] },
      },
      null,
    ),
  ).rejects.toThrow('give each its own');
  const stranger: Teacher = { role: 'teacher', standing: 'teacher', userId: 'somebody-else', name: 'Odo' };
  await expect(setUpFor(house, stranger, id)).rejects.toThrow(NotFound);
  expect(await setUpsOf(house, stranger)).toEqual([]);
});

test('an exercise is painted from a picture or from a set-up of one’s own, never from both; it holds the set-up', async () => {
  const { house, teacher, classId } = studio;
  const { setUpId, exerciseId } = await fromLife();
  const terms = defaultTerms('notan');
  await expect(
    setExercise(house, teacher, classId, { title: 'x', note: '', dueAt: null, terms, setUpId: 'not-there' }),
  ).rejects.toThrow(NotFound);
  await expect(
    setExercise(house, teacher, classId, { title: 'x', note: '', dueAt: null, terms, setUpId, referenceId: 'r' }),
  ).rejects.toThrow('not from both');
  await expect(dropSetUp(house, teacher, setUpId)).rejects.toThrow(Refused);
  expect(await usesOfSetUp(house, teacher, setUpId)).toEqual([expect.objectContaining({ id: exerciseId })]);
  const free = await keepNewSetUp(house, teacher, words);
  await dropSetUp(house, teacher, free);
  await expect(setUpFor(house, teacher, free)).rejects.toThrow(NotFound);
});

test('a hand-in is read without a picture; its masses are painted, and what lies outside its steps is told by name', async () => {
  const { house, teacher, bea } = studio;
  const { exerciseId, attemptId } = await fromLife();
  expect(studio.lastTask()).toMatchObject({
    task: 'measure-notan',
    reference: null,
    tones: 3,
    painted: null,
    frameIsDark: false,
  });
  await expect(judgeAgain(house, teacher, attemptId)).rejects.toThrow('Paint the masses');
  await paintMasses(house, teacher, attemptId, [press]);
  const told = (await said(attemptId)).find((f) => f.code === 'outside_steps');
  expect(told).toMatchObject({
    where: { shape: 'jug > lit side' },
    say: 'The lit side of the jug is dark; it belongs to the light or the middle tone.',
  });
  expect((await myExercise(house, bea, exerciseId)).setUp).toEqual(words);
  const own = await attemptFor(house, teacher, attemptId);
  const shown = (await tableOf(house, teacher, own.handIn.id)).attempts[0];
  expect([shown?.masses.length, shown?.measured?.kind === 'notan' && shown.measured.result.reference]).toEqual([
    1,
    'masses',
  ]);
});

test('masses that are painted stay when the picture is measured once more', async () => {
  const { house, teacher } = studio;
  const { attemptId } = await fromLife();
  await paintMasses(house, teacher, attemptId, [press]);
  await setFrameIsDark(house, teacher, attemptId, true);
  await measureAttempt(house, attemptId);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-notan', frameIsDark: true, painted: { edits: [press] } });
});

test('masses that were shown, and a frame that was taken as dark, are taken back with all else of the evening', async () => {
  const { house, teacher } = studio;
  const { attemptId } = await fromLife();
  const masses = async () => (await attemptFor(house, teacher, attemptId)).attempt.masses?.edits ?? null;
  await sitDownAt(house, teacher, (await attemptFor(house, teacher, attemptId)).handIn.id);
  await paintMasses(house, teacher, attemptId, [press]);
  await paintMasses(house, teacher, attemptId, [press, { ...press, x: 0.7 }]);
  await setFrameIsDark(house, teacher, attemptId, true);
  await measureAttempt(house, attemptId);
  expect(await takenBack(studio)).toContain('the frame that was taken as the dark end');
  await measureAttempt(house, attemptId);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-notan', frameIsDark: false });
  expect(await takenBack(studio)).toContain('the masses that were shown');
  expect(await masses()).toEqual([press]);
  expect((await said(attemptId)).map((f) => f.code)).toContain('outside_steps');
  await takenBack(studio);
  expect(await masses()).toBeNull();
  // With no masses there is nothing to judge it by: it is read as it was at first.
  await measureAttempt(house, attemptId);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-notan', painted: null });
});

test('a hand-in says when what is asked of its masses was changed, and is judged by what is asked now', async () => {
  const { house, teacher } = studio;
  const { setUpId, attemptId } = await fromLife();
  await keepSetUp(house, teacher, setUpId, { ...words, setUp: setUp(1, 1) }, null);
  expect(await standingOf(house, teacher, attemptId)).toBe('as-it-is');
  await paintMasses(house, teacher, attemptId, [press]);
  expect(await standingOf(house, teacher, attemptId)).toBe('as-it-is');
  await keepSetUp(house, teacher, setUpId, { ...words, setUp: setUp(3, 3) }, null);
  expect(await standingOf(house, teacher, attemptId)).toBe('other-set-up');
  await judgeAgain(house, teacher, attemptId);
  expect(await standingOf(house, teacher, attemptId)).toBe('as-it-is');
  expect((await said(attemptId)).map((f) => f.code)).not.toContain('outside_steps');
});

test('a critique that was sent stands: no masses, no frame, no reading is taken any more', async () => {
  const { house, teacher } = studio;
  const { attemptId } = await fromLife();
  await paintMasses(house, teacher, attemptId, [press]);
  // From life there is nothing in whose place a shape could be read.
  await expect(acceptReading(house, teacher, attemptId, '10.10', 'everyone')).rejects.toThrow(NotFound);
  await decide(house, teacher, attemptId, 'pass');
  await expect(paintMasses(house, teacher, attemptId, [])).rejects.toThrow('was sent');
  await expect(setFrameIsDark(house, teacher, attemptId, true)).rejects.toThrow('was sent');
});

test('strokes that are none are refused with words, and what was painted before stands', async () => {
  const { house, teacher } = studio;
  const { attemptId } = await fromLife();
  await paintMasses(house, teacher, attemptId, [press]);
  await expect(
    paintMasses(house, teacher, attemptId, [{ kind: 'stroke', width: 9, points: [], mass: 'jug' }]),
  ).rejects.toThrow();
  expect((await attemptFor(house, teacher, attemptId)).attempt.masses?.edits).toEqual([press]);
});
