/** The command as other programs use it: built, in a process and a folder of its own, one JSON and an exit code. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

export function testCommand() {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-cli-'));
  const run = (args: readonly string[]) =>
    spawnSync(process.execPath, [path.resolve('dist/cli.mjs'), ...args], {
      encoding: 'utf8',
      env: { ...process.env, INIT_CWD: folder },
    });
  return {
    folder,
    fairGrey: (...args: string[]) => {
      const done = run(args);
      return {
        code: done.status,
        json: done.stdout === '' ? null : (JSON.parse(done.stdout) as unknown),
        said: done.stderr.trim(),
      };
    },
    /** What it writes to be read, where it writes no JSON. */
    text: (...args: string[]) => run(args).stdout,
  };
}
