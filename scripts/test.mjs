// Everything that must hold, in one command; the last line sums over all runners.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { installDebian, installPackages, run, together } from './provision.mjs';

installPackages();
installDebian({ chromium: 'chromium', pdftoppm: 'poppler-utils' });
// Side by side: each keeps one core busy.
await together([['npm', ['run', '--silent', 'types']], ['npm', ['run', '--silent', 'lint']]]);
run('npm', ['run', '--silent', 'build']);

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-test-'));
let passed = 0;
let failed = 0;

const report = path.join(folder, 'jest.json');
spawnSync('npx', ['jest', '--json', `--outputFile=${report}`], {
  stdio: 'inherit',
  env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules' },
});
const unit = JSON.parse(readFileSync(report, 'utf8'));
passed += unit.numPassedTests;
failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;

const browserReport = path.join(folder, 'browser.json');
spawnSync(process.execPath, ['dist/e2e/run.mjs', browserReport], { stdio: 'inherit' });
try {
  const browser = JSON.parse(readFileSync(browserReport, 'utf8'));
  passed += browser.passed;
  failed += browser.failed;
} catch {
  failed += 1;
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
