/** The built application, served from a folder of its own. */
import { freshDatabase } from '@/data/database/test-database';
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const PORT = '3187';
const BASE = `http://127.0.0.1:${PORT}`;
/** How often, and how long apart, it is asked whether it is ready. */
const READY = { times: 120, everyMs: 500 } as const;

export interface ServedStudio {
  readonly base: string;
  readonly folder: string;
  /** Kills the server as `kill -9` does and serves the same folder again, with the given settings. */
  readonly killAndServe: (settings?: Record<string, string>) => Promise<void>;
  /** Ends the server; the folder goes. */
  readonly close: () => void;
}

async function serve(folder: string, settings: Record<string, string>): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', PORT, '-H', '127.0.0.1'], {
    stdio: 'ignore',
    env: { ...process.env, FAIR_GREY_DATA: folder, FAIR_GREY_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1', ...settings },
  });
  for (let i = 0; i < READY.times; i++) {
    const ready = await fetch(`${BASE}/health`)
      .then((r) => r.ok)
      .catch(() => false);
    if (ready) return child;
    await new Promise((r) => setTimeout(r, READY.everyMs));
  }
  child.kill('SIGKILL');
  throw new Error('The server did not become ready.');
}

export async function serveStudio(): Promise<ServedStudio> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-e2e-'));
  await freshDatabase(folder);
  let server = await serve(folder, {});
  return {
    base: BASE,
    folder,
    async killAndServe(settings = {}) {
      server.kill('SIGKILL');
      await new Promise((r) => setTimeout(r, READY.everyMs));
      server = await serve(folder, settings);
    },
    close() {
      server.kill('SIGKILL');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
