// A PostgreSQL server of Debian's for tests and the bench, on a free port, in a folder of its own that goes with it.
import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import path from 'node:path';

const VERSIONS = '/usr/lib/postgresql';
/** Nothing here has to survive a power cut. */
const QUICK = ['-c', 'fsync=off', '-c', 'full_page_writes=off', '-c', 'max_connections=200'];
const READY = { times: 200, everyMs: 100 };

/** The newest that is installed; null where there is none. */
export function postgresPrograms() {
  if (!existsSync(VERSIONS)) return null;
  const newest = readdirSync(VERSIONS)
    .sort((a, b) => Number(a) - Number(b))
    .at(-1);
  return newest ? path.join(VERSIONS, newest, 'bin') : null;
}

async function freePort() {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address();
  server.close();
  await once(server, 'close');
  return port;
}

/** It never runs as root. */
function servant() {
  const { uid } = userInfo();
  if (uid !== 0) return {};
  const id = (flag) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

/** Starts one; `url` is of its first database, whose user may do everything. */
export async function startPostgres() {
  const programs = postgresPrograms();
  if (!programs) throw new Error('PostgreSQL is not installed: apt-get install postgresql.');
  const own = servant();
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-postgres-'));
  if (own.uid !== undefined) chownSync(folder, own.uid, own.gid);
  const data = path.join(folder, 'data');
  const run = { ...own, cwd: folder, stdio: ['ignore', 'ignore', 'inherit'] };
  execFileSync(
    path.join(programs, 'initdb'),
    ['-D', data, '-U', 'studio', '--auth=trust', '--encoding=UTF8', '--locale=C.UTF-8', '--no-sync'],
    run,
  );
  const port = await freePort();
  const listens = ['-h', '127.0.0.1', '-p', String(port), '-k', folder];
  const server = spawn(path.join(programs, 'postgres'), ['-D', data, ...listens, ...QUICK], {
    ...own,
    cwd: folder,
    stdio: 'ignore',
  });
  const ask = () => execFileSync(path.join(programs, 'pg_isready'), ['-h', '127.0.0.1', '-p', String(port), '-q']);
  for (let k = 0; ; k++) {
    try {
      ask();
      break;
    } catch {
      if (k === READY.times || server.exitCode !== null) throw new Error('PostgreSQL did not start.');
      await new Promise((done) => setTimeout(done, READY.everyMs));
    }
  }
  return {
    url: `postgresql://studio@127.0.0.1:${port}/postgres`,
    async stop() {
      server.kill('SIGINT');
      if (server.exitCode === null) await once(server, 'exit');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
