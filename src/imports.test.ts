import { spawnSync } from 'node:child_process';
import path from 'node:path';

const depcruise = (cwd: string) =>
  spawnSync(
    'node',
    [
      path.resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
      '--config',
      path.resolve('.dependency-cruiser.cjs'),
      'src',
    ],
    {
      cwd,
      encoding: 'utf8',
    },
  );

test('an import from the core upwards fails the check of who may import whom', () => {
  const { status, stdout } = depcruise('scripts/fixtures');
  expect(status).not.toBe(0);
  expect(stdout).toContain('core-imports-only-what-it-may');
});
