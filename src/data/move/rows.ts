/** Rows from one database into another, as they are: what is stored is carried, not what is made of it. */
import { type Table, getTableName, is, sql } from 'drizzle-orm';
import { getTableConfig, PgTable } from 'drizzle-orm/pg-core';
import { z } from 'zod';
import type { Database, Transaction } from '../database/engine';
import * as schema from '../schema/tables';

/** All tables, each after those that it names. */
export function tablesInOrder(): PgTable[] {
  const all = Object.values<unknown>(schema).filter((table): table is PgTable => is(table, PgTable));
  const done: PgTable[] = [];
  const place = (table: Table) => {
    const own = all.find((t) => t === table);
    if (!own || done.includes(own)) return;
    for (const key of getTableConfig(own).foreignKeys) place(key.reference().foreignTable);
    done.push(own);
  };
  for (const table of all) place(table);
  return done;
}

/** Rows are read and written so many at a time. */
const AT_ONCE = 200;
const rowsOf = z.array(z.object({ row: z.string() }));

async function rows(db: Pick<Database, 'execute'>, query: ReturnType<typeof sql>): Promise<string[]> {
  const { rows: found } = (await db.execute(query)) as { rows: unknown[] };
  return rowsOf.parse(found).map(({ row }) => row);
}

/** All rows of a table as JSON with every column in it, a few at a time, in an order that is the same everywhere. */
async function* rowsIn(db: Pick<Database, 'execute'>, table: PgTable): AsyncGenerator<string[]> {
  for (let from = 0; ; from += AT_ONCE) {
    const some = await rows(
      db,
      sql`select to_jsonb(t)::text as row from ${table} t order by md5(to_jsonb(t)::text), 1 limit ${AT_ONCE} offset ${from}`,
    );
    if (some.length > 0) yield some;
    if (some.length < AT_ONCE) return;
  }
}

export class NotMoved extends Error {
  override readonly name = 'NotMoved';
}

async function copyTable(from: Database, to: Transaction, table: PgTable): Promise<number> {
  let count = 0;
  for await (const some of rowsIn(from, table)) {
    for (const row of some)
      await to.execute(sql`insert into ${table} select * from jsonb_populate_record(null::${table}, ${row}::jsonb)`);
    count += some.length;
  }
  return count;
}

/** Throws NotMoved at the first row that is not the same in both. */
async function compareTable(from: Database, to: Transaction, table: PgTable): Promise<void> {
  const [there, here] = [rowsIn(from, table), rowsIn(to, table)];
  for (;;) {
    const [a, b] = [await there.next(), await here.next()];
    const [wanted, got] = [a.done ? [] : a.value, b.done ? [] : b.value];
    if (wanted.length !== got.length || wanted.some((row, k) => row !== got[k]))
      throw new NotMoved(`A row of “${getTableName(table)}” did not come over as it was: nothing was moved.`);
    if (a.done || b.done) return;
  }
}

/** The next number of a column that counts by itself follows the last one that was carried over. */
async function countOn(to: Transaction, table: PgTable): Promise<void> {
  const { name, columns } = getTableConfig(table);
  for (const column of columns.filter((c) => c.generatedIdentity))
    await to.execute(
      sql`select setval(pg_get_serial_sequence(${`"${name}"`}, ${column.name}), (select coalesce(max(${column}), 0) + 1 from ${table}), false)`,
    );
}

/**
 * Carries all rows over in one transaction and compares them one by one; returns how many there were of each table. Throws NotMoved
 * where the other database has rows already, or a row did not come over as it was.
 */
export async function moveRows(from: Database, to: Database): Promise<ReadonlyMap<string, number>> {
  // Times are written in the zone of the connection.
  await from.execute(sql`set time zone 'UTC'`);
  return to.transaction(async (tx) => {
    await tx.execute(sql`set local time zone 'UTC'`);
    const counts = new Map<string, number>();
    const tables = tablesInOrder();
    for (const table of tables) {
      const taken = await tx.execute(sql`select 1 from ${table} limit 1`);
      if ((taken as { rows: unknown[] }).rows.length > 0)
        throw new NotMoved('There is a studio in the other database already: name an empty one.');
    }
    for (const table of tables) {
      counts.set(getTableName(table), await copyTable(from, tx, table));
      await compareTable(from, tx, table);
      await countOn(tx, table);
    }
    return counts;
  });
}
