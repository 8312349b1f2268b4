/** Corrections of a teacher: kept with every stroke, beside one another, and with the letter one of them. */
import { linearRgbToLab } from '@/core/colour/lab';
import { LINEAR_OF_CODE } from '@/core/colour/srgb';
import { CORRECTION_VERSION } from '@/core/correction/layer';
import { attempts, corrections } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { attemptFor, NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { exportStudent } from '../class/records';
import { measureAttempt } from '../hand-in/measuring';
import { keepFile } from '../hand-in/receive';
import { eachInNewStudio, takenBack, type TestStudio, viewOf } from '../test-studio';
import { myExercise } from '../views/my-work';
import { sweepFiles } from '../unused-files';
import { correctionFile, keepCorrection, removeCorrection, sendWithLetter, setCorrectionAside } from './correcting';
import { decide, withdraw } from './deciding';
import { setWord } from './critiquing';
import { sitDownAt } from './sitting';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

const layer = (by: number, id = 'one') => ({
  id,
  name: 'third step',
  mask: {
    soft: 0.01,
    edits: [
      {
        kind: 'outline',
        adds: true,
        points: [
          [0.2, 0.2],
          [0.5, 0.2],
          [0.5, 0.8],
          [0.2, 0.8],
        ],
      },
    ],
  },
  change: { kind: 'lightness', by },
});
const given = (id: string | null, by = -6, name = 'Darker') => ({ id, name, layers: [layer(by)] });
/** A measured attempt whose picture is a grey one with some grain. */
async function measured(): Promise<string> {
  const { house } = studio;
  const id = await studio.send(studio.bea, 10);
  await measureAttempt(house, id);
  const noise = { type: 'gaussian' as const, mean: 128, sigma: 9 };
  const picture = sharp({ create: { width: 320, height: 240, channels: 3, background: '#808080', noise } });
  const stripHash = await keepFile(house, await picture.jpeg({ quality: 95 }).toBuffer(), 'image/jpeg');
  await house.db.update(attempts).set({ stripHash }).where(eq(attempts.id, id));
  return id;
}
/** Mean lightness well inside the shape that is drawn. */
async function insideOf(file: Uint8Array): Promise<number> {
  const { data, info } = await sharp(Buffer.from(file)).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  let [n, sum] = [0, 0];
  for (let y = 72; y < 168; y++)
    for (let x = 84; x < 140; x++, n++) {
      const p = info.channels * (y * info.width + x);
      const rgb = [0, 1, 2].map((c) => LINEAR_OF_CODE[data[p + c] as number] as number) as [number, number, number];
      sum += linearRgbToLab(rgb)[0];
    }
  return sum / n;
}
const view = (id: string) => viewOf(studio, id);

test('it is kept with every stroke, and says what the teacher showed', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const first = await keepCorrection(house, teacher, id, given(null), 0);
  expect(await keepCorrection(house, teacher, id, given(first.id, -9), 0)).toEqual({
    id: first.id,
    written: 1,
    isApart: false,
  });
  const own = await view(id);
  expect(own?.corrections).toMatchObject([{ id: first.id, name: 'Darker', withLetter: true, isOfBefore: false }]);
  const said = own?.critique?.items.find((i) => i.original.code === 'corrected_lightness');
  expect(said?.original.say).toContain('the third step is');
});

test('two tabs at once both keep what they drew, and are told', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  await keepCorrection(house, teacher, id, given(own, -9), 0);
  const late = await keepCorrection(house, teacher, id, given(own, -3), 0);
  expect(late).toMatchObject({ isApart: true });
  expect((await view(id))?.corrections.map((c) => [c.name, c.layers[0]?.change])).toEqual([
    ['Darker', { kind: 'lightness', by: -9 }],
    ['Darker (kept beside)', { kind: 'lightness', by: -3 }],
  ]);
  // The same again is the same, whoever wrote it.
  expect(await keepCorrection(house, teacher, id, given(own, -9), 0)).toMatchObject({ id: own, isApart: false });
});

