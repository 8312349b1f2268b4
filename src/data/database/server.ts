/** A PostgreSQL server that several machines share. Its schema is brought up to date by a command of its own, never by a start. */
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from '../schema/tables';
import { log } from '@/watch/log';
import { CanNotCopy, type Database, type OpenDatabase } from './engine';
import { hearing } from './hearing';
import { isUpToDate, MIGRATIONS } from './migrations';

/** Connections of a process at the most. */
const CONNECTIONS = 10;
const CONNECT_MS = 10_000;
/** Whoever holds this lock of the server's brings the schema up to date; any number will do that nobody else takes. */
const MIGRATING = 7_204_466;

/** The database can't be used as it is; `message` says what to do. */
export class DatabaseUnready extends Error {
  override readonly name = 'DatabaseUnready';
}

/** Where it is, without who signs in there. */
function placeOf(url: string): string {
  try {
    const { host, pathname } = new URL(url);
    return `${host || 'this machine'}${pathname}`;
  } catch {
    return 'the address in DATABASE_URL';
  }
}

const unreachable = (url: string, error: unknown) =>
  new DatabaseUnready(
    `PostgreSQL can’t be reached at ${placeOf(url)}: ${error instanceof Error ? error.message || error.name : String(error)}. ` +
      'Look at DATABASE_URL, and whether the server runs.',
  );

/** Brings the schema of a server up to date; several at once wait for each other. Throws DatabaseUnready. */
export async function migrateServer(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: CONNECT_MS });
  await client.connect().catch((error: unknown) => {
    throw unreachable(url, error);
  });
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
  } finally {
    // The lock goes with the connection.
    await client.end();
  }
}

/** Throws DatabaseUnready where it can't be reached or its schema is another one. */
export async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({
    connectionString: url,
    max: CONNECTIONS,
    connectionTimeoutMillis: CONNECT_MS,
    application_name: 'fair-grey',
  });
  // A connection that breaks while nobody uses it is replaced when somebody does.
  pool.on('error', (error) => log.warn({ err: error }, 'a connection to the database broke'));
  const db: Database = drizzle(pool, { schema });
  try {
    await pool.query('select 1').catch((error: unknown) => {
      throw unreachable(url, error);
    });
    if (!(await isUpToDate(db).catch(() => false)))
      throw new DatabaseUnready(`The database at ${placeOf(url)} is not up to date: run "npm run migrate" first.`);
  } catch (error) {
    await pool.end();
    throw error;
  }
  const ears = hearing(() => new pg.Client({ connectionString: url, application_name: 'fair-grey news' }));
  return {
    db,
    statements: {
      async executeSql(text, values) {
        const result = await pool.query(text, values);
        // Of several statements the last one that has rows answers.
        const last = Array.isArray(result)
          ? ((result as pg.QueryResult[]).filter((r) => r.fields.length > 0).at(-1) ??
            (result as pg.QueryResult[]).at(-1))
          : result;
        return { rows: last?.rows ?? [], rowCount: last?.rowCount ?? 0 };
      },
    },
    alone: false,
    async notify(channel, message) {
      await db.execute(sql`select pg_notify(${channel}, ${message})`);
    },
    listen: (channel, hear) => ears.listen(channel, hear),
    forget: () => Promise.resolve(),
    copyTo: () => Promise.reject(new CanNotCopy()),
    async close() {
      await ears.close();
      await pool.end();
    },
  };
}
