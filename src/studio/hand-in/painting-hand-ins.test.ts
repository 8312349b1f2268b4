/** Paintings in many values: measured against the picture, shown laid on it, and told when the picture was prepared anew. */
import { defaultTerms } from '@/core/kinds/table';
import { sampleRegion } from '@/core/painting/sample-result';
import { type StageQuestion, stageResult, type StageResult } from '@/core/painting/stage';
import { setUpSchema } from '@/core/reference/set-up';
import { massSchema } from '@/core/tones/mass';
import { measurements } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import path from 'node:path';
import { NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { setExercise } from '../plan/exercises';
import { keepPreparation, referenceFor } from '../reference/references';
import { keepNewSetUp, keepSetUp, paintMasses } from '../reference/set-ups';
import { paintedInValues, valuesFrom } from '../test-picture';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { paintingPictureOf, standingOf, tonesOfAttempt } from '../views/table';
import { myExercise } from '../views/my-work';
import { measureAttempt } from './measuring';
import { receivePhoto } from './receive';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

async function handedIn(exerciseId: string, ...painted: Parameters<typeof paintedInValues>) {
  studio.nextPainting(await paintedInValues(...painted));
  // Each painting on a photograph of its own: the same bytes again are the same try.
  const id = await studio.send(studio.bea, 140 + (painted[1] ?? 0), exerciseId);
  await measureAttempt(studio.house, id);
  return id;
}

test('it is measured against the picture as the exercise wants it, and what is off is drafted', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await valuesFrom(studio);
  const id = await handedIn(exerciseId, { regions: [sampleRegion(2)] });
  const { ends, toleranceSteps } = defaultTerms('monochrome-painting');
  expect(studio.lastTask()).toMatchObject({
    task: 'measure-painting',
    toleranceSteps,
    reference: { preparation: { ends, key: 'full', pushPercent: 0 } },
    expected: { exercise: exerciseId },
  });
  expect((await saidOf(studio, id)).map((i) => i.original.code)).toEqual(['drawing_holds', 'range_holds', 'part_off']);
  expect(await standingOf(house, teacher, id)).toBe('as-it-is');
});

test('it is shown in greys as it lies on the picture, and where it differs: to its teacher alone', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await valuesFrom(studio);
  const id = await handedIn(exerciseId);
  const greys = async (which: 'wanted' | 'drawn' | 'difference') => {
    const { data, info } = await sharp((await paintingPictureOf(house, teacher, id, which)) ?? undefined)
      .toColourspace('b-w')
      .raw()
      .toBuffer({ resolveWithObject: true });
    return [data[0], data[info.width - 1]];
  };
  const [wanted, drawn, difference] = [await greys('wanted'), await greys('drawn'), await greys('difference')];
  expect(drawn[0]).toBe(wanted[0]);
  expect(drawn[1]).toBeGreaterThan(wanted[1] as number);
  // Where they are alike it is the middle grey, and lighter where the painting is too light.
  expect(difference[0]).toBe(119);
  expect(difference[1]).toBeGreaterThan(140);
  // It has no tones, and of another teacher's it says nothing.
  expect(await tonesOfAttempt(house, teacher, id, 'drawn')).toBeNull();
  const other = await house.auth.createTeacher('Odile Marrow', `${id}@tidewell.example`, 'saltpans-and-hills');
  const stranger = { role: 'teacher' as const, standing: 'teacher' as const, userId: other, name: 'Odile Marrow' };
  await expect(paintingPictureOf(house, stranger, id, 'drawn')).rejects.toThrow(NotFound);
});

test('when the picture is prepared anew a hand-in says so', async () => {
  const { house, teacher } = studio;
  const { referenceId, exerciseId } = await valuesFrom(studio);
  const id = await handedIn(exerciseId);
  const { preparation } = await referenceFor(house, teacher, referenceId);
  await keepPreparation(house, teacher, referenceId, { ...preparation, pushPercent: 10 }, null);
  expect(await standingOf(house, teacher, id)).toBe('other-reference');
});

test('without a picture a person judges by eye', async () => {
  const { house, teacher, classId } = studio;
  const terms = defaultTerms('monochrome-painting');
  const exerciseId = await setExercise(house, teacher, classId, { title: 'From life', note: '', dueAt: null, terms });
  const id = await studio.send(studio.bea, 90, exerciseId);
  await measureAttempt(house, id);
  expect(await house.db.select().from(measurements).where(eq(measurements.attemptId, id))).toEqual([]);
});

test('what is built up in stages is handed in stage by stage, each with its own question and tolerance', async () => {
  const { house, student } = { house: studio.house, student: studio.bea };
  const { exerciseId } = await valuesFrom(studio, { way: 'staged', glaze: true });
  const stage = async (asks: StageQuestion, last: boolean, left: number, more: Partial<StageResult> = {}) => {
    const id = await handedIn(exerciseId, { stage: stageResult({ asks, last }, more) }, left);
    return { id, task: studio.lastTask(), codes: (await saidOf(studio, id)).map((i) => i.original.code) };
  };
  const stain = await stage('even', false, 31, { unevenness: 12 });
  expect(stain.task).toMatchObject({ stage: { asks: 'even', last: false, before: null }, toleranceSteps: 1 });
  expect(stain.codes).toEqual(['stain_uneven']);
  const masses = await stage('two-masses', false, 32, { apart: 20 });
  expect(masses.task).toMatchObject({ stage: { asks: 'two-masses', before: null } });
  expect(masses.codes).toEqual(['drawing_holds', 'masses_apart']);
  const greys = await stage('order', false, 33);
  expect(greys.task).toMatchObject({
    stage: { asks: 'order', before: expect.stringContaining(house.files.incoming.slice(0, 8)) as string },
  });
  const mine = await myExercise(house, student, exerciseId);
  expect(mine.attempts.map((a) => a.stage)).toEqual(['The stain', 'Two masses', 'The greys']);
  expect(mine.nextStage).toBe('glaze');
  await stage('kept', true, 34);
  expect(studio.lastTask()).toMatchObject({ stage: { asks: 'kept', last: true }, toleranceSteps: 0.5 });
});

