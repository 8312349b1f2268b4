/** The built worker threads: what they answer, what they tell on the way, how they are stopped. */
import { defaultTerms } from '@/core/kinds/table';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { UnusablePicture } from './decoding/decode';
import { openPool, TaskCancelled, TaskTimedOut, type WorkerPool } from './pool';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-pool-'));
let pool: WorkerPool;
beforeAll(() => {
  pool = openPool();
});
afterAll(() => pool.close());

const task = (file: string) => ({
  task: 'measure-scale' as const,
  file,
  orientation: null,
  terms: defaultTerms('scale'),
  numbering: 'white-is-one' as const,
  expected: { exercise: null, student: null },
});
const grey = async (name: string, width = 400, height = 300) => {
  const file = path.join(folder, name);
  await sharp({ create: { width, height, channels: 3, background: '#999' } })
    .jpeg()
    .toFile(file);
  return file;
};

test('stages are told in order, and all of them before the end', async () => {
  const told: string[] = [];
  const result = await pool.run(task(await grey('plain.jpg')), { onStage: (stage) => told.push(stage) });
  expect(result.capture).toMatchObject({ accepted: false, target: null });
  expect(told).toEqual(['opening the picture', 'finding the sheet']);
});

test('what is wrong with a picture comes through the thread as words for its sender', async () => {
  const file = path.join(folder, 'letter.jpg');
  writeFileSync(file, 'Dear Hesper');
  await expect(pool.run(task(file))).rejects.toBeInstanceOf(UnusablePicture);
  await expect(pool.run(task(path.join(folder, 'gone.jpg')))).rejects.toThrow();
});

test('a task is cancelled, and one that takes too long is ended; the pool goes on', async () => {
  const large = await grey('large.jpg', 7000, 5000);
  const abort = new AbortController();
  const running = pool.run(task(large), { signal: abort.signal });
  abort.abort();
  await expect(running).rejects.toBeInstanceOf(TaskCancelled);
  await expect(pool.run(task(large), { limitMs: 5 })).rejects.toBeInstanceOf(TaskTimedOut);
  expect((await pool.run(task(await grey('after.jpg')))).kind).toBe('scale');
});

test('pictures to look at: small, upright, and a strip only where a sheet is', async () => {
  const { preview, strip } = await pool.run({
    task: 'pictures',
    file: await grey('side.jpg', 3000, 2000),
    orientation: 6,
    terms: defaultTerms('notan'),
  });
  const { width, height } = await sharp(preview).metadata();
  expect([width, height]).toEqual([1067, 1600]);
  expect(strip).toBeNull();
});
