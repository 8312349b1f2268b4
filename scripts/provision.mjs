// Installs what is missing on a fresh machine: npm packages and, for tests, Debian's Chromium and poppler.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';

const quiet = (env = {}) => ({ stdio: 'inherit', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } });

function endUnlessGood(command, args, status, signal) {
  if (status === 0) return;
  console.error(`\n${command} ${args.join(' ')} ended with ${status ?? signal}.`);
  process.exit(status ?? 1);
}

export function run(command, args, env = {}) {
  const { status, signal } = spawnSync(command, args, quiet(env));
  endUnlessGood(command, args, status, signal);
}

export function installPackages() {
  const mark = 'node_modules/.package-lock.json';
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync('package-lock.json').mtimeMs) return;
  run('npm', ['ci', '--no-audit', '--no-fund']);
}

export function installDebian(wanted) {
  const missing = Object.entries(wanted).filter(
    ([command]) => spawnSync('sh', ['-c', `command -v ${command}`]).status !== 0,
  );
  if (missing.length === 0) return;
  const names = missing.map(([, name]) => name);
  console.log(`Installing ${names.join(', ')} with apt …`);
  execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
  execFileSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...names], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}