test('what was drawn, chosen, set aside and removed is taken back with all else of the evening, the last first', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  await sitDownAt(house, teacher, (await attemptFor(house, teacher, id)).handIn.id);
  const one = await keepCorrection(house, teacher, id, given(null), 0);
  await keepCorrection(house, teacher, id, given(one.id, -9), 0);
  await setWord(house, teacher, id, 'Look at the third.', 0);
  await keepCorrection(house, teacher, id, given(one.id, -12), 1);
  await keepCorrection(house, teacher, id, given(one.id, -14), 2);
  const two = await keepCorrection(house, teacher, id, given(null, 8, 'Lighter'), 0);
  await sendWithLetter(house, teacher, id, two.id);
  await setCorrectionAside(house, teacher, id, one.id, 'Too much.');
  await sendWithLetter(house, teacher, id, one.id);
  await setCorrectionAside(house, teacher, id, one.id, 'Too much after all.');
  await removeCorrection(house, teacher, id, one.id);

  const stand = async () =>
    (await view(id))?.corrections.map((c) => [c.name, c.layers[0]?.change, c.setAside, c.withLetter]);
  const by = (l: number) => ({ kind: 'lightness', by: l });
  const back = () => takenBack(studio);
  const lighter = ['Lighter', by(8), null];
  expect(await back()).toContain('was removed');
  expect(await stand()).toEqual(expect.arrayContaining([['Darker', by(-14), 'Too much after all.', false]]));
  expect(await back()).toContain('set aside');
  expect(await stand()).toEqual(expect.arrayContaining([['Darker', by(-14), null, true]]));
  expect(await back()).toContain('goes with the letter');
  expect(await stand()).toEqual(
    expect.arrayContaining([
      ['Darker', by(-14), 'Too much.', false],
      [...lighter, true],
    ]),
  );
  await back();
  await back();
  expect(await stand()).toEqual(expect.arrayContaining([['Darker', by(-14), null, true]]));
  expect(await back()).toContain('drawn for');
  expect(await stand()).toHaveLength(1);
  // Strokes with nothing else in between are one.
  expect(await back()).toContain('change of a correction');
  expect(await stand()).toEqual([['Darker', by(-9), null, true]]);
  expect(await back()).toContain('your own words');
  expect(await back()).toContain('drawn for');
  expect(await stand()).toEqual([]);
  expect(await back()).toBeNull();
});

test('a correction that somebody drew on since stays as it is', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  await sitDownAt(house, teacher, (await attemptFor(house, teacher, id)).handIn.id);
  const own = await keepCorrection(house, teacher, id, given(null), 0);
  const { layers } = given(null, -20);
  const theirs = { name: 'Theirs', layers: { version: CORRECTION_VERSION, layers } as never };
  await house.db.update(corrections).set(theirs).where(eq(corrections.attemptId, id));
  await expect(takenBack(studio)).rejects.toThrow('changed once more');
  expect((await view(id))?.corrections).toMatchObject([{ id: own.id, name: 'Theirs' }]);
});

test('one way goes with the letter, another is set aside with a word, and a student sees the first alone', async () => {
  const { house, teacher, bea } = studio;
  const id = await measured();
  const [one, two] = [
    await keepCorrection(house, teacher, id, given(null), 0),
    await keepCorrection(house, teacher, id, given(null, 8, 'Lighter'), 0),
  ];
  await sendWithLetter(house, teacher, id, two.id);
  await setCorrectionAside(house, teacher, id, one.id, 'Too much at once.');
  expect((await view(id))?.corrections).toMatchObject([
    { setAside: 'Too much at once.', withLetter: false },
    { setAside: null, withLetter: true },
  ]);
  await expect(correctionFile(house, bea, two.id, 'picture')).rejects.toThrow(NotFound);
  await decide(house, teacher, id, 'again');
  expect((await correctionFile(house, bea, two.id, 'picture')).bytes.length).toBeGreaterThan(1000);
  await expect(correctionFile(house, bea, one.id, 'picture')).rejects.toThrow(NotFound);
  await expect(correctionFile(house, bea, two.id, 'layers')).rejects.toThrow(NotFound);
  expect((await myExercise(house, bea, studio.exerciseId)).attempts[0]?.letter?.correction).toEqual({
    id: two.id,
    written: 0,
  });
  await expect(keepCorrection(house, teacher, id, given(two.id), 0)).rejects.toThrow(Refused);
  await withdraw(house, teacher, id);
  await expect(correctionFile(house, bea, two.id, 'picture')).rejects.toThrow(NotFound);
});

