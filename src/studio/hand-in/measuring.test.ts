/** What becomes of a measurement when processes end, when several are at work, and when it goes wrong again and again. */
import { attempts } from '@/data/schema/tables';
import { eq, sql } from 'drizzle-orm';
import { eachInOwnHouse, resultWith, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { notMeasuredOf } from '../views/today';
import { giveUpOn, measureAttempt, queueWhatWaits, takeUpAgain } from './measuring';
import { tryAgain } from './receive';

let studio: TestStudio;
eachInOwnHouse((fresh) => {
  studio = fresh;
});

async function attemptOf(id: string) {
  const [row] = await studio.house.db.select().from(attempts).where(eq(attempts.id, id));
  return { state: row?.state, number: row?.number };
}

const jobsOf = async (attemptId: string) => {
  const { rows } = (await studio.house.db.execute(
    sql`select state from pgboss.job where data->>'attemptId' = ${attemptId}`,
  )) as { rows: { state: string }[] };
  return rows.map((row) => row.state);
};

test('what has no job any longer is taken up again, once', async () => {
  const id = await studio.send(studio.bea, 10);
  await studio.house.db.update(attempts).set({ state: 'measuring' }).where(eq(attempts.id, id));
  expect(await takeUpAgain(studio.house)).toBe(0);
  await studio.house.db.execute(sql`delete from pgboss.job where data->>'attemptId' = ${id}`);
  expect(await takeUpAgain(studio.house)).toBe(1);
  expect([await jobsOf(id), (await attemptOf(id)).state]).toEqual([['created'], 'queued']);
  await measureAttempt(studio.house, id);
  // The job comes twice; the second time there is nothing to do.
  await measureAttempt(studio.house, id);
  expect(await attemptOf(id)).toMatchObject({ state: 'measured', number: 1 });
});

test('what another process has under way is left to it, unless no other can be there', async () => {
  const id = await studio.send(studio.bea, 10);
  await studio.house.db.execute(sql`update pgboss.job set state = 'active' where data->>'attemptId' = ${id}`);
  await takeUpAgain({ ...studio.house, alone: false });
  expect(await jobsOf(id)).toEqual(['active']);
  await takeUpAgain({ ...studio.house, alone: true });
  expect(await jobsOf(id)).toEqual(['retry']);
});

test('a job is there if its attempt is, and not if the attempt came to nothing', async () => {
  const before = await studio.house.queue.waiting();
  await expect(
    studio.house.db.transaction(async (tx) => {
      await studio.house.queue.send({ attemptId: 'nobody' }, tx);
      throw new Error('The disk is full.');
    }),
  ).rejects.toThrow('full');
  expect(await jobsOf('nobody')).toEqual([]);
  await studio.send(studio.bea, 10);
  expect((await studio.house.queue.waiting()).jobs).toBe(before.jobs + 1);
});

test('what fails by our fault is handed back for another try, and in the end given up with a word', async () => {
  studio.next(new Error('A thread ended.'));
  const id = await studio.send(studio.bea, 10);
  await expect(measureAttempt(studio.house, id)).rejects.toThrow('thread');
  expect((await attemptOf(id)).state).toBe('queued');
  await giveUpOn(studio.house, id);
  const view = await myExercise(studio.house, studio.bea, studio.exerciseId);
  expect(view.attempts[0]).toMatchObject({ state: 'failed', trouble: expect.stringContaining('our fault') as string });
});

test('whoever had a measurement before it was given to another cannot end it any more', async () => {
  const id = await studio.send(studio.bea, 10);
  let slow: (result: ReturnType<typeof resultWith>) => void = () => undefined;
  let begun: () => void = () => undefined;
  const running = new Promise<void>((resolve) => (begun = resolve));
  studio.next(() => {
    begun();
    return new Promise((resolve) => (slow = resolve));
  });
  const first = measureAttempt(studio.house, id);
  await running;
  studio.next(resultWith(false));
  await measureAttempt(studio.house, id);
  slow(resultWith(true));
  await first;
  expect((await attemptOf(id)).state).toBe('refused');
});

test('what is given up while the disk is full goes on by itself once there is room', async () => {
  const { house } = studio;
  const full = { ...house, files: { ...house.files, free: () => Promise.resolve(0) } };
  const id = await studio.send(studio.bea, 10);
  await house.db.execute(sql`update pgboss.job set state = 'failed' where data->>'attemptId' = ${id}`);
  await giveUpOn({ ...full, settings: { ...house.settings, minFree: 1 } }, id);
  expect((await attemptOf(id)).state).toBe('queued');
  await queueWhatWaits(house);
  expect(await jobsOf(id)).toContain('created');
  await measureAttempt(house, id);
  expect((await attemptOf(id)).state).toBe('measured');
});

test('a photograph that is missing is looked for again before anybody is told', async () => {
  const { house } = studio;
  const id = await studio.send(studio.bea, 12);
  const [row] = await house.db.select().from(attempts).where(eq(attempts.id, id));
  await house.files.remove(row?.photoHash ?? '');
  await expect(measureAttempt(house, id)).rejects.toThrow('missing');
  expect((await attemptOf(id)).state).toBe('queued');
  await giveUpOn(house, id);
  const view = await myExercise(house, studio.bea, studio.exerciseId);
  expect(view.attempts[0]).toMatchObject({ state: 'failed', trouble: expect.stringContaining('backup') as string });
});

test('what was given up on stands before its teacher until it is tried again, or another picture comes', async () => {
  const { house, teacher, bea, ruta } = studio;
  const [first, second] = [await studio.send(bea, 10), await studio.send(ruta, 20)];
  for (const id of [first, second]) await giveUpOn(house, id);
  const stand = async () => (await notMeasuredOf(house, teacher)).map((p) => [p.attemptId, p.student]);
  expect(await stand()).toEqual([
    [first, 'Bea Lindqvarn'],
    [second, 'Ruta Vane'],
  ]);
  expect((await notMeasuredOf(house, teacher))[0]?.trouble).toMatch(/The picture is kept: try again/);
  expect(await notMeasuredOf(house, { ...teacher, userId: 'somebody-else' })).toEqual([]);
  await tryAgain(house, teacher, first);
  await measureAttempt(house, await studio.send(ruta, 30));
  expect(await stand()).toEqual([]);
});
