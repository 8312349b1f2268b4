/** A class in and out: a list of students as another program wrote it, and the whole class as an archive that is brought in again. */
import { expect, type Page, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { inTidewell } from './evening';
import { awake } from './people';

test.describe.configure({ mode: 'serial' });
let page: Page;
inTidewell('Bea Lindqvarn', ({ teacher }) => void (page = teacher));

const list = (rows: readonly string[]) => ({
  name: 'list.csv',
  mimeType: 'text/csv',
  // As an old spreadsheet of the West writes it.
  buffer: Buffer.from(['Vorname;Nachname;Kurs', ...rows].join('\r\n'), 'latin1'),
});

test('a list is looked at before anybody is enrolled; who is there already is told', async () => {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  const pick = page.getByLabel('List of students as CSV');
  await awake(pick);
  await pick.setInputFiles(list(['Bea;Lindqvarn;A', 'Jürgen;Öst;A', '=1+1;;A', 'Jürgen;Öst;A', ';;A']));
  const shown = page.getByRole('list', { name: 'The list, as it would be enrolled' }).getByRole('listitem');
  await expect(shown).toHaveText([
    ...['Bea Lindqvarnthere already', 'Jürgen Öst', '=1+1', 'Jürgen Östtwice in the list', '(empty)no name'],
  ]);
  await page.getByRole('button', { name: 'Enrol 2' }).click();
  const codes = page.getByRole('list', { name: 'Codes of those who were enrolled' }).getByRole('listitem');
  await expect(codes).toHaveCount(2);
  await expect(codes.first()).toHaveText(/^Jürgen Öst[A-Z2-9]{8}$/);
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save them as CSV' }).click(),
  ]);
  const csv = readFileSync(await saved.path(), 'utf8');
  expect(csv).toMatch(/^name,code\nJürgen Öst,[A-Z2-9]{8}\n"?'=1\+1"?,/);
  await expect(page.getByRole('row', { name: /Jürgen Öst/ })).toHaveCount(1);
});

test('the class goes out as an archive; deleted with its name and a receipt, it comes in again with all that it held', async () => {
  const [archive] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take the class out' }).click(),
  ]);
  const buffer = readFileSync(await archive.path());
  await page.getByText('Delete the class', { exact: true }).click();
  const typed = page.getByLabel(/To be sure, write/);
  await typed.fill('another');
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await page.getByRole('alert').filter({ hasText: 'Write the name' }).waitFor();
  await typed.fill('Tidewell Evening Studio');
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await page.getByText(/Deleted for good, .*: 3 students, 0 hand-ins/).waitFor();
  await page.getByRole('link', { name: 'To the Ledger' }).click();
  await expect(page.getByRole('link', { name: /Tidewell/ })).toHaveCount(0);
  const pick = page.getByLabel('Archive of a class');
  await awake(pick);
  await pick.setInputFiles({ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') });
  await page.getByRole('alert').filter({ hasText: 'damaged' }).waitFor();
  await pick.setInputFiles({ name: 'class.zip', mimeType: 'application/zip', buffer });
  await page.getByRole('heading', { level: 1, name: 'Tidewell Evening Studio' }).waitFor();
  await expect(page.getByRole('row', { name: /Bea Lindqvarn|Jürgen Öst/ })).toHaveCount(2);
});
