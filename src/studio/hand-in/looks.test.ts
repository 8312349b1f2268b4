/** A look in mid-work is the student's own: one at a time, never a hand-in, gone when they are. */
import { defaultTerms } from '@/core/kinds/table';
import { LOOK_VERSION, type StoredLook } from '@/core/look/stored-look';
import { handIns, looks } from '@/data/schema/tables';
import type { LookTaken } from '@/workers/tasks/look';
import { eq } from 'drizzle-orm';
import { readdir } from 'node:fs/promises';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { NotFound, Refused } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { exportStudent } from '../class/records';
import { setExercise } from '../plan/exercises';
import { eachInOwnHouse, type TestStudio } from '../test-studio';
import { rackOf } from '../views/rack';
import { waitingOf } from '../views/today';
import { lookPicture, markLook, myLook, takeLook } from './looks';

let studio: TestStudio;
eachInOwnHouse((fresh) => {
  studio = fresh;
});

/** Two steps side by side, the second much too light. */
const seen: StoredLook = {
  version: LOOK_VERSION,
  aspect: 2,
  relative: false,
  tolerance: 10,
  stepSize: 20,
  cells: [1, 2].map((step) => ({
    step,
    rings: [
      [
        [(step - 1) / 2, 0],
        [step / 2, 0],
        [step / 2, 1],
        [(step - 1) / 2, 1],
      ],
    ],
  })),
  steps: [
    { step: 1, lightness: 90, target: 90, uncertainty: 1, painted: true },
    { step: 2, lightness: 90, target: 70, uncertainty: 1, painted: true },
  ],
};
const taken = (shade: number): LookTaken => ({ look: seen, issues: [], picture: new Uint8Array([shade]) });

async function photograph(): Promise<string> {
  const file = path.join(studio.house.files.incoming, 'look.jpg');
  await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
    .jpeg()
    .toFile(file);
  return file;
}
async function look(shade = 1): Promise<void> {
  studio.nextLook(taken(shade));
  await takeLook(studio.house, studio.bea, studio.exerciseId, await photograph());
}
const stored = async () =>
  (await readdir(path.join(studio.house.settings.folder, 'files'), { recursive: true, withFileTypes: true })).filter(
    (f) => f.isFile(),
  ).length;

test('before the student asks it holds no reading; then it says what the measurement makes of the marks', async () => {
  const { house, bea, exerciseId } = studio;
  expect(await myLook(house, bea, exerciseId)).toBeNull();
  await look();
  const before = await myLook(house, bea, exerciseId);
  expect(before).toMatchObject({ aspect: 2, told: null });
  expect(before?.wanted.map((w) => w.lightness)).toEqual([90, 70]);
  await markLook(house, bea, exerciseId, [
    { x: 0.7, y: 0.5 },
    { x: 0.2, y: 0.5 },
  ]);
  const told = (await myLook(house, bea, exerciseId))?.told;
  expect(told?.marks.map((m) => m.seen)).toEqual([true, false]);
  expect(told?.marks[0]?.say).toContain('about a step too light');
  expect(told?.rest).toBe('Nothing else is off.');
});

test('once the measurement has answered, the marks stay; another look starts anew', async () => {
  const { house, bea, exerciseId } = studio;
  await look();
  await expect(
    markLook(
      house,
      bea,
      exerciseId,
      [1, 2, 3, 4].map(() => ({ x: 0, y: 0 })),
    ),
  ).rejects.toThrow('up to 3');
  await markLook(house, bea, exerciseId, []);
  expect((await myLook(house, bea, exerciseId))?.told?.rest).toContain('would have marked');
  await expect(markLook(house, bea, exerciseId, [])).rejects.toThrow('another look');
  const first = await myLook(house, bea, exerciseId);
  await look(2);
  const second = await myLook(house, bea, exerciseId);
  expect(second).toMatchObject({ told: null });
  expect(second?.id).not.toBe(first?.id);
});

test('it is no hand-in, and only the last one is kept', async () => {
  const { house, bea, teacher, classId, exerciseId } = studio;
  const before = await stored();
  await look(21);
  await look(22);
  expect(await stored()).toBe(before + 1);
  expect([...(await lookPicture(house, bea, exerciseId))]).toEqual([22]);
  expect(await house.db.select().from(handIns).where(eq(handIns.studentId, bea.studentId))).toEqual([]);
  expect((await waitingOf(house, teacher)).total).toBe(0);
  expect((await rackOf(house, teacher, classId)).cells.filter((c) => c.glance)).toEqual([]);
});

test('nobody else finds it', async () => {
  const { house, ruta, exerciseId } = studio;
  await look();
  expect(await myLook(house, ruta, exerciseId)).toBeNull();
  await expect(lookPicture(house, ruta, exerciseId)).rejects.toBeInstanceOf(NotFound);
  await expect(markLook(house, ruta, exerciseId, [])).rejects.toBeInstanceOf(NotFound);
});

test('a picture that can’t be used is told with what to do, and the last look stays', async () => {
  const { house, bea, exerciseId } = studio;
  await look(1);
  studio.nextLook({
    look: null,
    issues: [{ code: 'blur', value: 2, limit: 1, box: null, say: 'Hold still.' }],
    picture: null,
  });
  await expect(takeLook(house, bea, exerciseId, await photograph())).rejects.toThrow('Hold still.');
  studio.nextLook({ look: null, issues: [], picture: null });
  await expect(takeLook(house, bea, exerciseId, await photograph())).rejects.toBeInstanceOf(Refused);
  expect([...(await lookPicture(house, bea, exerciseId))]).toEqual([1]);
});

test('it is measured as it is framed, and kinds that nothing is read of have none', async () => {
  const { house, bea, teacher, classId, exerciseId } = studio;
  studio.nextLook(taken(1));
  const corners = [0.1, 0.9].flatMap((y) => [
    { x: 0.1, y },
    { x: 0.9, y },
  ]);
  await takeLook(house, bea, exerciseId, await photograph(), { kind: 'marked', corners });
  expect(studio.lastTask()).toMatchObject({
    task: 'look',
    target: { kind: 'marked' },
    expected: { exercise: exerciseId, student: bea.studentId },
  });
  const byEye = await setExercise(house, teacher, classId, {
    title: 'By eye',
    note: '',
    dueAt: null,
    terms: defaultTerms('notan'),
  });
  await expect(takeLook(house, bea, byEye, await photograph())).rejects.toThrow('looked at by your teacher');
});

test('it comes out with the student’s record and goes when they do', async () => {
  const { house, bea, teacher } = studio;
  const before = await stored();
  await look(31);
  const zip = await buffer((await exportStudent(house, teacher, bea.studentId)).stream);
  expect(zip.includes('looks/')).toBe(true);
  await deleteStudent(house, teacher, bea.studentId);
  expect(await house.db.select().from(looks).where(eq(looks.studentId, bea.studentId))).toEqual([]);
  expect(await stored()).toBe(before);
});
