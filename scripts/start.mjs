// Serves the built application.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';

const port = process.env.PORT ?? '3000';
const host = process.env.FAIR_GREY_HOST ?? '127.0.0.1';
// While photographs are measured every core is busy already: a collector with threads of its own takes a fifth of them
// to follow a small heap whenever a photograph's pixels come and go.
const flags = JSON.parse(readFileSync(new URL('node-flags.json', import.meta.url), 'utf8'));
const child = spawn(process.execPath, [...flags, 'node_modules/next/dist/bin/next', 'start', '-p', port, '-H', host], {
  stdio: 'inherit',
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NEXT_MANUAL_SIG_HANDLE: 'true' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
