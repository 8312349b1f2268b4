/** Edits and drops of a teacher hang on what was found: judging again, accepting a reading and measuring anew keep them. */
import { defaultTerms } from '@/core/kinds/table';
import { judgePainting } from '@/core/notan/judge-painting';
import { sampleNotan } from '@/core/notan/sample-result';
import { sampleFeature, sampleRegion } from '@/core/painting/sample-result';
import { setUpSchema } from '@/core/reference/set-up';
import { newId } from '@/data/schema/ids';
import { attempts } from '@/data/schema/tables';
import { planesToPng } from '@/workers/decoding/planes';
import type { NotanHandIn } from '@/workers/tasks/notan-hand-in';
import { eq } from 'drizzle-orm';
import path from 'node:path';
import sharp from 'sharp';
import { measureAttempt } from '../hand-in/measuring';
import { acceptReading, judgeAgain, measureAnew } from '../hand-in/notan-hand-ins';
import { tryAgain } from '../hand-in/receive';
import { setExercise } from '../plan/exercises';
import { bringIn } from '../reference/references';
import { keepNewSetUp, keepSetUp, paintMasses } from '../reference/set-ups';
import { paintedInValues, valuesFrom } from '../test-picture';
import { eachInNewStudio, resultWith, saidOf, type TestStudio } from '../test-studio';
import { editItem } from './critiquing';

let studio: TestStudio;
eachInNewStudio((s) => (studio = s));

const [W, H] = [120, 90];
const plane = (toneAt: (x: number, y: number) => number) => ({
  width: W,
  height: H,
  toneOf: Uint8Array.from({ length: W * H }, (_, i) => toneAt(i % W, Math.floor(i / W))),
});
const inSquare = (x: number, y: number, [x0, y0, side]: readonly [number, number, number]) =>
  x >= x0 && x < x0 + side && y >= y0 && y < y0 + side;
const SQUARES = [
  [8, 10, 26],
  [46, 40, 34],
  [90, 12, 22],
] as const;

/** A painting in two tones in which three dark squares of the reference were lost, the lightest thing a grey. */
async function painting(fromLife = false): Promise<NotanHandIn> {
  const wanted = plane((x, y) => (SQUARES.some((s) => inSquare(x, y, s)) || y > 82 ? 2 : 1));
  const drawn = plane((_, y) => (y > 82 ? 2 : 1));
  const tones = [80, 25].map((lightness) => ({ lightness, spread: 1 }));
  const judged = judgePainting({
    drawn,
    reference: fromLife ? null : wanted,
    readings: [],
    named: null,
    tones,
    targets: [96, 24],
  });
  const result = sampleNotan({
    ...judged,
    shapes: { large: 1, middle: 0, small: 0, largest: 0.8, variety: null, slivers: 0, ragged: 0.1 },

    targets: [96, 24],
  });
  const nothing = plane(() => 0);
  const planes = { wanted: fromLife ? nothing : wanted, drawn, nameOf: new Uint8Array(W * H) };
  return { result, planes: await planesToPng(planes), names: [], lightness: null };
}

async function pictureFile(): Promise<string> {
  const file = path.join(studio.house.files.incoming, `edits-${newId()}`);
  await sharp({ create: { width: 600, height: 450, channels: 3, background: '#fff' } })
    .composite([{ input: { create: { width: 200, height: 200, channels: 3, background: '#111' } }, left: 60, top: 60 }])
    .png()
    .toFile(file);
  return file;
}

const codes = async (id: string, kind: 'fix' | 'works' = 'fix') =>
  (await saidOf(studio, id)).filter((i) => i.original.kind === kind).map((i) => i.original.key);
/** What a teacher changed, by key. */
const changed = async (id: string) =>
  Object.fromEntries(
    (await saidOf(studio, id))
      .filter((i) => i.say !== null || i.dropped)
      .map((i) => [i.original.key, i.dropped ? 'dropped' : i.say]),
  );

async function notanFromPicture(): Promise<string> {
  const { house, teacher, classId, bea } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(), {
    title: 'Three squares',
    source: 'painted for this test',
    licence: 'this class only',
  });
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'Two tones',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('notan'), school: 'threshold' },
    referenceId,
  });
  studio.nextNotan(await painting());
  const id = await studio.send(bea, 100, exerciseId);
  await measureAttempt(house, id);
  return id;
}

