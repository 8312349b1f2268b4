/** A class's paints: chosen, logged, learnt, brought in and out; a student's checks on the way to a step. */
import { pagesOf } from '@/workers/printing/job';
import { defaultTerms } from '@/core/kinds/table';
import type { LoggedMix } from '@/core/mixing/logged-mix';
import { dabChecks, palettes } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { NotFound, Refused, type Teacher } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { setExercise, pagesToPrint } from '../plan/exercises';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { checkDab, walkOf } from './checks';
import { myMixes } from './my-mixes';
import { setPalette, figuresFor, firstAsk, logMixByHand, paletteFor, takeOutMix } from './palettes';
import { importPalette, nearestMixes, paletteCsv, paletteGpl } from './palette-files';
import { shoppingFor } from './shelf';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

const mix = (black: number, lightness: number, more: Partial<LoggedMix> = {}): LoggedMix => ({
  parts: { 'titanium-white': 100 - black, 'ivory-black': black },
  lightness,
  a: null,
  b: null,
  wet: false,
  noise: 1,
  ...more,
});
const odo = async (): Promise<Teacher> => ({
  role: 'teacher',
  standing: 'teacher',
  userId: await studio.house.auth.createTeacher('Odo', `${Math.random()}@tidewell.example`, 'another-password'),
  name: 'Odo',
});
const get = () => paletteFor(studio.house, studio.teacher, studio.classId, 'gouache');

const shot = path.join(mkdtempSync(path.join(tmpdir(), 'fair-grey-dab-')), 'dab.jpg');
beforeAll(() =>
  sharp({ create: { width: 640, height: 640, channels: 3, background: '#888' } })
    .jpeg()
    .toFile(shot),
);
const reads = (lightness: number) =>
  studio.nextDab({ issues: [], reading: { lab: [lightness, 0, 0], uncertainty: 2, spread: 0.5 }, bare: false });

test('a class begins with white and black, and is asked for a mix of them', async () => {
  const palette = await get();
  expect(palette).toMatchObject({ paints: ['titanium-white', 'ivory-black'], fit: null, mixes: [] });
  expect(await firstAsk(studio.house, palette)).not.toBeNull();
});

test('logged mixes change what the class knows, its recipes and what it must buy', async () => {
  const { house, teacher, classId, exerciseId } = studio;
  const before =
    (await shoppingFor(house, teacher, exerciseId)).lines.find((l) => l.what === 'ivory-black')?.perStudent ?? 0;
  await logMixByHand(house, teacher, classId, 'gouache', mix(5, 41));
  await logMixByHand(house, teacher, classId, 'gouache', mix(1, 68));
  const { fit, mixes } = await get();
  expect(mixes.map((m) => m.source)).toEqual(['hand', 'hand']);
  expect(fit?.figures['ivory-black']?.tinting).toBeGreaterThan(7);
  expect(fit?.unsure).toHaveLength(9);
  expect(Math.abs(fit?.after[0] ?? 9)).toBeLessThan(Math.abs(fit?.before[0] ?? 0));
  expect(
    (await shoppingFor(house, teacher, exerciseId)).lines.find((l) => l.what === 'ivory-black')?.perStudent,
  ).toBeLessThan(before);
  expect(await figuresFor(house, classId, 'oil')).toEqual({});
  await takeOutMix(house, teacher, classId, mixes[0]?.id ?? '');
  await takeOutMix(house, teacher, classId, mixes[1]?.id ?? '');
  expect((await get()).fit).toBeNull();
});

