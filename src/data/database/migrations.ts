/** The schema's migrations, the same for every engine. */
import { sql } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import type { Database } from './engine';

export const MIGRATIONS = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'src/data/migrations');

const journal = z.object({ entries: z.array(z.object({ when: z.number() })) });
const newest = z.array(z.object({ at: z.coerce.number().nullable() }));

/** Whether a database has had every migration that there is. Throws where it had none at all. */
export async function isUpToDate(db: Database): Promise<boolean> {
  const { entries } = journal.parse(
    JSON.parse(readFileSync(path.join(/*turbopackIgnore: true*/ MIGRATIONS, 'meta', '_journal.json'), 'utf8')),
  );
  const done = (await db.execute(sql`select max(created_at) as at from drizzle.__drizzle_migrations`)) as {
    rows: unknown[];
  };
  const [last] = newest.parse(done.rows);
  return (last?.at ?? 0) >= Math.max(...entries.map((e) => e.when));
}
