/** Files by the hash of their content. A file is whole or not there: it is written aside, synced, renamed. */
import { createHash } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat, statfs } from 'node:fs/promises';
import path from 'node:path';

export interface FileStore {
  /** Keeps the bytes; returns their SHA-256 in hex. Keeping the same bytes twice is keeping them once. */
  put(bytes: Uint8Array): Promise<string>;
  path(hash: string): string;
  read(hash: string): Promise<Buffer>;
  remove(hash: string): Promise<void>;
  /** Hashes of all files. */
  list(): Promise<string[]>;
  /** Bytes free on the disk. */
  free(): Promise<number>;
  /** A folder for uploads on their way. */
  readonly incoming: string;
}

async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r');
  await handle.sync().finally(() => handle.close());
}

export async function openFileStore(dataFolder: string): Promise<FileStore> {
  const root = path.join(dataFolder, 'files');
  const incoming = path.join(dataFolder, 'incoming');
  await mkdir(root, { recursive: true });
  await rm(incoming, { recursive: true, force: true });
  await mkdir(incoming, { recursive: true });
  const place = (hash: string) => {
    if (!/^[0-9a-f]{64}$/.test(hash)) throw new RangeError(`Not a content hash: ${hash}`);
    return path.join(root, hash.slice(0, 2), hash);
  };
  return {
    incoming,
    path: place,
    read: (hash) => readFile(place(hash)),
    async put(bytes) {
      const hash = createHash('sha256').update(bytes).digest('hex');
      const target = place(hash);
      if (await stat(target).catch(() => null)) return hash;
      await mkdir(path.dirname(target), { recursive: true });
      const aside = path.join(incoming, `${hash}.${process.pid}.${Math.random().toString(36).slice(2)}`);
      const handle = await open(aside, 'wx');
      try {
        await handle.writeFile(bytes);
        await handle.sync();
      } finally {
        await handle.close();
      }
      await rename(aside, target);
      await syncFolder(path.dirname(target));
      return hash;
    },
    async remove(hash) {
      await rm(place(hash), { force: true });
    },
    async list() {
      const groups = await readdir(root);
      const names = await Promise.all(groups.map((g) => readdir(path.join(root, g))));
      return names.flat();
    },
    async free() {
      const s = await statfs(root);
      return s.bavail * s.bsize;
    },
  };
}
