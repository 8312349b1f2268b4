/** What a class knows of its printed greys: brought in, given out, carried over, forgotten; measured by from then on. */
import type { Triple } from '@/core/colour/srgb';
import { parseCardFile } from '@/core/formats/card-file';
import { cardLightness } from '@/core/sheet/card';
import { sheetFrame } from '@/core/sheet/frame';
import path from 'node:path';
import sharp from 'sharp';
import { classOf, NotFound, type Teacher } from '../access/actor';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { bringInCard, cardFile, carryCardOver, forgetCard } from './cards';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

const { patches } = sheetFrame('a4');
/** A print that much darker than it should be. */
const printed = (darker: number) => ({
  paper: [95 - darker, 0.3, -1] as Triple,
  patches: new Map(patches.map((p, i) => [i + 1, [cardLightness(p.code) - darker, 0.2, 0.4] as Triple])),
});
const csv = (darker: number) =>
  [
    'patch,lightness,a,b',
    `paper,${95 - darker},0.3,-1`,
    ...patches.map((p, i) => `${i + 1},${cardLightness(p.code) - darker},0.2,0.4`),
  ].join('\n');
const known = async () => (await classOf(studio.house, studio.teacher, studio.classId)).card;

async function photograph(): Promise<string> {
  const file = path.join(studio.house.files.incoming, 'two-sheets.jpg');
  await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
    .jpeg()
    .toFile(file);
  return file;
}
const carry = async (side: 'left' | 'right' = 'left') =>
  carryCardOver(studio.house, studio.teacher, studio.classId, await photograph(), side);

test('readings come in, come out the same in both formats, and sheets are measured by them', async () => {
  const { house, teacher, classId, bea } = studio;
  await bringInCard(house, teacher, classId, csv(2));
  expect(await known()).toMatchObject({ basis: 'measured' });
  for (const as of ['csv', 'cgats'] as const) {
    const back = parseCardFile(await cardFile(house, teacher, classId, as));
    expect(back.patches.size).toBe(patches.length);
    expect(back.patches.get(3)?.[0]).toBeCloseTo(cardLightness(patches[2]?.code ?? 0) - 2, 2);
  }
  await measureAttempt(house, await studio.send(bea, 40));
  expect(studio.lastTask()).toMatchObject({ task: 'measure-scale', card: { basis: 'measured' } });
  await forgetCard(house, teacher, classId);
  expect(await known()).toBeNull();
  await expect(cardFile(house, teacher, classId, 'csv')).rejects.toBeInstanceOf(NotFound);
});

test('what is no card is told with what is wrong in it, and what was known stays', async () => {
  const { house, teacher, classId } = studio;
  await bringInCard(house, teacher, classId, csv(2));
  for (const text of ['', 'patch,lightness,a,b\n1,50,0,0', csv(40), 'hello'])
    await expect(bringInCard(house, teacher, classId, text)).rejects.toThrow();
  expect((await known())?.patches).toHaveLength(patches.length);
});

test('a card is carried over to a new print, and it is said how it is known', async () => {
  const { house, teacher, classId } = studio;
  await bringInCard(house, teacher, classId, csv(2));
  studio.nextCarried(printed(4));
  await carry('right');
  expect(studio.lastTask()).toMatchObject({ task: 'carry', known: 'right', card: { basis: 'measured' } });
  expect(await known()).toMatchObject({
    basis: 'carried',
    name: expect.stringMatching(/^carried over on \d{4}-/) as string,
  });
  expect((await known())?.paper?.[0]).toBe(91);
});

test('nothing known, one sheet only, readings that can’t be right: told, and the card stays', async () => {
  const { house, teacher, classId } = studio;
  await expect(carry()).rejects.toThrow('bring in readings of a sheet first');
  await bringInCard(house, teacher, classId, csv(2));
  studio.nextCarried(null);
  await expect(carry()).rejects.toThrow('Only one sheet was found.');
  studio.nextCarried(printed(50));
  await expect(carry()).rejects.toThrow('take the picture once more');
  expect(await known()).toMatchObject({ basis: 'measured' });
});

test('a class’s card is nobody else’s business', async () => {
  const { house, classId } = studio;
  const userId = await house.auth.createTeacher('Odo Marrick', `${Math.random()}@tidewell.example`, 'another-password');
  const odo: Teacher = { role: 'teacher', standing: 'teacher', userId, name: 'Odo Marrick' };
  await expect(bringInCard(house, odo, classId, csv(2))).rejects.toBeInstanceOf(NotFound);
  await expect(cardFile(house, odo, classId, 'csv')).rejects.toBeInstanceOf(NotFound);
  await expect(carryCardOver(house, odo, classId, await photograph(), 'left')).rejects.toBeInstanceOf(NotFound);
  await expect(forgetCard(house, odo, classId)).rejects.toBeInstanceOf(NotFound);
});
