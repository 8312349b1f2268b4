/** Files that nobody needs any longer are taken away: at once when something is deleted, and otherwise when they are a day old. */
import {
  attempts,
  corrections,
  files,
  looks,
  measurements,
  readings,
  referencePictures,
  tray,
} from '@/data/schema/tables';
import { and, eq, inArray, lt, not, type SQL, sql } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import type { House } from './house';

/** Columns that name a file. A new one belongs here, or its files are swept. */
const NAMED_BY: readonly (PgColumn | SQL)[] = [
  ...[attempts.photoHash, attempts.previewHash, attempts.stripHash],
  ...[tray.photoHash, tray.smallHash, looks.pictureHash, readings.maskHash, corrections.pictureHash],
  ...[referencePictures.pictureHash, referencePictures.workingHash, referencePictures.smallHash],
];
const NAMED_WITHIN = [sql`(${measurements.against}->>'planes')`, sql`(${measurements.against}->>'lightness')`];

/** Whether any row needs a file, as a condition on `files`. */
const isNeeded = (): SQL => {
  const rows = [
    ...NAMED_BY.map((column) => sql`select 1 from ${(column as PgColumn).table} where ${column} = ${files.hash}`),
    ...NAMED_WITHIN.map((within) => sql`select 1 from ${measurements} where ${within} = ${files.hash}`),
  ];
  return sql.join(
    rows.map((query) => sql`exists (${query})`),
    sql` or `,
  );
};

/** Returns whether it went. The row goes first: a file without a row is swept some day, a row without a file would be a broken promise. */
export async function removeUnused(house: House, hash: string): Promise<boolean> {
  const gone = await house.db
    .delete(files)
    .where(and(eq(files.hash, hash), not(sql`(${isNeeded()})`)))
    .returning({ hash: files.hash });
  if (gone.length > 0) await house.files.remove(hash);
  return gone.length > 0;
}

/** What is younger may belong to somebody who is just about to say so. */
const OLD_MS = 24 * 3_600_000;

/** Rows of files that nobody needs, and files that no row names, both once they are a day old; returns how many files went. */
export async function sweepFiles(house: House, now = new Date()): Promise<number> {
  const before = new Date(now.getTime() - OLD_MS);
  const idle = await house.db
    .select({ hash: files.hash })
    .from(files)
    .where(and(lt(files.createdAt, before), not(sql`(${isNeeded()})`)));
  for (const { hash } of idle) await removeUnused(house, hash);
  let lost = 0;
  let some: string[] = [];
  const sweep = async () => {
    const known = await house.db.select({ hash: files.hash }).from(files).where(inArray(files.hash, some));
    const named = new Set(known.map((f) => f.hash));
    for (const hash of some.filter((h) => !named.has(h))) {
      await house.files.remove(hash);
      lost++;
    }
    some = [];
  };
  for await (const { hash, at } of house.files.list()) {
    if (at >= before) continue;
    some.push(hash);
    if (some.length === AT_ONCE) await sweep();
  }
  if (some.length > 0) await sweep();
  return idle.length + lost;
}

/** So many files are looked up together. */
const AT_ONCE = 500;
