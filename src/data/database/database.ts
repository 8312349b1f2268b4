/** Opens the embedded database of a data folder and brings its schema up to date. */
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { lockFolder } from './lock';
import * as schema from '../schema/tables';

export type Database = PgliteDatabase<typeof schema>;

export interface OpenDatabase {
  readonly db: Database;
  readonly pg: PGlite;
  close(): Promise<void>;
}

const MIGRATIONS = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'src/data/migrations');

/**
 * A database killed while it is first made never opens again, so it is made beside its place and
 * renamed when it is whole.
 */
async function createWhole(folder: string): Promise<void> {
  const fresh = `${folder}.new`;
  rmSync(fresh, { recursive: true, force: true });
  const pg = await PGlite.create(fresh);
  await migrate(drizzle(pg), { migrationsFolder: MIGRATIONS });
  await pg.close();
  renameSync(fresh, folder);
}

/** Throws FolderInUse when another process has the folder. */
export async function openDatabase(dataFolder: string): Promise<OpenDatabase> {
  mkdirSync(dataFolder, { recursive: true });
  const unlock = lockFolder(dataFolder);
  try {
    const folder = path.join(dataFolder, 'pg');
    if (!existsSync(folder)) await createWhole(folder);
    const pg = await PGlite.create(folder);
    const db = drizzle(pg, { schema });
    await migrate(db, { migrationsFolder: MIGRATIONS });
    return {
      db,
      pg,
      async close() {
        await pg.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}
