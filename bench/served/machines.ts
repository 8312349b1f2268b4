/** A district in small on one machine: two processes for pages behind a proxy, two that measure, one database, one store. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import S3rver from 's3rver';
import { migrateServer } from '@/data/database/server';
import type { Settings } from '@/data/settings';
import { startPostgres } from '../../scripts/postgres.mjs';
import { type Kept, keepRunning } from './processes';

const PORTS = { proxy: 3300, pages: [3301, 3302] } as const;
const BUCKET = 'studio';

export interface District {
  readonly base: string;
  readonly settings: Settings;
  readonly processes: readonly Kept[];
  stop(): Promise<void>;
}

const proxyFile = (): string => `
defaults
  mode http
  timeout connect 2s
  timeout client 60s
  timeout server 60s
  retries 3
  option redispatch
  option forwardfor
frontend pages
  bind 127.0.0.1:${PORTS.proxy}
  default_backend web
backend web
  option httpchk GET /health/ready
${PORTS.pages.map((port, k) => `  server web${k} 127.0.0.1:${port} check inter 500 fall 1 rise 1`).join('\n')}
`;

/** The processes are those that `npm run web` and `npm run measure` start; the proxy is Debian's haproxy. */
export async function openDistrict(): Promise<District> {
  if (spawnSync('haproxy', ['-v']).status !== 0) throw new Error('haproxy is not installed: apt-get install haproxy.');
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-cluster-'));
  const postgres = await startPostgres();
  const keys = { AWS_ACCESS_KEY_ID: 'S3RVER', AWS_SECRET_ACCESS_KEY: 'S3RVER' };
  Object.assign(process.env, keys);
  const store = new S3rver({
    ...{ port: 0, silent: true, directory: path.join(folder, 'store') },
    configureBuckets: [{ name: BUCKET }],
  });
  const endpoint = `http://127.0.0.1:${(await store.run()).port}`;
  await migrateServer(postgres.url);
  const config = path.join(folder, 'proxy.cfg');
  writeFileSync(config, proxyFile());

  const envOf = (name: string, role: string, port = 0): NodeJS.ProcessEnv => ({
    ...{ ...process.env, ...keys, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    ...{ DATABASE_URL: postgres.url, FAIR_GREY_S3_BUCKET: BUCKET, FAIR_GREY_S3_ENDPOINT: endpoint },
    ...{ FAIR_GREY_DATA: path.join(folder, name), FAIR_GREY_MIN_FREE: '0', FAIR_GREY_ROLE: role },
    ...{ PORT: String(port), FAIR_GREY_PROXY: 'loopback' },
  });
  const node = (name: string, file: string, env: NodeJS.ProcessEnv) => keepRunning(name, process.execPath, [file], env);
  const processes = [
    ...PORTS.pages.map((port, k) => node(`web${k}`, 'dist/serve.mjs', envOf(`web${k}`, 'web', port))),
    ...[0, 1].map((k) => node(`measure${k}`, 'dist/measure.mjs', envOf(`measure${k}`, 'measure'))),
    keepRunning('proxy', 'haproxy', ['-db', '-f', config], process.env),
  ];
  return {
    base: `http://127.0.0.1:${PORTS.proxy}`,
    settings: {
      ...{
        folder: path.join(folder, 'bench'),
        databaseUrl: postgres.url,
        minFree: 0,
        demo: false,
        backupDays: null,
        role: 'web',
        metrics: null,
      },
      s3: { bucket: BUCKET, endpoint, region: 'us-east-1' },
    },
    processes,
    async stop() {
      await Promise.all(processes.map((own) => own.stop()));
      await store.close();
      await postgres.stop();
    },
  };
}
