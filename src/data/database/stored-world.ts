/** For tests: a data folder of an earlier version, as it was kept, opened by this one. */
import { PGlite } from '@electric-sql/pglite';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { openDatabase } from './database';
import type { OpenDatabase } from './engine';

const WORLD = 'src/data/database/fixtures/world-2026-11.tar.br';

/** `before` looks at it before anything is migrated. */
export async function openStoredWorld<T>(
  before: (all: <Row>(query: string) => Promise<readonly Row[]>) => Promise<T>,
): Promise<{ readonly opened: OpenDatabase; readonly before: T }> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-old-'));
  const world = brotliDecompressSync(readFileSync(WORLD));
  const old = await PGlite.create(path.join(folder, 'pg'), { loadDataDir: new Blob([world]) });
  const seen = await before(async (query) => (await old.query(query)).rows as never);
  await old.close();
  return { opened: await openDatabase({ folder }), before: seen };
}
