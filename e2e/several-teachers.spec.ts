/** A class that two teach: one drafts and does not send, what was done is written down; grades, post, a calendar, a second step. */
import { expect, type Page, test } from '@playwright/test';
import { createHmac } from 'node:crypto';
import { faultsOf } from './axe';
import { inTidewell, type Tidewell } from './evening';
import { awake, handIn } from './people';
import { handInPhotograph } from './photographs';

test.describe.configure({ mode: 'serial' });

let evening: Tidewell;
let [teacher, student, assistant]: Page[] = [];
let [classPage, tablePage] = ['', ''];
const page = (of: Page | undefined): Page => of as Page;

inTidewell('Ruta Vane', async (opened) => {
  evening = opened;
  ({ teacher, student } = opened);
  assistant = await opened.newPhone();
  await page(assistant).setViewportSize({ width: 1280, height: 800 });
  await page(student).goto(`/my/${opened.exerciseId}`);
  await handIn(page(student), await handInPhotograph(opened.exerciseId, 'too-close', 61));
  await page(student).getByText('This picture will do.').waitFor();
});

async function openClass(who: Page): Promise<void> {
  await who.goto('/ledger');
  await who.getByRole('link', { name: /Tidewell/ }).click();
  await who.getByRole('heading', { level: 1, name: /Tidewell/ }).waitFor();
  classPage = new URL(who.url()).pathname;
}

test('an assistant is invited, and finds the class once it is shared', async () => {
  const own = page(teacher);
  await own.goto('/ledger');
  await awake(own.getByLabel('Whoever comes next'));
  await own.getByLabel('Whoever comes next').selectOption('assistant');
  await own.getByRole('button', { name: 'Invite a teacher' }).click();
  const code = await own.getByRole('status').getByRole('strong').textContent();
  const other = page(assistant);
  await other.goto('/join');
  await other.getByLabel('The code of your invitation').fill(code ?? '');
  await other.getByLabel('Your name').fill('Odile Marrow');
  await other.getByLabel('E-mail').fill('odile.several@tidewell.example');
  await other.getByLabel('Password').fill('chalk-and-charcoal');
  await other.getByRole('button', { name: 'Come in' }).click();
  await other.getByRole('heading', { name: 'Nothing waits' }).waitFor();
  await other.goto('/ledger');
  await other.getByText('Nobody has shared a class with you yet').waitFor();
  await openClass(own);
  await awake(own.getByLabel('Share it with'));
  await own.getByLabel('Share it with').selectOption({ label: 'Odile Marrow' });
  await own.getByRole('button', { name: 'Share', exact: true }).click();
  await own.getByText('Odile Marrow: looks and drafts; sends nothing').waitFor();
  expect(await faultsOf(own)).toEqual([]);
  await openClass(other);
  await other.getByText('you look at what is handed in, and draft').waitFor();
  expect(await faultsOf(other)).toEqual([]);
});

test('what the assistant decides is held, and the teacher sends it', async () => {
  const other = page(assistant);
  await other.goto('/');
  await other.getByRole('heading', { name: '1 hand-in waits for you' }).waitFor();
  await other.goto('/rack');
  await other
    .getByRole('link', { name: /Ruta Vane/ })
    .last()
    .click();
  await other.waitForURL(/table/);
  tablePage = new URL(other.url()).pathname;
  await awake(other.getByRole('button', { name: /Once more/ }));
  await other.keyboard.press('g');
  await other.getByRole('heading', { name: '1 letter is held' }).waitFor();
  await other.getByText('Whoever teaches the class sends them.').waitFor();
  await expect(other.getByRole('button', { name: /Send/ })).toHaveCount(0);
  const own = page(teacher);
  await own.goto('/');
  await own.getByText('Odile Marrow').waitFor();
  await awake(own.getByRole('button', { name: /Send it/ }));
  await own.keyboard.press('a');
  await own.getByText('1 letter sent.').waitFor();
  await page(student).reload();
  await page(student).getByText('Once more, please.').first().waitFor();
});

test('a grade is given at the Table beside what was measured, and comes with the letter', async () => {
  const own = page(teacher);
  await own.goto(`${classPage}/grades`);
  await awake(own.getByRole('button', { name: 'One more criterion' }));
  await own.getByRole('button', { name: 'One more criterion' }).click();
  await own.getByRole('button', { name: 'Keep the scheme' }).click();
  await own.getByText('Give each criterion a name.').waitFor();
  await own.getByLabel('What is looked at').fill('Even steps');
  await own.getByLabel('Measured beside it').selectOption({ label: 'unevenness of the gaps' });
  await own.getByLabel('Students see their grades with the letter').check();
  await own.getByRole('button', { name: 'Keep the scheme' }).click();
  await own.getByText('Kept.').waitFor();
  await own.getByRole('button', { name: 'One more criterion' }).click();
  await own.getByLabel('Graded by').last().selectOption('levels');
  await own.getByRole('button', { name: 'One more step' }).waitFor();
  expect(await faultsOf(own)).toEqual([]);
  await own.goto(tablePage);
  await own.getByText('Grades, 0 of 1 given').click();
  await own.getByText(/^unevenness of the gaps: 0\.\d\d$/).waitFor();
  await own.getByLabel('Even steps').fill('11');
  await own.getByLabel('Even steps').blur();
  await own.getByText('10 points at most').waitFor();
  await own.getByLabel('Even steps').fill('6');
  await own.getByLabel('Even steps').blur();
  await own.getByText('Grades, 1 of 1 given').waitFor();
  await own.getByRole('button', { name: 'Take back a grade of Ruta Vane' }).waitFor();
  await page(student).reload();
  await page(student).getByText('6 of 10').waitFor();
  await own.goto(`${classPage}/grades`);
  await own.getByRole('cell', { name: '6 of 10' }).waitFor();
  expect(await (await own.request.get(`/results/${classPage.split('/').at(-1)}/grades`)).text()).toContain(
    'Even steps',
  );
});

