/** Empty databases for tests: making one takes seconds, copying one does not. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { cp, mkdtemp, readdir, readFile, rename, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from './database';

const MIGRATIONS = 'src/data/migrations';

/** Puts an empty database into a data folder; each set of migrations has one to copy. */
export async function freshDatabase(folder: string): Promise<void> {
  const hash = createHash('sha256');
  for (const name of (await readdir(MIGRATIONS)).sort())
    if (name.endsWith('.sql')) hash.update(await readFile(path.join(MIGRATIONS, name)));
  const template = path.join(tmpdir(), `fair-grey-template-${hash.digest('hex').slice(0, 16)}`);
  if (!existsSync(template)) {
    const own = await mkdtemp(path.join(tmpdir(), 'fair-grey-making-'));
    const made = await openDatabase(own);
    await made.close();
    // Somebody else may have been quicker: theirs will do.
    await rename(path.join(own, 'pg'), template).catch(() => undefined);
    await rm(own, { recursive: true, force: true });
  }
  await cp(template, path.join(folder, 'pg'), { recursive: true });
}
