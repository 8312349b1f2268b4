// Runs the command line, building it first when a source is newer than the build.
import { existsSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

process.chdir(path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..'));

function newest(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((e) => e.isFile())
    .reduce((t, e) => Math.max(t, statSync(path.join(e.parentPath, e.name)).mtimeMs), 0);
}

const cli = path.resolve('dist/cli.mjs');
if (!existsSync(cli) || statSync(cli).mtimeMs < newest('src')) {
  process.stderr.write('building the command line …\n');
  const { default: buildNode } = await import('./build.mjs');
  await buildNode();
}
await import(cli);
