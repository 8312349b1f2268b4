/** A backup of a studio as a folder: the database as it was at one moment, and every file that it names. */
import { asc } from 'drizzle-orm';
import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { openDatabase } from '../database/database';
import type { OpenDatabase } from '../database/engine';
import { FileMissing, type FileStore, hashOfFile } from '../files/file-store';
import { files } from '../schema/tables';
import { BACKUP_VERSION, type BackupNote, NOTE } from './note';

/** What stands in the way; `message` says what to do. */
export class NotBackedUp extends Error {
  override readonly name = 'NotBackedUp';
}

/** Where a file of a backup lies. */
export const fileIn = (folder: string, hash: string): string => path.join(folder, 'files', hash.slice(0, 2), hash);

/** Opens what was copied, as whoever restores it will, and counts what it names. Returns the hashes of its files. */
async function openCopy(folder: string): Promise<string[]> {
  const copy = await openDatabase({ folder });
  try {
    const rows = await copy.db.select({ hash: files.hash }).from(files).orderBy(asc(files.hash));
    return rows.map((r) => r.hash);
  } finally {
    await copy.close();
  }
}

/**
 * Makes a backup while the studio goes on; everything that was acknowledged before it began is in it. The folder is there whole or
 * not at all, and was opened and compared after it was written.
 *
 * @throws NotBackedUp where the folder is there already, or a copy is not what it should be.
 */
export async function makeBackup(database: OpenDatabase, store: FileStore, target: string): Promise<BackupNote> {
  const part = `${target}.part`;
  rmSync(part, { recursive: true, force: true });
  try {
    mkdirSync(path.dirname(target), { recursive: true });
    mkdirSync(part);
    const madeAt = new Date().toISOString();
    await database.copyTo(path.join(part, 'pg'));
    let bytes = 0;
    // What was deleted for good meanwhile is gone from the backup too.
    const gone: string[] = [];
    const named = await openCopy(part);
    for (const hash of named) {
      const own = await store.read(hash).catch((error: unknown) => {
        if (error instanceof FileMissing) return null;
        throw error;
      });
      if (!own) {
        gone.push(hash);
        continue;
      }
      const place = fileIn(part, hash);
      mkdirSync(path.dirname(place), { recursive: true });
      await writeFile(place, own, { flush: true });
      if ((await hashOfFile(place)) !== hash)
        throw new NotBackedUp('A file did not arrive as it was: is the disk of the backup full or failing?');
      bytes += own.length;
    }
    const note: BackupNote = { version: BACKUP_VERSION, madeAt, files: named.length - gone.length, bytes, gone };
    writeFileSync(path.join(part, NOTE), `${JSON.stringify(note, null, 2)}\n`, { flush: true });
    renameSync(part, target);
    return note;
  } catch (error) {
    rmSync(part, { recursive: true, force: true });
    if ((error as NodeJS.ErrnoException).code === 'ENOTEMPTY' || (error as NodeJS.ErrnoException).code === 'EEXIST')
      throw new NotBackedUp(`There is something at ${target} already: name a folder that is not there yet.`);
    throw error;
  }
}
