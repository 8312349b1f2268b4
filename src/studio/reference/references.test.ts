/** Reference pictures, and paintings measured against them. */
import { defaultTerms, KIND_IDS, kindById } from '@/core/kinds/table';
import { judgePainting } from '@/core/notan/judge-painting';
import { sampleNotan } from '@/core/notan/sample-result';
import { massSchema } from '@/core/tones/mass';
import { newId } from '@/data/schema/ids';
import { measurements, readings } from '@/data/schema/tables';
import { planesToPng } from '@/workers/decoding/planes';
import type { NotanHandIn } from '@/workers/tasks/notan-hand-in';
import { eq } from 'drizzle-orm';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/records';
import { decide } from '../critique/critiquing';
import { measureAttempt } from '../hand-in/measuring';
import { acceptReading, judgeAgain, measureAnew, takeReadingsBack } from '../hand-in/notan-hand-ins';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { standingOf, tableOf, tonesOfAttempt } from '../views/table';
import {
  bringIn,
  dropReference,
  exerciseReference,
  keepPreparation,
  referenceFileFor,
  referenceFor,
  referencesOf,
} from './references';
import { bringShippedIn, shippedPictures } from './shipped-pictures';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

const origin = { title: 'Jug', source: 'own photograph', licence: 'this class only' };
const [W, H] = [120, 100];

/** A dark square on a light ground, as a file on its way in. */
async function pictureFile(seed = 0, wide = W, high = H, flat = false): Promise<string> {
  const data = Uint8Array.from({ length: 3 * wide * high }, (_, i) => {
    const [x, y] = [Math.floor(i / 3) % wide, Math.floor(i / 3 / wide)];
    return flat ? 120 : x > 0.3 * wide && x < 0.7 * wide && y > 0.3 * high && y < 0.7 * high ? 40 + seed : 220;
  });
  const file = path.join(studio.house.files.incoming, `test-${newId()}`);
  await writeFile(
    file,
    await sharp(data, { raw: { width: wide, height: high, channels: 3 } })
      .png()
      .toBuffer(),
  );
  return file;
}

const plane = (at: (x: number, y: number) => number) => ({
  width: W,
  height: H,
  toneOf: Uint8Array.from({ length: W * H }, (_, i) => at(i % W, Math.floor(i / W))),
});
const square = (x: number, y: number, x0: number, y0: number, side: number) =>
  x >= x0 && x < x0 + side && y >= y0 && y < y0 + side;

/** A painting in which the right-hand square was lost. */
async function painting(side: number): Promise<NotanHandIn> {
  const wanted = plane((x, y) => (square(x, y, 10, 20, 40) || square(x, y, 70, 30, side) ? 2 : 1));
  const drawn = plane((x, y) => (square(x, y, 10, 20, 40) ? 2 : 1));
  const judged = judgePainting({
    drawn,
    reference: wanted,
    readings: [],
    named: null,
    tones: [94, 25].map((lightness) => ({ lightness, spread: 1 })),
    targets: [94, 25],
  });
  const result = sampleNotan({
    ...judged,
    shapes: { large: 1, middle: 0, small: 0, largest: 0.8, variety: null, slivers: 0, ragged: 0.1 },

    targets: [94, 25],
  });
  const names = [massSchema.parse({ name: 'jug', emphasis: 1 })];
  return {
    result,
    planes: await planesToPng({ wanted, drawn, nameOf: new Uint8Array(W * H) }),
    names,
    lightness: null,
  };
}

async function paintedFrom(): Promise<{ referenceId: string; exerciseId: string }> {
  const { house, teacher, classId } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(), origin);
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'Two tones',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('notan'), school: 'threshold' },
    referenceId,
  });
  return { referenceId, exerciseId };
}

async function handedIn(exerciseId: string, who = studio.bea, shade = 100, side = 40): Promise<string> {
  studio.nextNotan(await painting(side));
  const id = await studio.send(who, shade, exerciseId);
  await measureAttempt(studio.house, id);
  return id;
}
const itemsOf = async (attemptId: string) => (await saidOf(studio, attemptId)).map((i) => i.original.code);
/** Id of the first flipped shape. */
const flippedIn = async (attemptId: string) =>
  (await saidOf(studio, attemptId))
    .find((i) => i.original.code === 'flipped_shape')
    ?.original.key.split(' ')
    .at(-1) ?? '';

