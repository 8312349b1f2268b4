/** Drives the built application in Debian's Chromium. Writes how many checks passed and failed. */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from 'playwright';
import { handInPhotograph, proveReadings } from './photographs';

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
let server = await serve();
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
  const exerciseId = page.url().split('/').at(-1) ?? '';
  const student = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await check('a student is enrolled and comes in with two codes', async () => {
    await page.goto(`${BASE}/ledger`);
    await page.getByRole('link', { name: /Tidewell/ }).click();
    const classCode = (await page.locator('strong').first().textContent()) ?? '';
    await page.getByLabel('Display name').fill('Bea Lindqvarn');
    await page.getByRole('button', { name: 'Add' }).click();
    const slip = (await page.getByText(/Bea Lindqvarn: /).textContent()) ?? '';
    await student.goto(`${BASE}/sign-in`);
    await student.getByLabel('Class code').fill(classCode);
    await student.getByLabel('Your own code').fill(slip.split(': ')[1] ?? '');
    await student.getByRole('button', { name: 'Come in' }).click();
    await student.getByRole('link', { name: /Nine greys/ }).click();
    await student.getByRole('heading', { name: 'The steps' }).waitFor();
  });
  const send = async (paint: 'too-close' | 'fine', seed: number) => {
    const buffer = await handInPhotograph(exerciseId, paint, seed);
    await student.getByLabel('Photograph of the sheet').setInputFiles({ name: 'sheet.jpg', mimeType: 'image/jpeg', buffer });
  };
  const openTable = async () => {
    await page.goto(`${BASE}/rack`);
    await page.getByRole('link', { name: /Bea Lindqvarn/ }).click();
    await page.getByRole('img', { name: /Value ruler/ }).waitFor();
  };
  await check('a phone photograph on its side is measured, and its stored bytes hold no place', async () => {
    await send('too-close', 51);
    await student.getByText('This picture will do.').waitFor({ timeout: 30_000 }).catch(async (error: Error) => {
      throw new Error(`${await student.getByRole('status').first().innerText()} (${error.name})`);
    });
    const files = path.join(folder, 'files');
    const stored = readdirSync(files, { recursive: true, withFileTypes: true }).filter((f) => f.isFile());
    if (stored.length === 0) throw new Error('No file was stored.');
    for (const f of stored)
      if (readFileSync(path.join(f.parentPath, f.name)).includes('Practice camera')) throw new Error('Metadata was stored.');
  });
  await check('the teacher edits a finding and sends it back; the student reads it', async () => {
    await openTable();
    await page.locator('[data-code=too_close] button').first().click();
    await page.getByRole('button', { name: 'Edit' }).click();
    await page.getByLabel('What is seen').fill('Four and five are twins.');
    await page.getByRole('button', { name: 'Keep these words' }).click();
    await page.getByText('Drafted: ').waitFor();
    await page.getByRole('button', { name: /Once more/ }).click();
    await page.getByRole('button', { name: /Withdraw/ }).waitFor();
    await student.reload();
    await student.getByText('Four and five are twins.').waitFor();
  });
  await check('killed while it measures, the studio takes the measurement up again', async () => {
    await send('fine', 52);
    await student.getByText('Measuring your picture').waitFor({ timeout: 20_000 });
    server.kill('SIGKILL');
    await new Promise((r) => setTimeout(r, 500));
    server = await serve();
    await student.reload();
    await student.getByText('This picture will do.').waitFor({ timeout: 40_000 });
  });
  await check('pass, and all is still there', async () => {
    await openTable();
    await page.keyboard.press('p');
    await page.getByRole('button', { name: /Withdraw/ }).waitFor();
    await student.reload();
    await student.getByText('Passed.').waitFor();
    await student.getByText('Four and five are twins.').waitFor();
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