test('nonsense is refused with why, and nothing of it is kept', async () => {
  const { house, teacher, classId } = studio;
  await logMixByHand(house, teacher, classId, 'gouache', mix(10, 52));
  for (const [wrong, words] of [
    [mix(10, 40), /same mix was read as/],
    [mix(50, 99.9), /lighter than the lightest/],
    [{ ...mix(10, 50), parts: {} }, /at least one part/],
    [{ ...mix(10, 50), parts: { 'burnt-umber': 1 } }, /not on this palette/],
  ] as const)
    await expect(logMixByHand(house, teacher, classId, 'gouache', wrong)).rejects.toThrow(words);
  expect((await get()).mixes).toHaveLength(1);
  await expect(
    setPalette(house, teacher, classId, 'gouache', { paints: ['titanium-white', 'burnt-umber'] }, null),
  ).rejects.toThrow(/ivory black: mixes with it are logged/);
  await expect(setPalette(house, teacher, classId, 'gouache', { paints: ['titanium-white'] }, null)).rejects.toThrow(
    'at least two',
  );
  await setPalette(
    house,
    teacher,
    classId,
    'gouache',
    { paints: ['titanium-white', 'ivory-black', 'burnt-umber'] },
    null,
  );
  expect((await get()).paints).toHaveLength(3);
});

test('figures go out and come in as CSV, swatches as GPL; the teacher’s own stand in for the catalogue', async () => {
  const { house, teacher, classId } = studio;
  await setPalette(
    house,
    teacher,
    classId,
    'gouache',
    { figures: { 'ivory-black': { massTone: [20, 1, 1], tinting: 6 } } },
    null,
  );
  const csv = paletteCsv(await get());
  expect(csv).toContain('ivory black,20,1,1,6');
  await importPalette(house, teacher, classId, 'gouache', csv.replace(',6', ',5').concat('burnt umber,22,9,10,2\n'));
  expect(await get()).toMatchObject({
    paints: ['titanium-white', 'ivory-black', 'burnt-umber'],
    figures: { 'ivory-black': { tinting: 5 } },
  });
  await expect(importPalette(house, teacher, classId, 'gouache', 'paint,tinting\nsnow,1')).rejects.toBeInstanceOf(
    Refused,
  );
  const gpl = paletteGpl(await get(), 'Tidewell');
  const found = await nearestMixes(house, teacher, classId, 'gouache', gpl);
  expect(found).toHaveLength(3 + 9);
  for (const f of found) expect(f.off).toBeLessThan(1.5);
  const many = `GIMP Palette\n${Array.from({ length: 4000 }, (_, i) => `${i % 256} 0 0 c${i}`).join('\n')}`;
  await expect(nearestMixes(house, teacher, classId, 'gouache', many)).rejects.toThrow('has 4000 colours');
});

test('a palette is its teacher’s', async () => {
  const { house, classId } = studio;
  const stranger = await odo();
  await expect(paletteFor(house, stranger, classId, 'gouache')).rejects.toBeInstanceOf(NotFound);
  await expect(logMixByHand(house, stranger, classId, 'gouache', mix(5, 50))).rejects.toBeInstanceOf(NotFound);
  await expect(takeOutMix(house, stranger, classId, 'x')).rejects.toBeInstanceOf(NotFound);
  await expect(takeOutMix(house, studio.teacher, classId, 'x')).rejects.toBeInstanceOf(NotFound);
});

test('a stored fit of an unknown version is told, not guessed at', async () => {
  const { house, teacher, classId } = studio;
  await logMixByHand(house, teacher, classId, 'gouache', mix(5, 50));
  const [row] = await house.db.select().from(palettes).where(eq(palettes.classId, classId));
  if (!row?.fit) throw new Error('no fit');
  await house.db
    .update(palettes)
    .set({ fit: { ...row.fit, version: 9 as 1 } })
    .where(eq(palettes.classId, classId));
  await expect(get()).rejects.toThrow();
});

