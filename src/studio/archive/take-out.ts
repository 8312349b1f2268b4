/** A class out as a ZIP: one JSON document and every file that it names. */
import { FileMissing } from '@/data/files/file-store';
import { files } from '@/data/schema/tables';
import { inArray, type SQL, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import yazl from 'yazl';
import { z } from 'zod';
import { ownClass, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { type ArchiveRow, writeArchive } from './archive-json';
import { namesIn, TABLES_OF_CLASS } from './rows-of-class';

const rowsSchema = z.array(z.object({ row: z.string() }));

/** Rows as the database writes them, times in UTC, in an order that is the same everywhere. */
async function rowsWhere(
  db: Pick<House['db'], 'execute'>,
  table: PgTable,
  where: SQL,
  without: readonly string[],
): Promise<ArchiveRow[]> {
  const { rows } = (await db.execute(
    sql`select (to_jsonb(t) - ${sql.param([...without])}::text[])::text as row from ${table} t where ${where}`,
  )) as { rows: unknown[] };
  const read = rowsSchema.parse(rows).map(({ row }) => JSON.parse(row) as ArchiveRow);
  const asText = new Map(read.map((row) => [row, JSON.stringify(row)]));
  return read.sort((one, other) => ((asText.get(one) ?? '') < (asText.get(other) ?? '') ? -1 : 1));
}

const HASH = /^[0-9a-f]{64}$/;

/** Files that rows name: in columns, and within what was measured. */
function filesNamed(tables: Readonly<Record<string, readonly ArchiveRow[]>>): string[] {
  const found = new Set<unknown>();
  for (const { table, name } of TABLES_OF_CLASS) {
    const columns = namesIn(table).filter(({ of }) => of === 'files');
    for (const row of tables[name] ?? []) {
      for (const { column } of columns) found.add(row[column]);
      const against = row.against as { planes?: unknown; lightness?: unknown } | null | undefined;
      if (name === 'measurements' && against) [against.planes, against.lightness].forEach((hash) => found.add(hash));
    }
  }
  return [...found].filter((hash): hash is string => typeof hash === 'string' && HASH.test(hash)).sort();
}

/**
 * The archive of a class. Throws NotFound where it is none of the teacher's, Refused where a file is missing: half an archive would
 * be taken for a whole one.
 */
export async function takeOut(
  house: House,
  teacher: Teacher,
  classId: string,
): Promise<{ readonly name: string; readonly stream: NodeJS.ReadableStream }> {
  const own = await ownClass(house, teacher, classId);
  await writeDown(house.db, teacher, 'took-out-class', { classId });
  const tables = await house.db.transaction(async (tx) => {
    await tx.execute(sql`set local time zone 'UTC'`);
    const found: Record<string, ArchiveRow[]> = {};
    for (const { table, name, rows, without } of TABLES_OF_CLASS)
      if (rows) found[name] = await rowsWhere(tx, table, rows(classId), without);
    const named = filesNamed(found);
    found.files = await rowsWhere(tx, files, inArray(sql`hash`, [...named, '']), []);
    return found;
  });
  const zip = new yazl.ZipFile();
  // One moment for all: what is the same makes the same archive.
  const mtime = new Date('2026-01-01T00:00:00Z');
  zip.addBuffer(Buffer.from(writeArchive({ tables })), 'archive.json', { mtime });
  for (const { hash } of tables.files ?? []) {
    const file = await house.files.local(String(hash)).catch((error: unknown) => {
      throw error instanceof FileMissing
        ? new Refused(`${error.message} Until then this class can’t be taken out whole.`)
        : error;
    });
    zip.addFile(file, `files/${String(hash)}`, { mtime, compress: false });
  }
  zip.end();
  return { name: `${own.name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'class'}.zip`, stream: zip.outputStream };
}
