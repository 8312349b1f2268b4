/** What every browser check needs: a served studio in a folder of its own, a browser, and a tally. */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type Browser, chromium, type Locator, type Page } from 'playwright';

const PORT = '3187';
export const BASE = `http://127.0.0.1:${PORT}`;

export interface Harness {
  readonly folder: string;
  readonly browser: Browser;
  readonly tally: { passed: number; failed: number };
  readonly check: (name: string, work: () => Promise<void>) => Promise<void>;
  /** Kills the server as `kill -9` does and serves the same folder again, with the given settings. */
  readonly killAndServe: (settings?: Record<string, string>) => Promise<void>;
  readonly close: () => Promise<void>;
}

async function serve(folder: string, settings: Record<string, string>): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', PORT, '-H', '127.0.0.1'], {
    stdio: 'inherit',
    env: { ...process.env, FAIR_GREY_DATA: folder, FAIR_GREY_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1', ...settings },
  });
  for (let i = 0; i < 120; i++) {
    const ready = await fetch(`${BASE}/health`)
      .then((r) => r.ok)
      .catch(() => false);
    if (ready) return child;
    await new Promise((r) => setTimeout(r, 500));
  }
  child.kill('SIGKILL');
  throw new Error('The server did not become ready.');
}

export async function openHarness(): Promise<Harness> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-e2e-'));
  const tally = { passed: 0, failed: 0 };
  let server = await serve(folder, {});
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  return {
    folder,
    browser,
    tally,
    async check(name, work) {
      const start = performance.now();
      try {
        await work();
        tally.passed++;
        console.log(`ok ${((performance.now() - start) / 1000).toFixed(1).padStart(5)} s  ${name}`);
      } catch (error) {
        tally.failed++;
        console.log(`FAILED  ${name}\n`, error);
      }
    },
    async killAndServe(settings = {}) {
      server.kill('SIGKILL');
      await new Promise((r) => setTimeout(r, 500));
      server = await serve(folder, settings);
    },
    async close() {
      await browser.close();
      server.kill('SIGKILL');
    },
  };
}

/** Long enough for a busy machine to measure a photograph: a wait is given up only where nothing comes. */
const PATIENCE_MS = 120_000;

async function someone(browser: Browser, viewport: { readonly width: number; readonly height: number }): Promise<Page> {
  const context = await browser.newContext({ viewport });
  context.setDefaultTimeout(PATIENCE_MS);
  return context.newPage();
}

export const phone = (browser: Browser): Promise<Page> => someone(browser, { width: 390, height: 844 });
export const desk = (browser: Browser): Promise<Page> => someone(browser, { width: 1280, height: 800 });

/** The first teacher's way in, on an empty studio. */
export async function openStudio(page: Page): Promise<void> {
  await page.goto(BASE);
  await page.getByLabel('Your name').fill('Hesper Dunnock');
  await page.getByLabel('E-mail').fill('hesper@tidewell.example');
  await page.getByLabel('Password').fill('saltpans-and-hills');
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await page.getByRole('heading', { name: 'Nothing waits' }).waitFor();
}

export async function makeClass(page: Page): Promise<void> {
  await page.goto(`${BASE}/ledger`);
  await page.getByLabel('Name of the class').fill('Tidewell Evening Studio');
  await page.getByRole('button', { name: 'Make the class' }).click();
  await page.getByText('class code').waitFor();
}

/** Enrols a student through the Ledger and signs them in on a page of their own. */
export async function enrol(teacher: Page, student: Page, name: string): Promise<void> {
  await teacher.goto(`${BASE}/ledger`);
  await teacher.getByRole('link', { name: /Tidewell/ }).click();
  const classCode = (await teacher.locator('strong').first().textContent()) ?? '';
  await teacher.getByLabel('Display name').fill(name);
  await teacher.getByRole('button', { name: 'Add' }).click();
  const slip = (await teacher.getByText(new RegExp(`${name}: `)).textContent()) ?? '';
  await student.goto(`${BASE}/sign-in`);
  await student.getByLabel('Class code').fill(classCode);
  await student.getByLabel('Your own code').fill(slip.split(': ')[1] ?? '');
  await student.getByRole('button', { name: 'Come in' }).click();
  await student.waitForURL(/\/my/);
}

/** Sends a picture that the look before sending would hold back. */
export async function handInAnyway(student: Page, buffer: Buffer, name?: string, mimeType?: string): Promise<void> {
  await handIn(student, buffer, name, mimeType);
  const anyway = student.getByRole('button', { name: 'Send it all the same' });
  // What is no picture at all is not held back: the studio says what it is.
  await anyway.click({ timeout: 9000 }).catch(() => undefined);
}

export const handIn = (student: Page, buffer: Buffer, name = 'sheet.jpg', mimeType = 'image/jpeg') =>
  student.getByLabel('Photograph of the sheet').setInputFiles({ name, mimeType, buffer });

/** Waits until somebody listens at a field: on a busy machine a page is seen before it is awake. */
export async function awake(field: Locator): Promise<void> {
  await field.waitFor({ state: 'attached' });
  for (let i = 0; !(await field.evaluate((el) => Object.keys(el).some((key) => key.startsWith('__reactProps')))); i++) {
    if (i === 600) throw new Error('The page did not wake up.');
    await field.page().waitForTimeout(100);
  }
}

/** Opens a page whose scripts stay on their way until what is returned is called. */
export async function openAsleep(page: Page, url: string): Promise<() => Promise<void>> {
  let wake = () => {};
  const woken = new Promise<void>((resolve) => {
    wake = resolve;
  });
  await page.route('**/_next/static/**/*.js', async (route) => {
    await woken;
    await route.continue();
  });
  await page.goto(url, { waitUntil: 'commit' });
  return async () => {
    wake();
    await page.unrouteAll({ behavior: 'wait' });
  };
}
