/** Pictures out of a ZIP, one at a time, with caps on how many, how large and how tightly packed they may be. */
import { newId } from '@/data/schema/ids';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { Refused } from '../access/actor';

export const MAX_ENTRIES = 400;
const MAX_ENTRY_BYTES = 40 * 1024 * 1024;
const MAX_TOTAL_BYTES = 3 * 1024 ** 3;
/** Photographs hardly pack at all; what unfolds to this many times its size was made to do harm. */
const MAX_RATIO = 60;

export interface Unzipped {
  readonly name: string;
  /** Null where the entry is not taken out, and why. */
  readonly file: string | null;
  readonly reason: string | null;
}

/** Files that systems leave in ZIPs and nobody put there. */
const isClutter = (name: string): boolean => name.endsWith('/') || /(^|\/)(\.|__MACOSX\/|Thumbs\.db$)/.test(name);

export const isZip = (head: Uint8Array): boolean =>
  head[0] === 0x50 && head[1] === 0x4b && (head[2] === 3 || head[2] === 5);

async function openZip(file: string): Promise<ZipFile> {
  try {
    return await openPromise(file, { validateEntrySizes: true });
  } catch {
    throw new Refused('This ZIP is damaged or not complete: make it once more, or drop the pictures themselves.');
  }
}

function whyNot(entry: Entry, total: number): string | null {
  if (/\.zip$/i.test(entry.fileName)) return 'A ZIP inside a ZIP is not opened: drop it by itself.';
  if (entry.uncompressedSize > MAX_ENTRY_BYTES) return 'This file is larger than 40 MB.';
  if (entry.uncompressedSize > MAX_RATIO * Math.max(1, entry.compressedSize))
    return 'This file unfolds to far more than it should and was left alone.';
  return total + entry.uncompressedSize > MAX_TOTAL_BYTES
    ? 'The ZIP holds more than 3 GB: drop the rest by itself.'
    : null;
}

/**
 * The entries of a ZIP, each as a file in `folder` that the caller removes. Throws Refused where the whole ZIP can't be
 * used: too many entries, names that lead out of it, damage.
 */
export async function* unzip(file: string, folder: string): AsyncGenerator<Unzipped> {
  const zip = await openZip(file);
  try {
    if (zip.entryCount > MAX_ENTRIES)
      throw new Refused(
        `This ZIP holds ${zip.entryCount} files; up to ${MAX_ENTRIES} are taken at once. Make several of it.`,
      );
    let total = 0;
    for await (const entry of zip.eachEntry()) {
      if (isClutter(entry.fileName)) continue;
      const name = path.posix.basename(entry.fileName);
      const reason = whyNot(entry, total);
      if (reason !== null) {
        yield { name, file: null, reason };
        continue;
      }
      total += entry.uncompressedSize;
      const out = path.join(folder, `zip-${newId()}`);
      try {
        await pipeline(await zip.openReadStreamPromise(entry), createWriteStream(out));
      } catch {
        await rm(out, { force: true });
        yield { name, file: null, reason: 'This file in the ZIP is damaged.' };
        continue;
      }
      yield { name, file: out, reason: null };
    }
  } catch (error) {
    if (error instanceof Refused) throw error;
    throw new Refused(
      'This ZIP is damaged, or holds names that lead out of it: make it once more, or drop the pictures themselves.',
    );
  } finally {
    zip.close();
  }
}
