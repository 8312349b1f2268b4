/** The ZIP of an archive, looked at with care: it may have been made to do harm. */
import { hashOfFile } from '@/data/files/file-store';
import { newId } from '@/data/schema/ids';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { Refused } from '../access/actor';

const LIMITS = {
  entries: 40_000,
  /** The document, and a file of it, unfolded. */
  documentBytes: 400 * 1024 * 1024,
  fileBytes: 64 * 1024 * 1024,
  totalBytes: 20 * 1024 ** 3,
  /** Text packs well; what unfolds to more was made to. */
  ratio: 200,
} as const;

const DOCUMENT = 'archive.json';
/** Nothing is ever written by a name that stands in the ZIP. */
const FILE = /^files\/([0-9a-f]{64})$/;

/** What is told of a file that is not as it was made. */
type Damaged = () => Refused;

function check(entry: Entry, total: number, damaged: Damaged): void {
  const { fileName, uncompressedSize, compressedSize } = entry;
  const isDocument = fileName === DOCUMENT;
  const most = isDocument ? LIMITS.documentBytes : LIMITS.fileBytes;
  if (!isDocument && !FILE.test(fileName)) throw damaged();
  if (uncompressedSize > most || total + uncompressedSize > LIMITS.totalBytes)
    throw new Refused('This archive is larger than Fair Grey makes any; nothing was brought in.');
  if (uncompressedSize > LIMITS.ratio * Math.max(1, compressedSize)) throw damaged();
}

export interface OpenedArchive {
  readonly document: string;
  /** Paths of its files by their hash, each compared with it; the caller removes them. */
  readonly files: ReadonlyMap<string, string>;
}

async function readAll(zip: ZipFile, folder: string, files: Map<string, string>, damaged: Damaged): Promise<string> {
  if (zip.entryCount > LIMITS.entries)
    throw new Refused('This archive holds more files than Fair Grey puts in any; nothing was brought in.');
  let [document, total] = ['', 0];
  for await (const entry of zip.eachEntry()) {
    check(entry, total, damaged);
    total += entry.uncompressedSize;
    const stream = await zip.openReadStreamPromise(entry);
    if (entry.fileName === DOCUMENT) {
      document = await text(stream);
      continue;
    }
    const hash = FILE.exec(entry.fileName)?.[1] ?? '';
    if (files.has(hash)) throw damaged();
    const out = path.join(folder, `archive-${newId()}`);
    files.set(hash, out);
    await pipeline(stream, createWriteStream(out));
    if ((await hashOfFile(out)) !== hash) throw damaged();
  }
  if (document === '') throw damaged();
  return document;
}

/** Unpacks an archive into files of a folder. Throws Refused, and then leaves nothing there. */
export async function openArchive(file: string, folder: string, damaged: Damaged): Promise<OpenedArchive> {
  const files = new Map<string, string>();
  try {
    const zip = await openPromise(file, { validateEntrySizes: true });
    try {
      return { document: await readAll(zip, folder, files, damaged), files };
    } finally {
      zip.close();
    }
  } catch (error) {
    await Promise.all([...files.values()].map((out) => rm(out, { force: true })));
    throw error instanceof Refused ? error : damaged();
  }
}
