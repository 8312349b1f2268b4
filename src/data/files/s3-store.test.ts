/** A store that speaks S3, stood in for by an emulator: what a folder promises holds there too. */
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import S3rver from 's3rver';
import { FileMissing, type FileStore } from './file-store';
import { openS3Store } from './s3-store';

const fresh = () => mkdtemp(path.join(tmpdir(), 'fair-grey-s3-'));
let emulator: S3rver;
let endpoint = '';

beforeAll(async () => {
  process.env['AWS_ACCESS_KEY_ID'] = 'S3RVER';
  process.env['AWS_SECRET_ACCESS_KEY'] = 'S3RVER';
  emulator = new S3rver({ port: 0, silent: true, directory: await fresh(), configureBuckets: [{ name: 'studio' }] });
  const { port } = await emulator.run();
  endpoint = `http://127.0.0.1:${port}`;
});
afterAll(() => emulator.close());

const machine = async () => {
  const folder = await fresh();
  return { folder, store: await openS3Store(folder, { endpoint, region: 'us-east-1', bucket: 'studio' }) };
};
async function hashesIn(store: FileStore): Promise<string[]> {
  const hashes: string[] = [];
  for await (const { hash } of store.list()) hashes.push(hash);
  return hashes;
}

test('what one machine keeps another one reads, under the hash of its content', async () => {
  const [here, there] = [await machine(), await machine()];
  const hash = await here.store.put(new Uint8Array([1, 2, 3]));
  expect(hash).toBe('039058c6f2c0cb492c533b0a4d14ef77cc0f78abccced5287d84a1a2011cfb81');
  expect(await there.store.has(hash)).toBe(true);
  expect([...(await there.store.read(hash))]).toEqual([1, 2, 3]);
  expect(await hashesIn(there.store)).toContain(hash);
  expect(await here.store.put(new Uint8Array([1, 2, 3]))).toBe(hash);
});

test('a file is fetched once, and anew where the copy was damaged', async () => {
  const { folder, store } = await machine();
  const hash = await store.put(new Uint8Array([4, 5]));
  const copy = await store.local(hash);
  expect(copy).toBe(path.join(folder, 'copies', hash));
  await writeFile(copy, 'something else');
  await store.local(hash);
  expect([...(await store.read(hash))]).toEqual([4, 5]);
  expect(await readdir(path.join(folder, 'copies'))).toEqual([hash]);
});

test('what was removed is missing for everybody, and removing twice is no error', async () => {
  const [here, there] = [await machine(), await machine()];
  const hash = await here.store.put(new Uint8Array([7]));
  await there.store.remove(hash);
  await there.store.remove(hash);
  expect(await here.store.has(hash)).toBe(false);
  await expect(here.store.read(hash)).rejects.toThrow(FileMissing);
  await expect(here.store.local(hash)).rejects.toThrow(FileMissing);
});

test('a store that is not there is not taken for one without the file', async () => {
  const folder = await fresh();
  const away = await openS3Store(folder, { endpoint: 'http://127.0.0.1:9', region: 'us-east-1', bucket: 'studio' });
  await expect(away.has('0'.repeat(64))).rejects.not.toThrow(FileMissing);
  await rm(folder, { recursive: true });
});
