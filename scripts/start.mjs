// Serves the built application.
import { spawn } from 'node:child_process';

const port = process.env.PORT ?? '3000';
const host = process.env.FAIR_GREY_HOST ?? '127.0.0.1';
const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', port, '-H', host], {
  stdio: 'inherit',
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NEXT_MANUAL_SIG_HANDLE: 'true' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
