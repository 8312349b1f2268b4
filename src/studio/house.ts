/** Everything a use case needs, opened once a process. */
import { makeBackup } from '@/data/backup/make';
import type { BackupNote } from '@/data/backup/note';
import { openDatabase } from '@/data/database/database';
import type { Database } from '@/data/database/engine';
import { openQueue, type Queue } from '@/data/database/queue';
import type { FileStore } from '@/data/files/file-store';
import { openFiles } from '@/data/files/open-files';
import { readSettings, type Settings } from '@/data/settings';
import { type Auth, openAuth } from '@/data/sign-in/auth';
import { meters } from '@/watch/meters';
import { openMetrics } from '@/watch/metrics-server';
import { onceAProcess } from '@/watch/once';
import { openPool, type WorkerPool } from '@/workers/pool';
import { openPrinter, type Printer } from '@/workers/printing/printer';
import { type Door, openDoor } from './access/door';
import { type Live, openLive } from './hand-in/live';

/** Whatever only looks at rows: outside of a transaction or within one. */
export interface Reads {
  readonly db: Pick<Database, 'select' | 'selectDistinctOn'>;
}

export interface House {
  readonly settings: Settings;
  readonly db: Database;
  /** Whether no other process can be at work on the same rows and files. */
  readonly alone: boolean;
  readonly files: FileStore;
  readonly auth: Auth;
  readonly door: Door;
  readonly queue: Queue;
  readonly pool: WorkerPool;
  readonly printer: Printer;
  readonly live: Live;
  /** Takes what was deleted out of the database's own files. */
  forget(): Promise<void>;
  /** Makes a backup in a folder that is not there yet, while everything goes on. */
  backUp(target: string): Promise<BackupNote>;
  close(): Promise<void>;
}

/** `pool` is given by tests that stand in for the workers. */
export async function openHouse(settings: Settings = readSettings(), pool: WorkerPool = openPool()): Promise<House> {
  const database = await openDatabase(settings);
  const files = await openFiles(settings, database.alone);
  const queue = await openQueue(database);
  const auth = await openAuth(database.db);
  const printer = openPrinter();
  const metrics =
    settings.metrics &&
    (await openMetrics(settings.metrics, async () => {
      const { jobs, seconds } = await queue.waiting();
      meters.queued.set(jobs);
      meters.oldest.set(seconds);
    }));
  return {
    settings,
    db: database.db,
    alone: database.alone,
    files,
    auth,
    door: openDoor(database.db, auth),
    queue,
    pool,
    printer,
    live: await openLive(database),
    forget: () => database.forget(),
    backUp: (target) => makeBackup(database, files, target),
    async close() {
      await metrics?.close();
      await queue.stop().catch(() => undefined);
      await Promise.all([pool.close(), printer.close()]);
      await database.close();
    },
  };
}

/** The one house of this process. A failed opening is forgotten, so that it can be tried again. */
export function theHouse(): Promise<House> {
  const holder = onceAProcess<{ house?: Promise<House> }>('house', () => ({}));
  holder.house ??= openHouse().catch((error: unknown) => {
    delete holder.house;
    throw error;
  });
  return holder.house;
}
