/**
 * One process at a time on a data folder. The embedded database has no lock of its own: two processes
 * would silently lose each other's rows. The file holds pid and start time, so that a lock left by a
 * killed process is told from a living one even when the pid was given out again.
 */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

export class FolderInUse extends Error {
  override readonly name = 'FolderInUse';
}

/** When a process started, in clock ticks since boot; null where that can't be known or it is gone. */
function startTime(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

function isAlive(pid: number, started: string | null): boolean {
  try {
    process.kill(pid, 0);
  } catch {
    return false;
  }
  return started === null || startTime(pid) === null || startTime(pid) === started;
}

/** Takes the lock; returns what gives it back. Throws FolderInUse. */
export function lockFolder(folder: string): () => void {
  const file = path.join(folder, 'in-use');
  const mine = JSON.stringify({ pid: process.pid, started: startTime(process.pid) });
  for (let attempt = 0; attempt < 3; attempt++) {
    try {
      writeFileSync(file, mine, { flag: 'wx' });
      return () => {
        rmSync(file, { force: true });
      };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    let holder: { pid: number; started: string | null } | null = null;
    try {
      holder = JSON.parse(readFileSync(file, 'utf8')) as { pid: number; started: string | null };
    } catch {
      // Half written by a process that was killed: nobody's.
    }
    if (holder && holder.pid !== process.pid && isAlive(holder.pid, holder.started))
      throw new FolderInUse(
        `The folder ${folder} is in use by another Fair Grey (process ${holder.pid}). Stop it first.`,
      );
    rmSync(file, { force: true });
  }
  throw new FolderInUse(`The folder ${folder} could not be locked.`);
}