test('a picture comes in with where it is from and who may use it, and not without', async () => {
  const { house, teacher } = studio;
  await expect(bringIn(house, teacher, await pictureFile(), { ...origin, licence: ' ' })).rejects.toThrow(
    'Say who may use it',
  );
  const id = await bringIn(house, teacher, await pictureFile(), origin);
  const row = await referenceFor(house, teacher, id);
  expect([row.width, row.height, row.revision]).toEqual([W, H, 1]);
  expect((await sharp(await house.files.read(row.workingHash)).metadata()).format).toBe('png');
});

test('a flat picture, a thin one and a very long one are told, and nothing is kept of them', async () => {
  const { house, teacher } = studio;
  await expect(bringIn(house, teacher, await pictureFile(0, W, H, true), origin)).rejects.toThrow('one flat tone');
  await expect(bringIn(house, teacher, await pictureFile(0, 900, 1), origin)).rejects.toThrow('at least 32 each way');
  await expect(bringIn(house, teacher, await pictureFile(0, 900, 100), origin)).rejects.toThrow('five times as long');
  expect(await referencesOf(house, teacher)).toEqual([]);
});

test('see-through places are laid on white; sixteen bits and grey with alpha are read', async () => {
  const { house, teacher } = studio;
  const grey = await sharp(await sharp(await pictureFile()).toBuffer())
    .toColourspace('grey16')
    .ensureAlpha(0.5)
    .png()
    .toBuffer();
  const file = path.join(house.files.incoming, `test-${newId()}`);
  await writeFile(file, grey);
  const row = await referenceFor(house, teacher, await bringIn(house, teacher, file, origin));
  const { dominant } = await sharp(await house.files.read(row.workingHash)).stats();
  expect(dominant.r).toBeGreaterThan(200);
});

test('one of the rendered pictures is taken as any other; one that is not there is not found', async () => {
  const { house, teacher } = studio;
  expect((await shippedPictures()).length).toBeGreaterThanOrEqual(6);
  const row = await referenceFor(house, teacher, await bringShippedIn(house, teacher, 'jug-and-eggs'));
  expect(row).toMatchObject({
    title: 'Jug, loaf and three eggs on a cloth',
    licence: 'anybody, for anything',
    width: 1600,
  });
  await expect(bringShippedIn(house, teacher, '../secrets')).rejects.toThrow(NotFound);
});

test('a preparation is kept with a revision; what can’t be one is refused with words', async () => {
  const { house, teacher } = studio;
  const id = await bringIn(house, teacher, await pictureFile(), origin);
  const { preparation } = await referenceFor(house, teacher, id);
  expect(await keepPreparation(house, teacher, id, preparation)).toBe(1);
  expect(await keepPreparation(house, teacher, id, { ...preparation, tones: 3 })).toBe(2);
  await expect(
    keepPreparation(house, teacher, id, { ...preparation, cuts: { 'threshold-3': [70, 20] } }),
  ).rejects.toThrow('cross');
  expect((await referenceFor(house, teacher, id)).preparation.tones).toBe(3);
});

test('another teacher finds nothing, and a student neither', async () => {
  const { house, teacher } = studio;
  const { referenceId, exerciseId } = await paintedFrom();
  const stranger = { ...teacher, userId: 'somebody-else' };
  await expect(referenceFor(house, stranger, referenceId)).rejects.toThrow(NotFound);
  await expect(
    setExercise(house, teacher, studio.classId, {
      title: 'x',
      note: '',
      dueAt: null,
      terms: defaultTerms('notan'),
      referenceId: 'not-there',
    }),
  ).rejects.toThrow(NotFound);
  expect((await exerciseReference(house, studio.bea, exerciseId, 'tones'))?.subarray(1, 4)).toEqual(
    new Uint8Array(Buffer.from('PNG')),
  );
});

test('a picture that an exercise is painted from stays; else it goes with its files', async () => {
  const { house, teacher } = studio;
  const { referenceId } = await paintedFrom();
  await expect(dropReference(house, teacher, referenceId)).rejects.toThrow('“Two tones” is painted from this picture');
  const other = await bringIn(house, teacher, await pictureFile(7), { ...origin, title: 'Other' });
  const { workingHash } = await referenceFor(house, teacher, other);
  await dropReference(house, teacher, other);
  expect(await house.files.list()).not.toContain(workingHash);
});

