// Everything that must hold, in one command; the last line sums over all runners.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, openSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { installDebian, installPackages, run } from './provision.mjs';

installPackages();
installDebian({ chromium: 'chromium', pdftoppm: 'poppler-utils', pg_lsclusters: 'postgresql' });
run('npm', ['run', '--silent', 'build']);

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-test-'));
const inFolder = (name) => path.join(folder, name);
const [serverReport, browserReport, browserLog] = ['server.json', 'browser.json', 'browser.log'].map(inFolder);

// Browser tests mostly wait. All else runs beside them and gives way to them, so that no wait grows too long.
const shown = (env = {}) => ({ stdio: 'inherit', env: { ...process.env, ...env } });
const log = openSync(browserLog, 'w');
const browser = spawn('npx', ['playwright', 'test'], {
  stdio: ['ignore', log, log],
  env: { ...process.env, FAIR_GREY_REPORT: browserReport },
});
const browsed = once(browser, 'exit');

/** Unit tests in parts of one worker each: one at a time beside the browser, and two when it has ended. */
const PARTS = 4;
const parts = Array.from({ length: PARTS }, (_, k) => ({
  report: inFolder(`units-${k + 1}.json`),
  more: ['--maxWorkers=1', `--shard=${k + 1}/${PARTS}`],
}));
const unitReports = parts.map(({ report }) => report);
async function work() {
  for (let part = parts.shift(); part; part = parts.shift()) {
    const args = ['-n', '10', 'npx', 'jest', '--json', `--outputFile=${part.report}`, ...part.more];
    await once(spawn('nice', args, shown({ NODE_OPTIONS: '--import tsx', FAIR_GREY_BUILT: '1' })), 'exit');
  }
}
/** Those that touch data once more, on a PostgreSQL server, as soon as the browser leaves room for them. */
const afterwards = browsed.then(() => {
  parts.unshift({ report: serverReport, more: ['--maxWorkers=1', '--config', 'jest.server.config.mjs'] });
  return work();
});
const ended = Promise.all([work(), afterwards]);
const faulty = [];
for (const check of ['types', 'lint']) {
  const [status] = await once(spawn('nice', ['-n', '10', 'npm', 'run', '--silent', check], shown()), 'exit');
  if (status !== 0) faulty.push(check);
}
await ended;
process.stdout.write(readFileSync(browserLog));
for (const check of faulty) console.log(`FAILED  ${check}: see above, or run "npm run ${check}".`);

/** What a runner reported, or one failure where it ended without a report. */
function reported(file, count) {
  try {
    return count(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
}
const ofJest = (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites });
const results = [
  ...unitReports.map((report) => reported(report, ofJest)),
  reported(serverReport, ofJest),
  // What was not run because a test before it failed has not passed either.
  reported(browserReport, ({ stats, errors }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky + stats.skipped + errors.length,
  })),
];
const [passed, unmet] = ['passed', 'failed'].map((what) => results.reduce((sum, r) => sum + r[what], 0));
const failed = unmet + faulty.length;
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