test('a letter goes out as a file, a class is told something, and a calendar opens by its address alone', async () => {
  const own = page(teacher);
  await own.goto(classPage);
  await own.getByRole('link', { name: 'Ruta Vane' }).click();
  await own.getByRole('heading', { level: 1, name: 'Ruta Vane' }).waitFor();
  await awake(own.getByLabel('A new note'));
  await own.getByLabel('A new note').fill('Paints standing.');
  await own.getByRole('button', { name: 'Keep it' }).click();
  await own.getByText('A note that is emptied goes away.').waitFor();
  await own.getByLabel('E-mail address').fill('vane@harbour.example');
  await own.getByLabel('E-mail address').blur();
  await own.getByText('Kept.').waitFor();
  await own.getByRole('button', { name: 'Make its address' }).click();
  const address = (await own.getByRole('status').locator('strong').textContent()) ?? '';
  const open = () => fetch(new URL(address).pathname.replace(/^/, evening.base));
  expect(await (await open()).text()).toContain('BEGIN:VCALENDAR');
  await own.getByRole('button', { name: 'Withdraw it' }).click();
  await own.getByRole('button', { name: 'Make its address' }).waitFor();
  expect((await open()).status).toBe(404);
  expect(await faultsOf(own)).toEqual([]);
  const portfolio = await page(student).request.get(`/portfolio/${own.url().split('/').at(-1)}?as=pdf`);
  expect((await portfolio.body()).toString('latin1', 0, 5)).toBe('%PDF-');

  await own.goto(`${classPage}/post`);
  const [saved] = await Promise.all([
    own.waitForEvent('download'),
    own.getByRole('link', { name: /As e-mail the letter to Ruta Vane/ }).click(),
  ]);
  expect(saved.suggestedFilename()).toBe('letter.eml');
  await awake(own.getByLabel('What it is about'));
  await own.getByLabel('What it is about').fill('Thursday outdoors');
  await own.getByLabel('What you want to tell them').fill('Bring a rag.');
  await own.getByRole('button', { name: 'Tell the class' }).click();
  await own.getByText('Thursday outdoors', { exact: true }).waitFor();
  expect(await faultsOf(own)).toEqual([]);
  await page(student).goto('/my');
  await page(student).getByText('Bring a rag.').waitFor();
  expect(await faultsOf(page(student))).toEqual([]);
});

test('who looked, decided and sent is written down', async () => {
  const own = page(teacher);
  await own.goto(`${classPage}/seen`);
  for (const [who, did] of [
    ['Odile Marrow', 'decided'],
    ['Hesper Dunnock', 'sent the letter'],
    ['Hesper Dunnock', 'took letters out as e-mail'],
  ] as const)
    await own.getByRole('row').filter({ hasText: who }).filter({ hasText: did }).first().waitFor();
  expect(await faultsOf(own)).toEqual([]);
  expect((await page(assistant).request.get(`${classPage}/seen`)).status()).toBe(404);
});

test('what changed from one try to the next can be used by everybody', async () => {
  await page(student).goto(`/my/${evening.exerciseId}`);
  await handIn(page(student), await handInPhotograph(evening.exerciseId, 'fine', 62));
  await page(student).getByText('This picture will do.').waitFor();
  const own = page(teacher);
  await own.goto(tablePage);
  await awake(own.getByRole('button', { name: /How it went/ }));
  await own.keyboard.press('h');
  await own.getByText(/Closer than before|Further off/).waitFor();
  expect(await faultsOf(own)).toEqual([]);
});

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
/** What an authenticator shows for a key (RFC 6238). */
function codeFor(key: string): string {
  const bits = [...key].map((letter) => LETTERS.indexOf(letter).toString(2).padStart(5, '0')).join('');
  const bytes = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000)));
  const mac = createHmac('sha1', bytes).update(counter).digest();
  return String((mac.readUInt32BE((mac.at(-1) ?? 0) & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a second step is set up, asked for at the door, and ended', async () => {
  const other = page(assistant);
  await other.goto('/you');
  await awake(other.getByLabel('Your password', { exact: true }));
  await other.getByLabel('Your password', { exact: true }).fill('chalk-and-charcoal');
  await other.getByRole('button', { name: 'Begin' }).click();
  const key = (await other.getByText(/^[A-Z2-7]{40,}$/).textContent()) ?? '';
  expect(await faultsOf(other)).toEqual([]);
  await other.getByLabel('The code that it shows now').fill(codeFor(key));
  await other.getByRole('button', { name: 'That is it' }).click();
  await other.getByText('you are asked for a code of your authenticator').waitFor();
  await other.getByRole('button', { name: 'Sign out everywhere' }).click();
  await other.waitForURL(/sign-in/);
  await other.getByLabel('E-mail').fill('odile.several@tidewell.example');
  await other.getByLabel('Password').fill('chalk-and-charcoal');
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.getByText('Now the code that your authenticator shows.').waitFor();
  await other.getByLabel('Code of your authenticator').fill(codeFor(key));
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.getByRole('heading', { name: /waits|wait for you/ }).waitFor();
});