test('checks of a dab say what to add, show as a walk, and teach the class only when asked', async () => {
  const { house, bea, exerciseId } = studio;
  const mine = await myMixes(house, bea, exerciseId);
  expect(mine?.lines.filter((l) => Number.isInteger(l.step))).toHaveLength(5);
  const target = 60;
  for (const l of [target + 9, target + 4, target + 0.3]) {
    reads(l);
    const told = await checkDab(house, bea, exerciseId, { step: 3, wet: false, asTheRecipe: false }, shot);
    expect(told.nudge).toMatchObject(l > target + 1 ? { add: 'dark' } : { add: null });
  }
  expect((await walkOf(house, bea, exerciseId)).map((c) => [c.step, Math.round(c.lightness)])).toEqual([
    [3, 69],
    [3, 64],
    [3, 60],
  ]);
  expect((await get()).mixes).toHaveLength(0);
  reads(57);
  await checkDab(house, bea, exerciseId, { step: 3, wet: false, asTheRecipe: true }, shot);
  const { mixes } = await get();
  expect(mixes).toMatchObject([{ source: 'photograph', mix: { lightness: 57, wet: false } }]);
  expect(mixes[0]?.mix.parts['ivory-black']).toBeGreaterThan(0);
  // The class's recipe has changed, so this is another mix; read as light as no mix with black can be, it is not learnt.
  reads(99.9);
  const odd = await checkDab(house, bea, exerciseId, { step: 3, wet: false, asTheRecipe: true }, shot);
  expect(odd.notLearnt).toMatch(/lighter than the lightest paint/);
  expect((await get()).mixes).toHaveLength(1);
});

test('wet counts as what it dries to', async () => {
  const { house, bea, exerciseId } = studio;
  reads(28);
  const told = await checkDab(house, bea, exerciseId, { step: 5, wet: true, asTheRecipe: false }, shot);
  expect(told.lightness).toBeGreaterThan(30);
});

test('what can’t be checked is refused in words: a bad picture, a bare dab, a step that is not there, another’s exercise', async () => {
  const { house, teacher, bea, exerciseId } = studio;
  const check = (step: number, id = exerciseId) =>
    checkDab(house, bea, id, { step, wet: false, asTheRecipe: false }, shot);
  studio.nextDab({
    issues: [{ code: 'blur', value: 2, limit: 1, box: null, say: 'Hold still.' }],
    reading: null,
    bare: false,
  });
  await expect(check(3)).rejects.toThrow('Hold still.');
  studio.nextDab({ issues: [], reading: { lab: [94, 0, 0], uncertainty: 2, spread: 0 }, bare: true });
  await expect(check(3)).rejects.toThrow('no paint on that dab');
  await expect(check(6)).rejects.toThrow('one of the steps');
  const stranger = await odo();
  await expect(
    setExercise(house, stranger, studio.classId, { title: 'x', note: '', dueAt: null, terms: defaultTerms('scale') }),
  ).rejects.toBeInstanceOf(NotFound);
  const notan = await setExercise(house, teacher, studio.classId, {
    title: 'Notan',
    note: '',
    dueAt: null,
    terms: defaultTerms('notan'),
  });
  await expect(check(1, notan)).rejects.toBeInstanceOf(Refused);
  expect(await myMixes(house, bea, notan)).toBeNull();
  expect(await walkOf(house, bea, exerciseId)).toEqual([]);
});

test('a student’s checks go with the student', async () => {
  const { house, teacher, bea, exerciseId } = studio;
  reads(60);
  await checkDab(house, bea, exerciseId, { step: 3, wet: false, asTheRecipe: false }, shot);
  await deleteStudent(house, teacher, bea.studentId);
  expect(await house.db.select().from(dabChecks).where(eq(dabChecks.studentId, bea.studentId))).toEqual([]);
});

test('the printed pages hold the mixes, by what the class knows', async () => {
  const { house, teacher, classId, exerciseId } = studio;
  const words = async () =>
    [...pagesOf(await pagesToPrint(house, teacher, exerciseId, null))].flatMap((p) =>
      p.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])),
    );
  const before = await words();
  expect(before).toContain('Five greys: the mixes');
  await logMixByHand(house, teacher, classId, 'gouache', mix(5, 41));
  expect(await words()).not.toEqual(before);
});
