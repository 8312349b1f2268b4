// Everything that must hold, in one command; the last line sums over all runners.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, openSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { installDebian, installPackages, run, together } from './provision.mjs';

installPackages();
installDebian({ chromium: 'chromium', pdftoppm: 'poppler-utils' });
// Side by side: each keeps one core busy.
await together([['npm', ['run', '--silent', 'types']], ['npm', ['run', '--silent', 'lint']]]);
run('npm', ['run', '--silent', 'build']);

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-test-'));
const [unitReport, browserReport, browserLog] = ['jest.json', 'browser.json', 'browser.log'].map((name) => path.join(folder, name));

// Browser tests mostly wait. They run beside the unit tests, which give way to them, so that no wait grows too long.
const log = openSync(browserLog, 'w');
const browser = spawn(process.execPath, ['dist/e2e/run.mjs', browserReport], { stdio: ['ignore', log, log] });
const unit = spawn('nice', ['-n', '10', 'npx', 'jest', '--json', `--outputFile=${unitReport}`], {
  stdio: 'inherit',
  env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules', FAIR_GREY_BUILT: '1' },
});
await Promise.all([once(browser, 'exit'), once(unit, 'exit')]);
process.stdout.write(readFileSync(browserLog));

/** What a runner reported, or one failure where it ended without a report. */
function reported(file, count) {
  try {
    return count(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
}
const results = [reported(unitReport, (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites })), reported(browserReport, (r) => r)];
const [passed, failed] = ['passed', 'failed'].map((what) => results.reduce((sum, r) => sum + r[what], 0));
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