test('a stage may be handed in once more, and one that there is not is refused', async () => {
  const { house } = studio;
  const { exerciseId } = await valuesFrom(studio, { way: 'staged' });
  const file = async (shade: number) => {
    const to = path.join(house.files.incoming, `stage-${shade}`);
    await sharp({ create: { width: 8, height: 8, channels: 3, background: { r: shade, g: 0, b: 0 } } })
      .jpeg()
      .toFile(to);
    return to;
  };
  const send = async (shade: number, stage: string | null) =>
    receivePhoto(house, studio.bea, exerciseId, await file(shade), null, stage);
  await send(201, null);
  await send(202, 'stain');
  await send(203, null);
  await expect(send(204, 'varnish')).rejects.toThrow(Refused);
  const { attempts } = await myExercise(house, studio.bea, exerciseId);
  expect(attempts.map((a) => a.stage)).toEqual(['The stain', 'The stain', 'Two masses']);
});

test('from life it is read by the masses of its set-up, once they were shown on it', async () => {
  const { house, teacher, classId } = studio;
  const setUp = setUpSchema.parse({
    version: 1,
    lights: 2,
    tones: 3,
    masses: [{ id: 'jug', ...massSchema.parse({ name: 'jug > lit side', emphasis: 1 }) }],
  });
  const words = { title: 'Jug', note: '' };
  const setUpId = await keepNewSetUp(house, teacher, words);
  await keepSetUp(house, teacher, setUpId, { ...words, setUp }, null);
  const terms = defaultTerms('monochrome-painting');
  const exercise = { title: 'From where you sit', note: '', dueAt: null, terms, setUpId };
  const exerciseId = await setExercise(house, teacher, classId, exercise);
  const id = await handedIn(exerciseId, { fromLife: true, registration: null, overall: null }, 61);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-from-life', painted: null });
  expect(await standingOf(house, teacher, id)).toBe('as-it-is');
  const press = { kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' };
  await paintMasses(house, teacher, id, [press]);
  await measureAttempt(house, id);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-from-life', painted: { lights: 2, edits: [press] } });
  // What it is shown on are its own greys, few enough for a press to take a shape.
  const masses = await sharp((await paintingPictureOf(house, teacher, id, 'masses')) ?? undefined)
    .raw()
    .toBuffer();
  expect(new Set(masses).size).toBeLessThan(8);
});

test('a rescue is handed in as it was and reworked, and looked at beside its own earlier state', async () => {
  const { house, teacher, classId } = studio;
  const terms = defaultTerms('rescue');
  const exerciseId = await setExercise(house, teacher, classId, { title: 'Mended', note: '', dueAt: null, terms });
  const state = async (asks: StageQuestion, last: boolean, left: number) => {
    const painted = { fromLife: true, registration: null, overall: null, stage: stageResult({ asks, last }) };
    const id = await handedIn(exerciseId, painted, left);
    const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, id));
    return { id, task: studio.lastTask(), against: row?.against };
  };
  const before = await state('as-it-was', false, 71);
  expect(before.task).toMatchObject({ stage: { asks: 'as-it-was', before: null }, painted: null });
  expect(before.against).toMatchObject({ kind: 'itself', planes: before.against?.lightness });
  const after = await state('rescued', true, 72);
  expect(after.task).toMatchObject({
    stage: { asks: 'rescued', last: true, before: await house.files.local(before.against?.lightness ?? '') },
  });
  expect(after.against?.planes).toBe(before.against?.lightness);
  expect(await standingOf(house, teacher, after.id)).toBe('as-it-is');
  expect((await myExercise(house, studio.bea, exerciseId)).attempts.map((a) => a.stage)).toEqual([
    'As it was',
    'Reworked',
  ]);
});

test('each panel of a series is held against the first one, not the one before', async () => {
  const { house, teacher, classId } = studio;
  const terms = defaultTerms('limited-palette');
  const exerciseId = await setExercise(house, teacher, classId, { title: 'Fewer', note: '', dueAt: null, terms });
  const panel = async (asks: StageQuestion, last: boolean, left: number) => {
    const id = await handedIn(exerciseId, { stage: stageResult({ asks, last }) }, left);
    const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, id));
    return { task: studio.lastTask(), against: row?.against };
  };
  const first = await panel('first-panel', false, 75);
  expect(first.task).toMatchObject({ task: 'measure-from-life', stage: { asks: 'first-panel', before: null } });
  const kept = first.against?.lightness ?? '';
  await panel('like-the-first', true, 76);
  const third = await panel('like-the-first', true, 77);
  expect(third.task).toMatchObject({ task: 'measure-painting', reference: { panel: await house.files.local(kept) } });
  expect(third.against).toMatchObject({ kind: 'itself', planes: kept });
  expect((await myExercise(house, studio.bea, exerciseId)).attempts.map((a) => a.stage)).toEqual([
    'Round 1',
    'Round 2',
    'Round 3',
  ]);
});

test('a deleted student takes what was read of their painting along', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await valuesFrom(studio);
  // In a grey of its own: the same bytes of another test's student would rightly stay.
  const id = await handedIn(exerciseId, {}, 41);
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, id));
  expect(await house.files.has(row?.against?.lightness ?? '')).toBe(true);
  await deleteStudent(house, teacher, studio.bea.studentId);
  expect(await house.files.has(row?.against?.lightness ?? '')).toBe(false);
});
