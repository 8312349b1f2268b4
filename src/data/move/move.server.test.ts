/** A studio goes from the embedded database to a PostgreSQL server and back, and nothing of it changes on the way. */
import { PGlite } from '@electric-sql/pglite';
import { eq, sql } from 'drizzle-orm';
import { mkdtemp, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { openEmbedded } from '../database/embedded';
import type { OpenDatabase } from '../database/engine';
import { openServer } from '../database/server';
import { freshDatabase } from '../database/test-database';
import { FileMissing } from '../files/file-store';
import { openFolderStore } from '../files/folder-store';
import { attempts, files } from '../schema/tables';
import { moveFiles } from './files';
import { moveRows, NotMoved, tablesInOrder } from './rows';

const fresh = () => mkdtemp(path.join(tmpdir(), 'fair-grey-move-'));
let [old, server, back]: (OpenDatabase | undefined)[] = [];

async function studioFromBefore(): Promise<OpenDatabase> {
  const folder = await fresh();
  const world = brotliDecompressSync(await readFile('src/data/database/fixtures/world-2026-11.tar.br'));
  await (await PGlite.create(path.join(folder, 'pg'), { loadDataDir: new Blob([world]) })).close();
  return openEmbedded(folder);
}
const opened = (database: OpenDatabase | undefined): OpenDatabase => {
  if (!database) throw new Error('Not opened yet.');
  return database;
};
async function contentOf({ db }: OpenDatabase) {
  const tables = new Map<string, unknown>();
  for (const table of tablesInOrder())
    tables.set(String(tables.size), (await db.select().from(table)).map((row) => JSON.stringify(row)).sort());
  return tables;
}

beforeAll(async () => {
  old = await studioFromBefore();
  server = await openServer((await freshDatabase('')) ?? '');
  back = await openEmbedded(await fresh());
});
afterAll(async () => {
  for (const database of [old, server, back]) await database?.close();
});

test('every row is the same there, and back again; what counts by itself counts on', async () => {
  const before = await contentOf(opened(old));
  const counts = await moveRows(opened(old).db, opened(server).db);
  expect([...counts.values()].reduce((sum, count) => sum + count, 0)).toBeGreaterThan(100);
  expect(await contentOf(opened(server))).toEqual(before);
  await moveRows(opened(server).db, opened(back).db);
  expect(await contentOf(opened(back))).toEqual(before);
  const [last] = await opened(server)
    .db.select()
    .from(attempts)
    .orderBy(sql`seq desc`)
    .limit(1);
  const { rows } = (await opened(server).db.execute(
    sql`select nextval(pg_get_serial_sequence('attempts', 'seq'))::int as next`,
  )) as { rows: { next: number }[] };
  expect(rows[0]?.next).toBe((last?.seq ?? 0) + 1);
});

test('a studio is not moved onto another one', async () => {
  await expect(moveRows(opened(old).db, opened(server).db)).rejects.toThrow(NotMoved);
});

test('a file that is not as it was kept stops the move, and says so', async () => {
  const [from, to] = [await openFolderStore(await fresh()), await openFolderStore(await fresh())];
  const { db } = opened(back);
  const kept = await from.put(new Uint8Array([1, 2]));
  await db.execute(sql`truncate files cascade`);
  await db.insert(files).values({ hash: kept, bytes: 2, type: 'image/png' });
  expect(await moveFiles(db, from, to)).toBe(1);
  expect([...(await to.read(kept))]).toEqual([1, 2]);
  await db
    .update(files)
    .set({ hash: 'f'.repeat(64) })
    .where(eq(files.hash, kept));
  await expect(moveFiles(db, from, to)).rejects.toThrow(FileMissing);
});
