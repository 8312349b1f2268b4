/** The embedded database of a data folder: one process at a time has it, and brings its schema up to date. */
import { cpSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { setImmediate } from 'node:timers/promises';
import { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import * as schema from '../schema/tables';
import type { Database, OpenDatabase, Statements } from './engine';
import { lockFolder } from './lock';
import { MIGRATIONS } from './migrations';

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

/** Statements without values may be several at once, which only `exec` takes. */
const statementsOf = (pg: PGlite): Statements => ({
  async executeSql(text, values = []) {
    if (values.length === 0) {
      const results = await pg.exec(text);
      const last = results.filter((r) => r.fields.length > 0).at(-1) ?? results.at(-1);
      return { rows: last?.rows ?? [], rowCount: last?.affectedRows ?? 0 };
    }
    const result = await pg.query(text, values);
    return { rows: result.rows, rowCount: result.affectedRows ?? result.rows.length };
  },
});

/**
 * A statement is worked out at once and answered in the same turn of the event loop: without a pause before each, a page of ten
 * statements keeps everybody else waiting for all ten.
 */
function pausing(pg: PGlite): PGlite {
  const query: PGlite['query'] = pg.query.bind(pg);
  return Object.assign(pg, {
    query: (async (...given: Parameters<PGlite['query']>) => {
      await setImmediate();
      return query(...given);
    }) as PGlite['query'],
  });
}

const OWN_SCHEMAS = ['public', 'pgboss'];

/**
 * Rewrites each table without the rows that are gone, one after the other so that requests come in between, and ends the log that
 * still holds them: a segment goes at the second checkpoint after its end, and none is kept to be written over.
 */
async function forget(pg: PGlite): Promise<void> {
  const { rows } = await pg.query<{ name: string }>(
    `select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname = any($1)`,
    [OWN_SCHEMAS],
  );
  for (const { name } of rows) await pg.exec(`vacuum full ${name}`);
  await pg.exec('set wal_recycle = off');
  for (let time = 0; time < 2; time++) {
    await pg.exec('select pg_switch_wal()');
    await pg.exec('checkpoint');
  }
}

/** Throws FolderInUse when another process has the folder. */
export async function openEmbedded(dataFolder: string): Promise<OpenDatabase> {
  mkdirSync(dataFolder, { recursive: true });
  const unlock = lockFolder(dataFolder);
  try {
    const folder = path.join(dataFolder, 'pg');
    if (!existsSync(folder)) await createWhole(folder);
    const pg = pausing(await PGlite.create(folder));
    const own = drizzle(pg, { schema });
    await migrate(own, { migrationsFolder: MIGRATIONS });
    const db: Database = own;
    return {
      db,
      statements: statementsOf(pg),
      alone: true,
      async notify(channel, message) {
        await db.execute(sql`select pg_notify(${channel}, ${message})`);
      },
      async listen(channel, hear) {
        await pg.listen(channel, hear);
      },
      forget: () => forget(pg),
      async copyTo(target) {
        await pg.exec('checkpoint');
        // It writes in this thread alone: while this copies, nothing else does.
        cpSync(folder, target, { recursive: true, errorOnExist: true, force: false });
      },
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
