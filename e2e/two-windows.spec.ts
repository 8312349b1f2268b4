/** A teacher who has the same open in two windows, or two who share a studio: whoever writes later is told, and sees both. */
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe';
import { inTidewell } from './evening';
import { awake, handIn } from './people';
import { handInPhotograph } from './photographs';

let page: Page;
let other: Page;
let colleague: Page;
inTidewell('Bea Lindqvarn', async ({ teacher, student, exerciseId, newPhone }) => {
  page = teacher;
  colleague = await newPhone();
  other = await teacher.context().newPage();
  await student.goto(`/my/${exerciseId}`);
  await handIn(student, await handInPhotograph(exerciseId, 'too-close', 57));
  await student.getByText('This picture will do.').waitFor();
});

const both = () => page.getByRole('region', { name: 'Two versions' });

async function openTables(): Promise<void> {
  await page.goto('/rack');
  await page.getByRole('link', { name: /Bea Lindqvarn/ }).click();
  await page.getByRole('img', { name: /Value ruler/ }).waitFor();
  await other.goto(page.url());
  for (const window of [page, other]) await awake(window.getByLabel('Your own word'));
}

/** Writes a word and leaves its field. */
async function writeWord(window: Page, word: string): Promise<void> {
  const kept = window.waitForResponse((answer) => answer.request().method() === 'POST');
  await window.getByLabel('Your own word').fill(word);
  await window.getByLabel('Your own word').blur();
  await kept;
}

async function editFinding(window: Page, words: string): Promise<void> {
  await window.locator('[data-code=too_close] button').first().click();
  await window.getByRole('button', { name: 'Edit' }).click();
  await window.getByLabel('What is seen').fill(words);
}

test('two words for one painting: both are shown, and the teacher says which is kept', async () => {
  await openTables();
  await writeWord(other, 'Softer next time.');
  await writeWord(page, 'Well squinted.');
  await expect(both()).toContainText('Softer next time.');
  await expect(both()).toContainText('Well squinted.');
  await both().getByRole('button', { name: 'Keep mine' }).click();
  await expect(both()).toHaveCount(0);
  await other.reload();
  await expect(other.getByLabel('Your own word')).toHaveValue('Well squinted.');
});

test('what is written elsewhere comes into the field of whoever writes nothing there', async () => {
  await openTables();
  await writeWord(other, 'Look at three again.');
  // Whatever else is done here shows it.
  await page.locator('[data-code=too_close] button').first().click();
  await page.getByRole('button', { name: 'Drop' }).click();
  await expect(page.getByLabel('Your own word')).toHaveValue('Look at three again.');
  await page.getByRole('button', { name: 'Take it back in' }).click();
  await page.getByRole('button', { name: 'Drop' }).waitFor();
  await writeWord(page, 'Look at four again.');
  await expect(both()).toHaveCount(0);
});

test('a finding in two wordings: the one that stands can be left', async () => {
  await openTables();
  for (const [window, words] of [
    [page, 'Mine.'],
    [other, 'Four and five are twins.'],
  ] as const)
    await editFinding(window, words);
  await other.getByRole('button', { name: 'Keep these words' }).click();
  await other.getByText('Drafted: ').waitFor();
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await expect(both()).toContainText('Four and five are twins.');
  await both().getByRole('button', { name: 'Leave it as it stands' }).click();
  await page.getByText('Four and five are twins.').waitFor();
});

test('a palette that two set: the paints of both are shown', async () => {
  for (const window of [page, other]) {
    await window.goto('/palette');
    await awake(window.getByRole('combobox', { name: 'Class' }));
  }
  const pick = async (window: Page, paint: string) => {
    await window.getByRole('button', { name: 'Choose paints' }).click();
    await window.getByRole('checkbox', { name: paint }).click();
    await window.keyboard.press('Escape');
  };
  await pick(other, 'burnt umber');
  await expect(other.getByRole('list', { name: 'Paints on the palette' })).toContainText('burnt umber');
  await pick(page, 'ultramarine');
  await expect(both()).toContainText('burnt umber');
  await expect(both()).toContainText('ultramarine');
  await both().getByRole('button', { name: 'Leave it as it stands' }).click();
  await expect(both()).toHaveCount(0);
});

test('a set-up that two change: the one and the other are looked at in their place', async () => {
  await page.goto('/references');
  await page.getByText('Or keep a set-up').click();
  await page.getByLabel('What the set-up is called').fill('Jug by the window');
  await page.getByRole('button', { name: 'Name its masses' }).click();
  await page.waitForURL(/set-up/);
  await other.goto(page.url());
  const where = (window: Page) => window.getByLabel('Where it stands, how it is lit');
  for (const window of [page, other]) await awake(where(window));
  await where(other).fill('on the low stool');
  await other.getByRole('button', { name: /Keep it so/ }).click();
  await other.getByRole('button', { name: 'Kept' }).waitFor();
  await where(page).fill('on the sill');
  await page.getByRole('button', { name: /Keep it so/ }).click();
  await page.getByRole('button', { name: 'Look at what stands' }).click();
  await expect(where(page)).toHaveValue('on the low stool');
  await page.getByRole('button', { name: 'Back to mine' }).click();
  await page.getByRole('button', { name: /Keep mine/ }).click();
  await page.getByRole('button', { name: 'Kept' }).waitFor();
  await other.reload();
  await expect(where(other)).toHaveValue('on the sill');
});

test('a teacher who comes in by a code is asked, answers, and sees neither the name nor the class', async () => {
  await page.goto('/ledger');
  const invites = page.getByRole('button', { name: 'Invite a teacher' });
  await awake(invites);
  await invites.click();
  const code = await page.getByRole('status').getByRole('strong').textContent();
  await colleague.goto('/sign-in');
  await colleague.getByRole('link', { name: 'I have an invitation' }).click();
  expect(await faultsOf(colleague)).toEqual([]);
  await colleague.getByLabel('The code of your invitation').fill(code ?? '');
  await colleague.getByLabel('Your name').fill('Corin Maddery');
  await colleague.getByLabel('E-mail').fill('corin.in.two.windows@tidewell.example');
  await colleague.getByLabel('Password').fill('mortar-and-madder');
  await colleague.getByRole('button', { name: 'Come in' }).click();
  await colleague.getByRole('heading', { name: 'Nothing waits' }).waitFor();
  await openTables();
  await page.getByRole('button', { name: 'A second opinion' }).click();
  await page.getByLabel('Whom').selectOption({ label: 'Corin Maddery' });
  await page.getByLabel('What you want to know').fill('Too harsh?');
  await page.getByRole('button', { name: 'Lay it before them' }).click();
  await page.getByText('was asked and has not answered yet.').waitFor();
  await colleague.reload();
  await colleague.getByRole('link', { name: /asks what you think/ }).click();
  await colleague.getByText('Whose it is, is not said').waitFor();
  await expect(colleague.locator('main')).not.toContainText('Lindqvarn');
  expect(await faultsOf(colleague)).toEqual([]);
  await awake(colleague.getByLabel('What you think'));
  await colleague.getByLabel('What you think').fill('The darks hold.');
  await colleague.getByLabel('What you would decide').selectOption({ label: 'Let it pass' });
  await colleague.getByRole('button', { name: 'Say it' }).click();
  await colleague.getByText('has it now.').waitFor();
  await page.goto('/');
  await page.getByRole('link', { name: /Corin Maddery on Bea Lindqvarn/ }).click();
  await page.getByText('would let it pass:').waitFor();
});
