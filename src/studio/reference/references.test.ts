/** Reference pictures. */
import { defaultTerms, KIND_IDS, kindById } from '@/core/kinds/table';
import { newId } from '@/data/schema/ids';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { NotFound } from '../access/actor';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, type TestStudio } from '../test-studio';
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

import { H, ORIGIN, paintedFrom, pictureFile, W } from '../test-picture';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

test('a picture comes in with where it is from and who may use it, and not without', async () => {
  const { house, teacher } = studio;
  await expect(bringIn(house, teacher, await pictureFile(studio), { ...ORIGIN, licence: ' ' })).rejects.toThrow(
    'Say who may use it',
  );
  const id = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
  const row = await referenceFor(house, teacher, id);
  expect([row.width, row.height, row.revision]).toEqual([W, H, 1]);
  expect((await sharp(await house.files.read(row.workingHash)).metadata()).format).toBe('png');
});

test('a flat picture, a thin one and a very long one are told, and nothing is kept of them', async () => {
  const { house, teacher } = studio;
  await expect(bringIn(house, teacher, await pictureFile(studio, 0, W, H, true), ORIGIN)).rejects.toThrow(
    'one flat tone',
  );
  await expect(bringIn(house, teacher, await pictureFile(studio, 0, 900, 1), ORIGIN)).rejects.toThrow(
    'at least 32 each way',
  );
  await expect(bringIn(house, teacher, await pictureFile(studio, 0, 900, 100), ORIGIN)).rejects.toThrow(
    'five times as long',
  );
  expect(await referencesOf(house, teacher)).toEqual([]);
});

test('see-through places are laid on white; sixteen bits and grey with alpha are read', async () => {
  const { house, teacher } = studio;
  const grey = await sharp(await sharp(await pictureFile(studio)).toBuffer())
    .toColourspace('grey16')
    .ensureAlpha(0.5)
    .png()
    .toBuffer();
  const file = path.join(house.files.incoming, `test-${newId()}`);
  await writeFile(file, grey);
  const row = await referenceFor(house, teacher, await bringIn(house, teacher, file, ORIGIN));
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
  const id = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
  const { preparation } = await referenceFor(house, teacher, id);
  expect(await keepPreparation(house, teacher, id, preparation, null)).toBe(1);
  expect(await keepPreparation(house, teacher, id, { ...preparation, tones: 3 }, null)).toBe(2);
  await expect(
    keepPreparation(house, teacher, id, { ...preparation, cuts: { 'threshold-3': [70, 20] } }, null),
  ).rejects.toThrow('cross');
  expect((await referenceFor(house, teacher, id)).preparation.tones).toBe(3);
});

test('another teacher finds nothing, and a student neither', async () => {
  const { house, teacher } = studio;
  const { referenceId, exerciseId } = await paintedFrom(studio);
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
  const { referenceId } = await paintedFrom(studio);
  await expect(dropReference(house, teacher, referenceId)).rejects.toThrow('“Two tones” is painted from this picture');
  const other = await bringIn(house, teacher, await pictureFile(studio, 7), { ...ORIGIN, title: 'Other' });
  const { workingHash } = await referenceFor(house, teacher, other);
  await dropReference(house, teacher, other);
  expect(await house.files.has(workingHash)).toBe(false);
});

test('its files: sheets with the class’s numbers, layers, outlines', async () => {
  const { house, teacher, classId } = studio;
  const { referenceId } = await paintedFrom(studio);
  const start = async (what: 'sheets' | 'layers' | 'traced' | 'map' | 'squinted') =>
    Buffer.from((await referenceFileFor(house, teacher, referenceId, what, classId)).subarray(0, 4)).toString('latin1');
  expect(
    await Promise.all([start('sheets'), start('layers'), start('traced'), start('map'), start('squinted')]),
  ).toEqual(['%PDF', 'PK\u0003\u0004', '<svg', '\u0089PNG', '\u0089PNG']);
});

const BY_EYE = KIND_IDS.filter((id) => kindById(id).family === 'by-eye');

test.each(BY_EYE)('%s, painted from a picture: the student sees it, and its sheets can be printed', async (kind) => {
  const { house, teacher, classId } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
  const terms = defaultTerms(kind);
  const set = { title: kind, note: '', dueAt: null, terms, referenceId };
  const exerciseId = await setExercise(house, teacher, classId, set);
  const picture = await exerciseReference(house, studio.bea, exerciseId, 'tones');
  const greys = await exerciseReference(house, studio.bea, exerciseId, 'grey');
  expect(greys?.subarray(1, 4)).toEqual(picture?.subarray(1, 4));
  expect(greys).not.toEqual(picture);
  expect((await sharp(picture ?? undefined).metadata()).format).toBe('png');
  // Every kind's sheets are drawn alike: one is enough.
  if (kind !== BY_EYE[0]) return;
  const sheets = await exerciseReference(house, teacher, exerciseId, 'sheets');
  expect(Buffer.from(sheets ?? []).toString('latin1', 0, 5)).toBe('%PDF-');
});
