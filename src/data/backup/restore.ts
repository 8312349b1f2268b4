/** A studio from its backup. */
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { asc } from 'drizzle-orm';
import { openDatabase } from '../database/database';
import { hashOfFile } from '../files/file-store';
import { attempts, files } from '../schema/tables';
import { fileIn } from './make';
import { type BackupNote, backupNoteSchema, NOTE } from './note';

/** It can't be restored so; `message` says what to do. Nothing was changed. */
export class NotRestored extends Error {
  override readonly name = 'NotRestored';
}

/** What a backup says of itself. Throws NotRestored where it is none, or from a newer version. */
export function readNote(backup: string): BackupNote {
  let given: unknown;
  try {
    given = JSON.parse(readFileSync(path.join(backup, NOTE), 'utf8'));
  } catch {
    throw new NotRestored(`There is no backup at ${backup}: name the folder that holds ${NOTE}.`);
  }
  const { data, error } = backupNoteSchema.safeParse(given);
  if (!data) throw new NotRestored(error.issues[0]?.message ?? 'This is no backup of a studio.');
  return data;
}

/** Opens what lies there and looks at every file that it names; returns how many hand-ins it holds. Throws NotRestored. */
async function check(folder: string, gone: ReadonlySet<string>): Promise<number> {
  const copy = await openDatabase({ folder });
  try {
    for (const { hash } of await copy.db.select({ hash: files.hash }).from(files).orderBy(asc(files.hash)))
      if (!gone.has(hash) && (await hashOfFile(fileIn(folder, hash))) !== hash)
        throw new NotRestored('A file of this backup is missing or damaged. Take another backup; nothing was changed.');
    return await copy.db.$count(attempts);
  } finally {
    await copy.close();
  }
}

/**
 * Restores a backup into a folder. What lies there already is kept beside it where `aside` says so.
 *
 * @returns how many photographs it holds, and where the studio that was there lies now; null where there was none.
 * @throws NotRestored where there is a studio and nobody said that it goes aside, or where the backup is not whole.
 */
export async function restoreBackup(
  backup: string,
  folder: string,
  aside: boolean,
): Promise<{ readonly photographs: number; readonly kept: string | null }> {
  const note = readNote(backup);
  const isTaken = existsSync(path.join(folder, 'pg'));
  if (isTaken && !aside)
    throw new NotRestored(
      `There is a studio in ${folder} already. Name another folder in FAIR_GREY_DATA, or add --aside to keep it beside the restored one.`,
    );
  if (existsSync(path.join(folder, 'in-use')) && isTaken) await refuseInUse(folder);
  // Made beside its place and put there when it is whole.
  const fresh = `${folder}.restoring`;
  rmSync(fresh, { recursive: true, force: true });
  try {
    mkdirSync(fresh, { recursive: true });
    cpSync(path.join(backup, 'pg'), path.join(fresh, 'pg'), { recursive: true });
    if (existsSync(path.join(backup, 'files')))
      cpSync(path.join(backup, 'files'), path.join(fresh, 'files'), { recursive: true });
    const photographs = await check(fresh, new Set(note.gone));
    const kept = existsSync(folder) ? `${folder}.before-${new Date().toISOString().replace(/[:.]/g, '-')}` : null;
    if (kept) renameSync(folder, kept);
    renameSync(fresh, folder);
    return { photographs, kept: isTaken ? kept : null };
  } catch (error) {
    rmSync(fresh, { recursive: true, force: true });
    throw error;
  }
}

/** Throws FolderInUse where a Fair Grey runs on it. */
async function refuseInUse(folder: string): Promise<void> {
  await (await openDatabase({ folder })).close();
}
