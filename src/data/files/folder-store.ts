/** Files in a folder. A file is whole or not there: it is written aside, synced, renamed. */
import { mkdir, open, readdir, readFile, rename, rm, stat, statfs, utimes } from 'node:fs/promises';
import path from 'node:path';
import { checkBytes, checkHash, FileMissing, type FileStore, hashOf, hashOfFile, type Kept } from './file-store';

/** What lies about on its way for longer than this belongs to a process that ended. */
export const FORGOTTEN_MS = 24 * 3_600_000;

async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r');
  await handle.sync().finally(() => handle.close());
}

/** A folder for what is on its way; with `alone` nobody else can have anything in it. */
export async function openIncoming(dataFolder: string, alone: boolean): Promise<string> {
  const incoming = path.join(dataFolder, 'incoming');
  await mkdir(incoming, { recursive: true });
  for (const name of await readdir(incoming)) {
    const file = path.join(incoming, name);
    const { mtimeMs } = await stat(file).catch(() => ({ mtimeMs: Infinity }));
    if (alone || Date.now() - mtimeMs > FORGOTTEN_MS) await rm(file, { recursive: true, force: true });
  }
  return incoming;
}

/** Bytes free where a folder lies. */
export async function freeBytes(folder: string): Promise<number> {
  const s = await statfs(folder);
  return s.bavail * s.bsize;
}

/** Writes a file whole or not at all. */
export async function writeWhole(target: string, bytes: Uint8Array, incoming: string): Promise<void> {
  await mkdir(path.dirname(target), { recursive: true });
  const aside = path.join(incoming, `${path.basename(target)}.${process.pid}.${Math.random().toString(36).slice(2)}`);
  try {
    const handle = await open(aside, 'wx');
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(aside, target);
  } catch (error) {
    await rm(aside, { force: true });
    throw error;
  }
  await syncFolder(path.dirname(target));
}

/** `alone`: whether no other process has this folder. */
export async function openFolderStore(dataFolder: string, alone = true): Promise<FileStore> {
  const root = path.join(dataFolder, 'files');
  await mkdir(root, { recursive: true });
  const incoming = await openIncoming(dataFolder, alone);
  const place = (hash: string) => path.join(root, checkHash(hash).slice(0, 2), hash);
  const read = async (hash: string) =>
    checkBytes(
      hash,
      await readFile(place(hash)).catch((error: NodeJS.ErrnoException) => {
        throw error.code === 'ENOENT' ? new FileMissing() : error;
      }),
    );
  return {
    incoming,
    read,
    async has(hash) {
      return (await stat(place(hash)).catch(() => null)) !== null;
    },
    async local(hash) {
      if ((await hashOfFile(place(hash))) !== hash) throw new FileMissing();
      return place(hash);
    },
    async put(bytes) {
      const hash = hashOf(bytes);
      const target = place(hash);
      const now = new Date();
      const isThere = await utimes(target, now, now).then(
        () => true,
        () => false,
      );
      if (!isThere) await writeWhole(target, bytes, incoming);
      return hash;
    },
    async remove(hash) {
      await rm(place(hash), { force: true });
    },
    async *list(): AsyncIterable<Kept> {
      for (const group of await readdir(root))
        for (const hash of await readdir(path.join(root, group))) {
          const found = await stat(path.join(root, group, hash)).catch(() => null);
          if (found) yield { hash, at: found.mtime };
        }
    },
    free: () => freeBytes(root),
  };
}
