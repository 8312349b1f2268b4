// Serves the built application: pages and measuring in one process, or pages only (--web), or measuring only (--measure).
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const role = ['web', 'measure'].find((name) => process.argv.includes(`--${name}`)) ?? 'all';
const env = { ...process.env, FAIR_GREY_ROLE: role, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' };

// What can't start says so before anything says that it is ready.
const { status } = spawnSync(process.execPath, ['dist/ready.mjs'], { stdio: 'inherit', env });
if (status !== 0) process.exit(1);

// While photographs are measured every core is busy already: a collector with threads of its own takes a fifth of them
// to follow a small heap whenever a photograph's pixels come and go.
const flags = JSON.parse(readFileSync(new URL('node-flags.json', import.meta.url), 'utf8'));
const program = role === 'measure' ? 'dist/measure.mjs' : 'dist/serve.mjs';
const child = spawn(process.execPath, [...flags, program], { stdio: 'inherit', env });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 1));
