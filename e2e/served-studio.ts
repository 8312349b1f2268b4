/** The built application, served from a folder of its own. */
import { freshDatabase } from '@/data/database/test-database';
import { type ChildProcess, spawn } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Ports of one served studio after the other in this process. */
let nextPort = 3187;
/** Ports of what is counted are so much above those of the pages. */
const METRICS_ABOVE = 2000;
/** How often, and how long apart, it is asked whether it is ready. */
const READY = { times: 120, everyMs: 500 } as const;

export interface ServedStudio {
  readonly base: string;
  readonly folder: string;
  /** What was logged so far, line by line. */
  readonly logged: () => readonly string[];
  /** What is counted, as a collector reads it. */
  readonly metrics: () => Promise<string>;
  /** Kills the server as `kill -9` does and serves the same folder again, with the given settings, after something was done to it. */
  readonly killAndServe: (settings?: Record<string, string>, meanwhile?: () => Promise<void>) => Promise<void>;
  /** Ends the server; the folder goes. */
  readonly close: () => void;
}

const logOf = (folder: string) => `${folder}.log`;
const metricsAt = (port: number) => `127.0.0.1:${port + METRICS_ABOVE}`;

async function serve(folder: string, port: number, settings: Record<string, string>): Promise<ChildProcess> {
  const own = {
    PORT: String(port),
    FAIR_GREY_DATA: folder,
    FAIR_GREY_DEMO: '1',
    FAIR_GREY_LOG: 'info',
    FAIR_GREY_METRICS: metricsAt(port),
  };
  const log = openSync(logOf(folder), 'a');
  const child = spawn(process.execPath, ['dist/serve.mjs'], {
    stdio: ['ignore', log, 'ignore'],
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', ...own, ...settings },
  });
  closeSync(log);
  for (let i = 0; i < READY.times; i++) {
    const ready = await fetch(`http://127.0.0.1:${port}/health`)
      .then((r) => r.ok)
      .catch(() => false);
    if (ready) return child;
    await new Promise((r) => setTimeout(r, READY.everyMs));
  }
  child.kill('SIGKILL');
  throw new Error('The server did not become ready.');
}

/** `prepare` puts something into its folder before it is served. */
export async function serveStudio(
  prepare: (folder: string) => Promise<void> = () => Promise.resolve(),
): Promise<ServedStudio> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-e2e-'));
  await freshDatabase(folder);
  await prepare(folder);
  const port = nextPort++;
  let server = await serve(folder, port, {});
  return {
    base: `http://127.0.0.1:${port}`,
    folder,
    logged: () =>
      readFileSync(logOf(folder), 'utf8')
        .split('\n')
        .filter((line) => line.startsWith('{')),
    metrics: async () => (await fetch(`http://${metricsAt(port)}/metrics`)).text(),
    async killAndServe(settings = {}, meanwhile = () => Promise.resolve()) {
      server.kill('SIGKILL');
      await new Promise((r) => setTimeout(r, READY.everyMs));
      await meanwhile();
      server = await serve(folder, port, settings);
    },
    close() {
      server.kill('SIGKILL');
      for (const own of [folder, logOf(folder)]) rmSync(own, { recursive: true, force: true });
    },
  };
}
