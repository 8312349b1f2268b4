/** Files from one store into another, each checked by its content. */
import { asc, gt } from 'drizzle-orm';
import type { Database } from '../database/engine';
import type { FileStore } from '../files/file-store';
import { files } from '../schema/tables';

const AT_ONCE = 200;

/** Carries over every file that a row names; returns how many. Throws FileMissing at one that is not as it was kept. */
export async function moveFiles(db: Database, from: FileStore, to: FileStore): Promise<number> {
  let count = 0;
  for (let after = ''; ;) {
    const some = await db
      .select({ hash: files.hash })
      .from(files)
      .where(gt(files.hash, after))
      .orderBy(asc(files.hash))
      .limit(AT_ONCE);
    for (const { hash } of some) {
      const bytes = await from.read(hash);
      if (!(await to.has(hash))) await to.put(bytes);
      await to.read(hash);
      count++;
    }
    const last = some.at(-1);
    if (!last || some.length < AT_ONCE) return count;
    after = last.hash;
  }
}
