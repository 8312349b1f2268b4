/** Empty databases for tests: making one takes seconds, copying one does not. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { cp, mkdtemp, readdir, readFile, rename, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { newId } from '../schema/ids';
import { openEmbedded } from './embedded';
import { MIGRATIONS } from './migrations';
import { migrateServer } from './server';

/** Where a server for tests is, whose user may make databases; without one they are embedded. */
export const TEST_SERVER = process.env['FAIR_GREY_TEST_SERVER'];
/** Of two that want to make the template, one waits. */
const TEMPLATE_LOCK = 1;

async function nameOfTemplate(): Promise<string> {
  const hash = createHash('sha256');
  for (const name of (await readdir(MIGRATIONS)).sort())
    if (name.endsWith('.sql')) hash.update(await readFile(path.join(MIGRATIONS, name)));
  return hash.digest('hex').slice(0, 16);
}

async function copyEmbedded(folder: string): Promise<void> {
  const template = path.join(tmpdir(), `fair-grey-template-${await nameOfTemplate()}`);
  if (!existsSync(template)) {
    const own = await mkdtemp(path.join(tmpdir(), 'fair-grey-making-'));
    const made = await openEmbedded(own);
    await made.close();
    // Somebody else may have been quicker: theirs will do.
    await rename(path.join(own, 'pg'), template).catch(() => undefined);
    await rm(own, { recursive: true, force: true });
  }
  await cp(template, path.join(folder, 'pg'), { recursive: true });
}

async function copyOnServer(server: string): Promise<string> {
  const template = `template_${await nameOfTemplate()}`;
  const own = `studio_${newId()}`;
  const urlOf = (name: string) => Object.assign(new URL(server), { pathname: `/${name}` }).href;
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [TEMPLATE_LOCK]);
    const { rowCount } = await client.query('select from pg_database where datname = $1', [template]);
    if (!rowCount) {
      await client.query(`create database ${template}`);
      await migrateServer(urlOf(template));
    }
    await client.query(`create database ${own} template ${template}`);
  } finally {
    await client.end();
  }
  return urlOf(own);
}

/** An empty database, in a data folder or on the server for tests: its address there, or null. */
export async function freshDatabase(folder: string): Promise<string | null> {
  if (TEST_SERVER) return copyOnServer(TEST_SERVER);
  await copyEmbedded(folder);
  return null;
}
