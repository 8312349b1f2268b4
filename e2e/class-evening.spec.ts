/** An evening with a class of thirty: from the dropped pile to “send all”, by keyboard alone. */
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe';
import { type ClassOfMany, dropPile, makeClassOf } from './class-pile';
import { inNewStudioMadeBy } from './evening';
import { awake, teacherComesIn } from './people';
import { HESPER } from './tidewell';

const PARTS = { scales: 24, tones: 3, paintings: 3 } as const;
const CLASS = 30;

test.describe.configure({ mode: 'serial' });
let page: Page;
let made: ClassOfMany;
let kill: (settings?: Record<string, string>) => Promise<void>;

inNewStudioMadeBy(
  async (folder) => {
    made = await makeClassOf(folder, CLASS);
  },
  async ({ teacher, killAndServe }) => {
    page = teacher;
    kill = killAndServe;
    await teacherComesIn(page, HESPER.email);
  },
);

test('the pile is dropped, and every picture finds its student', () => dropPile(page, made, PARTS, 3000));

/** Keys of each hand-in. */
const keys: number[] = [];

/** Decides the hand-in that lies on the Table; where a nearly equal one was judged otherwise, once more. */
async function decideByKey(key: 'p' | 'g'): Promise<void> {
  const before = page.url();
  const gone = page.waitForURL((url) => String(url) !== before).then(() => 1);
  await page.keyboard.press(key);
  const told = page.getByRole('alert').filter({ hasText: 'decide once more' });
  const pressed = await Promise.race([gone, told.waitFor().then(() => 2)]);
  if (pressed === 2) await page.keyboard.press(key);
  await gone;
  keys.push(pressed);
}

const sittingWords = () => page.getByText(/decided, \d+ waits?/);

test('half of them are decided by one key each, and every decision is held', async () => {
  await awake(page.getByRole('link', { name: /Begin with/ }));
  await page.keyboard.press('b');
  await page.waitForURL(/\/table\//);
  for (let k = 0; k < CLASS / 2; k++) {
    await page.getByText(new RegExp(`${k} decided`)).waitFor();
    await decideByKey(k % 3 === 2 ? 'g' : 'p');
  }
  await sittingWords().filter({ hasText: '15 decided, 15 wait, less than a minute' }).waitFor();
});

test('what was done last is taken back from wherever one is, and decided anew', async () => {
  await page.getByRole('button', { name: /Take back “pass”|Take back “once more”/ }).waitFor();
  const there = page.url();
  await page.keyboard.press('u');
  await page.waitForURL((url) => String(url) !== there);
  await sittingWords().filter({ hasText: '14 decided, 16 wait' }).waitFor();
  await decideByKey('p');
  keys.pop();
});

test('cut off in the middle, the evening goes on where it was, also on another machine', async ({ browser }) => {
  await sittingWords().filter({ hasText: '15 decided' }).waitFor();
  const { pathname: there, origin: baseURL } = new URL(page.url());
  await kill();
  const elsewhere = await (await browser.newContext({ baseURL })).newPage();
  await teacherComesIn(elsewhere, HESPER.email, /hand-ins wait/);
  await awake(elsewhere.getByRole('link', { name: /Go on with/ }));
  await elsewhere.keyboard.press('b');
  await elsewhere.waitForURL((url) => url.pathname === there);
  await elsewhere.getByText(/15 decided, 15 wait/).waitFor();
  await elsewhere.context().close();
  await page.goto(there);
});

test('the rest is decided, and all letters go out together', async () => {
  for (let k = CLASS / 2; k < CLASS; k++) {
    await page.getByText(new RegExp(`${k} decided`)).waitFor();
    await decideByKey(k % 3 === 2 ? 'g' : 'p');
  }
  await page.getByRole('heading', { name: `${CLASS} letters are held` }).waitFor();
  await awake(page.getByRole('button', { name: /Send all 30/ }));
  await page.keyboard.press('a');
  await page.getByText(`${CLASS} letters sent.`).waitFor();
  await page.getByRole('heading', { name: 'Nothing waits' }).waitFor();
  const sorted = keys.toSorted((a, b) => a - b);
  const median = sorted[sorted.length >> 1] ?? 0;
  console.log(`Keys per hand-in: median ${median}, most ${sorted.at(-1)}, of ${keys.length} hand-ins.`);
  expect(keys).toHaveLength(CLASS);
  expect(median).toBeLessThanOrEqual(3);
});

test('what the class has in common is shown without names, and with them where they are wanted', async () => {
  await page.goto(`/rack/${made.classId}/together?exercise=${made.scaleId}`);
  const shown = page.getByRole('heading', { level: 2 });
  await shown.filter({ hasText: /of 24|All 24/ }).waitFor();
  await expect(page.getByText(/Student \d\d/)).toHaveCount(0);
  await page.getByLabel('With names').check();
  await expect(page.getByText(/Student \d\d/).first()).toBeVisible();
  const pdf = await page.request.get(`/together/${made.scaleId}`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).toString('latin1', 0, 4)).toBe('%PDF');
});

test('three of them lie side by side, for everybody', async () => {
  await page.goto(`/rack/${made.classId}?exercise=${made.scaleId}`);
  const picks = page.getByRole('checkbox', { name: /^Lay .* beside others$/ });
  await awake(picks.first());
  for (const k of [0, 1, 2]) await picks.nth(k).check();
  await page.getByRole('link', { name: /side by side/i }).click();
  await page.waitForURL(/beside/);
  await page.getByRole('heading', { name: 'Side by side' }).waitFor();
  await expect(page.getByRole('img', { name: /^Measured strip/ })).toHaveCount(3);
  expect(await faultsOf(page)).toEqual([]);
});