test('what the layers say reads back from every file, and the picture below stays what it was', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  const [row] = await house.db.select().from(attempts).where(eq(attempts.id, id));
  const before = await house.files.read(row?.stripHash ?? '');
  expect(Buffer.from((await correctionFile(house, teacher, own, 'before')).bytes).equals(before)).toBe(true);
  const { bytes: looked } = await correctionFile(house, teacher, own, 'picture');
  const { bytes: taken } = await correctionFile(house, teacher, own, 'png');
  for (const file of [looked, taken])
    expect(Math.abs((await insideOf(file)) - (await insideOf(before)) + 6)).toBeLessThan(0.5);
  const png = await sharp(Buffer.from(taken)).metadata();
  const strip = await sharp(before).metadata();
  // A band below says what it is.
  expect([png.width, (png.height ?? 0) > (strip.height ?? 0)]).toEqual([strip.width, true]);
  const ora = Buffer.from((await correctionFile(house, teacher, own, 'layers')).bytes).toString('latin1');
  for (const part of ['image/openraster', 'stack.xml', 'data/painting.png', 'data/correction-1.png', 'mergedimage.png'])
    expect(ora).toContain(part);
});

test('a painting that is measured anew keeps its corrections, marked as of before', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  const [row] = await house.db.select().from(attempts).where(eq(attempts.id, id));
  const other = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#888' } })
    .jpeg()
    .toBuffer();
  const stripHash = await keepFile(house, other, 'image/jpeg');
  await house.db.update(attempts).set({ stripHash }).where(eq(attempts.id, id));
  expect((await view(id))?.corrections).toMatchObject([{ isOfBefore: true }]);
  // Its own picture is not swept.
  await sweepFiles(house, new Date(Date.now() + 3 * 24 * 3_600_000));
  expect((await correctionFile(house, teacher, own, 'before')).bytes.length).toBe(
    (await house.files.read(row?.stripHash ?? '')).length,
  );
});

test('it comes out with its student’s record, with the picture that it was drawn on', async () => {
  const { house, teacher, bea } = studio;
  const id = await measured();
  await keepCorrection(house, teacher, id, given(null), 0);
  const { stream } = await exportStudent(house, teacher, bea.studentId);
  const zip = await buffer(stream);
  expect(zip.includes('corrected/')).toBe(true);
});

test('nobody else has it, and it goes with its student', async () => {
  const { house, teacher, bea } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  const stranger = { ...teacher, userId: 'other' };
  await expect(correctionFile(house, stranger, own, 'picture')).rejects.toThrow(NotFound);
  await expect(keepCorrection(house, stranger, id, given(own), 0)).rejects.toThrow(NotFound);
  await expect(removeCorrection(house, stranger, id, own)).rejects.toThrow(NotFound);
  const [row] = await house.db.select().from(corrections).where(eq(corrections.id, own));
  await deleteStudent(house, teacher, bea.studentId);
  expect(await house.db.$count(corrections, eq(corrections.attemptId, id))).toBe(0);
  await expect(house.files.read(row?.pictureHash ?? '')).rejects.toThrow();
});

test.each<[string, unknown]>([
  ['a change of nobody’s', { ...layer(1), change: { kind: 'magic' } }],
  ['too much light', { ...layer(1), change: { kind: 'lightness', by: 400 } }],
  [
    'a place beside the picture',
    {
      ...layer(1),
      mask: {
        soft: 0,
        edits: [
          {
            kind: 'outline',
            adds: true,
            points: [
              [2, 2],
              [3, 2],
              [3, 3],
            ],
          },
        ],
      },
    },
  ],
])('%s is refused, and what was there stays', async (_, bad) => {
  const { house, teacher } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  await expect(keepCorrection(house, teacher, id, { ...given(own), layers: [bad] }, 0)).rejects.toThrow();
  expect((await view(id))?.corrections[0]?.layers).toHaveLength(1);
});

test('stored layers of another version are not read', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const { id: own } = await keepCorrection(house, teacher, id, given(null), 0);
  await house.db
    .update(corrections)
    .set({ layers: { version: (CORRECTION_VERSION + 1) as never, layers: [] } })
    .where(eq(corrections.id, own));
  await expect(view(id)).rejects.toThrow();
});