test('a painting: edits and drops, of shapes with a box too, outlive a reading that is accepted and measuring anew', async () => {
  const { house, teacher } = studio;
  const id = await notanFromPicture();
  const flipped = (await codes(id)).filter((key) => key.startsWith('flipped_shape'));
  expect(flipped).toHaveLength(3);
  const [edited, dropped, accepted] = flipped as [string, string, string];
  await editItem(house, teacher, id, edited, { say: 'This square is gone.' }, null);
  await editItem(house, teacher, id, dropped, { dropped: true }, null);
  await editItem(house, teacher, id, 'grey_for_white', { say: 'Your white is the paper’s, not the paint’s.' }, null);
  const words = {
    [edited]: 'This square is gone.',
    [dropped]: 'dropped',
    grey_for_white: 'Your white is the paper’s, not the paint’s.',
  };
  expect(await changed(id)).toEqual(words);
  // The one between them goes: the places of all others in the list change.
  await acceptReading(house, teacher, id, accepted.split(' ').at(-1) ?? '', 'this');
  expect(await codes(id)).not.toContain(accepted);
  expect(await changed(id)).toEqual(words);
  await judgeAgain(house, teacher, id);
  expect(await changed(id)).toEqual(words);
  await measureAnew(house, teacher, id);
  await measureAttempt(house, id);
  expect(await codes(id)).toContain(accepted);
  expect(await changed(id)).toEqual(words);
});

test('a painting in many values: edits of its parts and features outlive measuring anew', async () => {
  const { house, teacher, bea } = studio;
  const [region, feature] = [sampleRegion(2), sampleFeature({ dx: 0.04 })];
  const other = sampleRegion(-3, { id: '15.15', area: 0.2, box: { x: 0.7, y: 0.7, width: 0.2, height: 0.2 } });
  const { exerciseId } = await valuesFrom(studio);
  studio.nextPainting(await paintedInValues({ regions: [region], displacements: [feature] }));
  const id = await studio.send(bea, 130, exerciseId);
  await measureAttempt(house, id);
  await editItem(house, teacher, id, 'part_off shape 4.4', { say: 'The jug glows.' }, null);
  await editItem(house, teacher, id, 'feature_moved shape 8.8', { dropped: true }, null);
  // Something heavier comes before them.
  studio.nextPainting(await paintedInValues({ regions: [other, region], displacements: [feature] }));
  await measureAnew(house, teacher, id);
  await measureAttempt(house, id);
  expect(await codes(id)).toContain('part_off shape 15.15');
  expect(await changed(id)).toEqual({ 'part_off shape 4.4': 'The jug glows.', 'feature_moved shape 8.8': 'dropped' });
});

test('a scale: edits and drops outlive measuring anew, and wait for a finding that is not told for a while', async () => {
  const { house, teacher, bea } = studio;
  const id = await studio.send(bea, 60);
  await measureAttempt(house, id);
  await editItem(house, teacher, id, 'streaky steps 3', { say: 'Three is streaked.' }, null);
  await editItem(house, teacher, id, 'works_even', { dropped: true }, null);
  const words = { 'streaky steps 3': 'Three is streaked.', works_even: 'dropped' };
  const again = async (flags: 'streaky'[]) => {
    const result = resultWith(true);
    studio.next({ ...result, steps: result.steps.map((s) => (s.index === 3 ? { ...s, flags } : s)) });
    await house.db.update(attempts).set({ state: 'failed' }).where(eq(attempts.id, id));
    await tryAgain(house, teacher, id);
    await measureAttempt(house, id);
  };
  await again([]);
  expect(await changed(id)).toEqual({ works_even: 'dropped' });
  await again(['streaky']);
  expect(await changed(id)).toEqual(words);
});

test('a painting from life: edits of its masses outlive masses that are painted anew', async () => {
  const { house, teacher, classId, bea } = studio;
  const setUpId = await keepNewSetUp(house, teacher, { title: 'Jug', note: '' });
  const mass = { id: 'jug', name: 'jug > shadow', part: 'shadow', emphasis: 1, steps: { from: 2, to: 2, of: 2 } };
  await keepSetUp(
    house,
    teacher,
    setUpId,
    {
      title: 'Jug',
      note: '',
      setUp: setUpSchema.parse({ version: 1, lights: 1, tones: 2, masses: [mass] }),
    },
    null,
  );
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'From where you sit',
    note: '',
    dueAt: null,
    terms: defaultTerms('notan'),
    setUpId,
  });
  studio.nextNotan(await painting(true));
  const id = await studio.send(bea, 110, exerciseId);
  await measureAttempt(house, id);
  const press = { kind: 'shape', x: 0.5, y: 0.3, mass: 'jug' };
  await paintMasses(house, teacher, id, [press]);
  const key = 'outside_steps shape jug > shadow';
  expect(await codes(id)).toContain(key);
  await editItem(house, teacher, id, key, { say: 'Its shadow never got dark.' }, null);
  await paintMasses(house, teacher, id, [press, { ...press, x: 0.6 }]);
  await judgeAgain(house, teacher, id);
  expect(await changed(id)).toEqual({ [key]: 'Its shadow never got dark.' });
});
