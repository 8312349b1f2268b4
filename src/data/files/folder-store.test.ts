import { mkdtemp, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { FileMissing, type FileStore } from './file-store';
import { openFolderStore } from './folder-store';

const open = async (folder?: string) => {
  const at = folder ?? (await mkdtemp(path.join(tmpdir(), 'fair-grey-files-')));
  return { at, store: await openFolderStore(at) };
};

async function hashesIn(store: FileStore): Promise<string[]> {
  const hashes: string[] = [];
  for await (const { hash } of store.list()) hashes.push(hash);
  return hashes;
}

test('bytes come back as they were kept, under the hash of their content', async () => {
  const { store } = await open();
  const hash = await store.put(new Uint8Array([1, 2, 3]));
  expect(hash).toBe('039058c6f2c0cb492c533b0a4d14ef77cc0f78abccced5287d84a1a2011cfb81');
  expect([...(await store.read(hash))]).toEqual([1, 2, 3]);
});

test('the same bytes are kept once, whoever keeps them, at the same time too', async () => {
  const { store } = await open();
  const bytes = new Uint8Array(100_000).fill(7);
  const hashes = await Promise.all(Array.from({ length: 8 }, () => store.put(bytes)));
  expect(new Set(hashes).size).toBe(1);
  expect(await hashesIn(store)).toEqual([hashes[0]]);
  expect(await readdir(store.incoming)).toEqual([]);
});

test('what a killed upload left behind is gone at the next start', async () => {
  const { at, store } = await open();
  const kept = await store.put(new Uint8Array([5]));
  await writeFile(path.join(store.incoming, 'upload-half'), 'half');
  const again = await open(at);
  expect(await readdir(again.store.incoming)).toEqual([]);
  expect(await hashesIn(again.store)).toEqual([kept]);
});

test('a name that is no hash reaches no file', async () => {
  const { store } = await open();
  await expect(store.local('../../etc/passwd')).rejects.toThrow(RangeError);
});

test('removing is final, and removing twice is no error', async () => {
  const { store } = await open();
  const hash = await store.put(new Uint8Array([4]));
  await store.remove(hash);
  await store.remove(hash);
  expect(await hashesIn(store)).toEqual([]);
  expect(await store.free()).toBeGreaterThan(0);
});

test('what is missing, or is no longer what it was, is told and never handed out', async () => {
  const { store } = await open();
  const hash = await store.put(new Uint8Array([6]));
  await writeFile(await store.local(hash), 'something else');
  await expect(store.read(hash)).rejects.toThrow(FileMissing);
  await expect(store.local(hash)).rejects.toThrow(FileMissing);
  await store.remove(hash);
  await expect(store.read(hash)).rejects.toThrow('missing');
});

test('what another process has on its way is left to it', async () => {
  const { at, store } = await open();
  await writeFile(path.join(store.incoming, 'upload-half'), 'half');
  await openFolderStore(at, false);
  expect(await readdir(store.incoming)).toEqual(['upload-half']);
});
