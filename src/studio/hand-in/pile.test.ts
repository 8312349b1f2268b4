import { cardLightness } from '@/core/sheet/card';
import { sheetFrame } from '@/core/sheet/frame';
import type { SheetTag } from '@/core/sheet/qr';
import { newId } from '@/data/schema/ids';
import { attempts, classes, files, handIns } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { NotFound, Refused } from '../access/actor';
import { bringInCard, cardFile, forgetCard } from '../class/cards';
import { createClass } from '../class/people';
import { eachInOwnHouse, type TestStudio } from '../test-studio';
import { measureAttempt } from './measuring';
import { discardFromTray, giveFromTray, sortIntoClass, trayOf, trayPicture } from './pile';

let s: TestStudio;
eachInOwnHouse((studio) => {
  s = studio;
});

async function picture(shade: number): Promise<string> {
  const file = path.join(s.house.files.incoming, `pile-${newId()}`);
  await writeFile(
    file,
    await sharp({ create: { width: 8, height: 8, channels: 3, background: { r: shade, g: shade, b: shade } } })
      .jpeg()
      .toBuffer(),
  );
  return file;
}

const tag = (change: Partial<SheetTag> = {}): SheetTag => ({
  kind: 'scale',
  steps: 5,
  paper: 'a4',
  exercise: s.exerciseId,
  student: s.bea.studentId,
  ...change,
});
const sort = async (shade: number, own: SheetTag | null) => {
  s.nextSorted({
    sheets: [{ tag: own, cut: null, small: new Uint8Array([shade]) }],
    say: null,
    small: new Uint8Array([shade]),
  });
  return sortIntoClass(s.house, s.teacher, s.classId, 'one.jpg', await picture(shade));
};

test('a picture goes to the student and the exercise that its code names, once', async () => {
  expect(await sort(10, tag())).toEqual([
    { name: 'one.jpg', kind: 'handed-in', student: 'Bea Lindqvarn', exercise: 'Five greys' },
  ]);
  expect(await sort(10, tag())).toMatchObject([{ kind: 'known' }]);
  const rows = await s.house.db
    .select({ id: attempts.id })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .where(eq(handIns.studentId, s.bea.studentId));
  expect(rows).toHaveLength(1);
});

test('what has no name, belongs to another class or to nobody any more waits in the tray', async () => {
  const elsewhere = await createClass(s.house, s.teacher, 'Harbour mornings', 'white-is-one', 'HRBMOR');
  s.nextSorted({
    sheets: [{ tag: tag(), cut: null, small: new Uint8Array([1]) }],
    say: null,
    small: new Uint8Array([1]),
  });
  expect(await sortIntoClass(s.house, s.teacher, elsewhere, 'other.jpg', await picture(20))).toMatchObject([
    { kind: 'tray', say: 'This sheet belongs to another class.' },
  ]);
  expect((await sort(21, tag({ student: null })))[0]).toMatchObject({
    kind: 'tray',
    say: expect.stringMatching(/carries no name/) as string,
  });
  expect((await sort(22, tag({ exercise: 'gone' })))[0]).toMatchObject({
    say: expect.stringMatching(/not here any more/) as string,
  });
  expect((await sort(23, null))[0]).toMatchObject({ say: expect.stringMatching(/could not be read/) as string });
  expect((await sort(23, null))[0]).toMatchObject({ kind: 'known' });
  expect(await trayOf(s.house, s.teacher, s.classId)).toHaveLength(3);
});

test('two sheets in one picture go two ways', async () => {
  const cut = async (shade: number) =>
    sharp({ create: { width: 9, height: 9, channels: 3, background: { r: shade, g: 0, b: 0 } } })
      .png()
      .toBuffer();
  s.nextSorted({
    sheets: [
      { tag: tag(), cut: await cut(30), small: new Uint8Array([3]) },
      { tag: tag({ student: s.ruta.studentId }), cut: await cut(31), small: new Uint8Array([4]) },
    ],
    say: null,
    small: new Uint8Array([5]),
  });
  const outcomes = await sortIntoClass(s.house, s.teacher, s.classId, 'two.jpg', await picture(32));
  expect(outcomes.map((o) => (o.kind === 'handed-in' ? [o.name, o.student] : o))).toEqual([
    ['two.jpg, sheet 1', 'Bea Lindqvarn'],
    ['two.jpg, sheet 2', 'Ruta Vane'],
  ]);
});

test('a stray is given by hand or thrown away for good, and only by its own teacher', async () => {
  await sort(40, null);
  await sort(41, null);
  const [first, second] = await trayOf(s.house, s.teacher, s.classId);
  expect(await trayPicture(s.house, s.teacher, first?.id ?? '')).toEqual(Buffer.from([40]));
  const stranger = { ...s.teacher, userId: 'somebody-else' };
  await expect(trayPicture(s.house, stranger, first?.id ?? '')).rejects.toThrow(NotFound);
  await giveFromTray(s.house, s.teacher, first?.id ?? '', { studentId: s.ruta.studentId, exerciseId: s.exerciseId });
  await expect(
    giveFromTray(s.house, s.teacher, second?.id ?? '', { studentId: 'forged', exerciseId: s.exerciseId }),
  ).rejects.toThrow(NotFound);
  const before = (await s.house.db.select().from(files)).length;
  await discardFromTray(s.house, s.teacher, second?.id ?? '');
  expect(await trayOf(s.house, s.teacher, s.classId)).toEqual([]);
  expect((await s.house.db.select().from(files)).length).toBe(before - 2);
});

test('a file that is no picture is an outcome, not an error', async () => {
  s.next(new Error('not asked for'));
  const file = path.join(s.house.files.incoming, `pile-${newId()}`);
  await writeFile(file, 'Dear Hesper');
  s.nextSorted(null);
  expect(await sortIntoClass(s.house, s.teacher, s.classId, 'letter.jpg', file)).toMatchObject([
    { name: 'letter.jpg', kind: 'refused' },
  ]);
});

test('a class’s card is checked, kept, given out in both formats, and goes with what is measured from then on', async () => {
  const csv = [
    'patch,lightness,a,b',
    ...sheetFrame('a4').patches.map((p, i) => `${i + 1},${(cardLightness(p.code) - 1).toFixed(2)},0,-1`),
  ].join('\n');
  await expect(bringInCard(s.house, s.teacher, s.classId, csv.replace('\n3,', '\n33,'))).rejects.toThrow(Refused);
  await expect(cardFile(s.house, s.teacher, s.classId, 'csv')).rejects.toThrow(NotFound);
  await bringInCard(s.house, s.teacher, s.classId, csv);
  expect(await cardFile(s.house, s.teacher, s.classId, 'cgats')).toMatch(/BEGIN_DATA\n1 /);
  expect((await cardFile(s.house, s.teacher, s.classId, 'csv')).split('\n')).toHaveLength(22);
  const id = await s.send(s.bea, 50);
  await measureAttempt(s.house, id);
  expect(s.lastTask()).toMatchObject({ task: 'measure-scale', card: { basis: 'measured' } });
  await forgetCard(s.house, s.teacher, s.classId);
  expect((await s.house.db.select().from(classes).where(eq(classes.id, s.classId)))[0]?.card).toBeNull();
});
