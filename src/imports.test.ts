import { spawnSync } from 'node:child_process';
import path from 'node:path';

/** The check of who may import whom, over a small tree that breaks it on purpose. */
const { status, stdout } = spawnSync(
  'node',
  [
    path.resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
    '--config',
    path.resolve('.dependency-cruiser.cjs'),
    'src',
  ],
  { cwd: 'scripts/fixtures', encoding: 'utf8' },
);

test('the check ends in failure where something is forbidden', () => {
  expect(status).not.toBe(0);
});

test.each([
  ['an import from the core upwards', 'core-imports-only-what-it-may: src/core/forbidden.ts'],
  [
    'a type from a folder of the core above its own',
    'core-colour-uses-only-what-is-below-it: src/core/colour/upwards.ts',
  ],
  ['a folder of the core without a level', 'core-has-only-folders-with-a-level: src/core/unplaced/nowhere.ts'],
])('%s fails it', (_, told) => {
  expect(stdout).toContain(told);
});