test('its files: sheets with the class’s numbers, layers, outlines', async () => {
  const { house, teacher, classId } = studio;
  const { referenceId } = await paintedFrom();
  const start = async (what: 'sheets' | 'layers' | 'traced' | 'map' | 'squinted') =>
    Buffer.from((await referenceFileFor(house, teacher, referenceId, what, classId)).subarray(0, 4)).toString('latin1');
  expect(
    await Promise.all([start('sheets'), start('layers'), start('traced'), start('map'), start('squinted')]),
  ).toEqual(['%PDF', 'PK\u0003\u0004', '<svg', '\u0089PNG', '\u0089PNG']);
});

test('a painting is measured against the picture; a lost shape accepted for this one counts as right for this one alone', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom();
  const [bea, ruta] = [await handedIn(exerciseId), await handedIn(exerciseId, studio.ruta, 120)];
  expect(await itemsOf(bea)).toContain('flipped_shape');
  await acceptReading(house, teacher, bea, await flippedIn(bea), 'this');
  expect(await itemsOf(bea)).not.toContain('flipped_shape');
  expect(await standingOf(house, teacher, bea)).toBe('as-it-is');
  expect(await itemsOf(ruta)).toContain('flipped_shape');
  expect(await standingOf(house, teacher, ruta)).toBe('as-it-is');
  await expect(acceptReading(house, teacher, bea, '19.19', 'this')).rejects.toThrow(NotFound);
});

test('accepted for everyone: earlier hand-ins say that they were measured before, and are judged by it when asked', async () => {
  const { house, teacher } = studio;
  const { exerciseId } = await paintedFrom();
  const [bea, ruta] = [await handedIn(exerciseId), await handedIn(exerciseId, studio.ruta, 120)];
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
  const { exerciseId } = await paintedFrom();
  const id = await handedIn(exerciseId);
  await decide(house, teacher, id, 'pass');
  await expect(judgeAgain(house, teacher, id)).rejects.toThrow(Refused);
  await expect(measureAnew(house, teacher, id)).rejects.toThrow('was sent');
});

test('when the picture is prepared anew a hand-in says so, and measured anew it keeps its number and the teacher’s words', async () => {
  const { house, teacher } = studio;
  const { referenceId, exerciseId } = await paintedFrom();
  const id = await handedIn(exerciseId);
  const { preparation } = await referenceFor(house, teacher, referenceId);
  await keepPreparation(house, teacher, referenceId, { ...preparation, smooth: 1 });
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

const BY_EYE = KIND_IDS.filter((id) => kindById(id).family === 'by-eye');

test.each(BY_EYE)('%s, painted from a picture: the student sees it, and its sheets can be printed', async (kind) => {
  const { house, teacher, classId } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(), origin);
  const terms = defaultTerms(kind);
  const set = { title: kind, note: '', dueAt: null, terms, referenceId };
  const exerciseId = await setExercise(house, teacher, classId, set);
  const picture = await exerciseReference(house, studio.bea, exerciseId, 'tones');
  expect((await sharp(picture ?? undefined).metadata()).format).toBe('png');
  // Every kind's sheets are drawn alike: one is enough.
  if (kind !== BY_EYE[0]) return;
  const sheets = await exerciseReference(house, teacher, exerciseId, 'sheets');
  expect(Buffer.from(sheets ?? []).toString('latin1', 0, 5)).toBe('%PDF-');
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
  const { exerciseId } = await paintedFrom();
  // Of a size of its own: the same bytes of another test's student would rightly stay.
  const id = await handedIn(exerciseId, studio.bea, 100, 34);
  await acceptReading(house, teacher, id, await flippedIn(id), 'this');
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, id));
  const [reading] = await house.db.select().from(readings).where(eq(readings.exerciseId, exerciseId));
  await deleteStudent(house, teacher, studio.bea.studentId);
  const left = await house.files.list();
  expect(left).not.toContain(row?.against?.planes);
  expect(left).not.toContain(reading?.maskHash);
});
