/** Drives the built application in Debian's Chromium. Writes how many checks passed and failed. */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from 'playwright';
import { proveReadings } from './photographs';

const PORT = '3187';
const BASE = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-e2e-'));
let passed = 0;
let failed = 0;

async function check(name: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
    passed++;
    console.log(`ok      ${name}`);
  } catch (error) {
    failed++;
    console.log(`FAILED  ${name}\n`, error);
  }
}

async function serve(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', PORT, '-H', '127.0.0.1'], {
    stdio: 'inherit',
    env: { ...process.env, FAIR_GREY_DATA: folder, FAIR_GREY_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
  });
  for (let i = 0; i < 120; i++) {
    const ready = await fetch(`${BASE}/health`).then((r) => r.ok).catch(() => false);
    if (ready) return child;
    await new Promise((r) => setTimeout(r, 500));
  }
  throw new Error('The server did not become ready.');
}

async function begin(page: Page): Promise<void> {
  await page.goto(BASE);
  await page.getByLabel('Your name').fill('Hesper Dunnock');
  await page.getByLabel('E-mail').fill('hesper@tidewell.example');
  await page.getByLabel('Password').fill('saltpans-and-hills');
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await page.getByRole('heading', { name: 'Nothing waits' }).waitFor();
}

await check('readings of photographs lie within 1.5 L* of the paint', proveReadings);
const server = await serve();
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await check('the first teacher opens the studio, and the door closes', async () => {
    await begin(page);
    await page.goto(`${BASE}/begin`);
    if (page.url().endsWith('/begin')) throw new Error('The page that makes the first teacher is still open.');
  });
  await check('a teacher makes a class and sets a nine-step scale', async () => {
    await page.goto(`${BASE}/ledger`);
    await page.getByLabel('Name of the class').fill('Tidewell Evening Studio');
    await page.getByRole('button', { name: 'Make the class' }).click();
    await page.getByText('class code').waitFor();
    await page.goto(`${BASE}/plan/new`);
    await page.getByRole('button', { name: 'Set it' }).click();
    await page.getByRole('link', { name: 'Print a sheet for each student' }).waitFor();
  });
  await check('what is not there answers 404', async () => {
    const status = (await page.goto(`${BASE}/table/forged`))?.status();
    if (status !== 404) throw new Error(`Expected 404, got ${status}.`);
  });
} finally {
  await browser.close();
  server.kill('SIGKILL');
}
const report = process.argv[2];
if (report) writeFileSync(report, JSON.stringify({ passed, failed }));
process.exit(failed === 0 ? 0 : 1);
