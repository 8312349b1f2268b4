/** A studio has one first teacher. */
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from '../database/database';
import type { OpenDatabase } from '../database/engine';
import { freshDatabase } from '../database/test-database';
import { user } from '../schema/tables';
import { openAuth } from './auth';

let opened: OpenDatabase;
beforeAll(async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-auth-'));
  opened = await openDatabase({ folder, databaseUrl: await freshDatabase(folder) });
});
afterAll(() => opened.close());

test('of four that begin at once one is the first teacher', async () => {
  const auth = await openAuth(opened.db);
  const ids = await Promise.all(
    [1, 2, 3, 4].map((k) => auth.createFirstTeacher(`Teacher ${k}`, `t${k}@tidewell.example`, 'saltpans-and-hills')),
  );
  expect(ids.filter((id) => id !== null)).toHaveLength(1);
  expect(await opened.db.select().from(user)).toHaveLength(1);
});
