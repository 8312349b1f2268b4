// One command: installs, builds, fills the demo's own folder with sample data, starts.
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { installPackages, run } from './provision.mjs';

const folder = path.resolve(process.env.FAIR_GREY_DATA ?? 'data/demo');
const env = { FAIR_GREY_DATA: folder, FAIR_GREY_DEMO: '1' };
if (process.argv.includes('--fresh')) {
  if (process.env.FAIR_GREY_DATA) {
    console.error('--fresh deletes only the demo’s own folder, data/demo: unset FAIR_GREY_DATA first.');
    process.exit(2);
  }
  rmSync(folder, { recursive: true, force: true });
}
// A sample world that was cut off while it was made is made anew.
const whole = path.join(folder, 'sample-world-is-whole');
if (!process.env.FAIR_GREY_DATA && existsSync(folder) && !existsSync(whole))
  rmSync(folder, { recursive: true, force: true });
installPackages();
run('npm', ['run', '--silent', 'build']);
run(process.execPath, ['dist/demo.mjs'], env);
writeFileSync(whole, '');
const host = process.env.FAIR_GREY_HOST ?? '127.0.0.1';
console.log(`\nFair Grey is at http://${host}:${process.env.PORT ?? '3000'} as soon as it says it is ready.\n`);
Object.assign(process.env, env);
await import('./start.mjs');
