/** The whole way of a hand-in, from the first teacher to the pass, with a kill in the middle. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from 'playwright';
import { BASE, enrol, handIn, type Harness, makeClass, openStudio } from './harness';
import { handInPhotograph } from './photographs';

/** Leaves a teacher's page behind, signed in, with a class and a nine-step scale; returns the exercise's id. */
export async function wholeWay({ check, folder, killAndServe }: Harness, page: Page, student: Page): Promise<string> {
  await check('the first teacher opens the studio, and the door closes', async () => {
    await openStudio(page);
    await page.goto(`${BASE}/begin`);
    if (page.url().endsWith('/begin')) throw new Error('The page that makes the first teacher is still open.');
  });
  await check('a teacher makes a class and sets a nine-step scale', async () => {
    await makeClass(page);
    await page.goto(`${BASE}/plan/new`);
    await page.getByRole('button', { name: 'Set it' }).click();
    await page.getByRole('link', { name: 'Print a sheet for each student' }).waitFor();
  });
  const exerciseId = page.url().split('/').at(-1) ?? '';
  await check('a student is enrolled and comes in with two codes', async () => {
    await enrol(page, student, 'Bea Lindqvarn');
    await student.getByRole('link', { name: /Nine greys/ }).click();
    await student.getByRole('heading', { name: 'What to do' }).waitFor();
  });
  const openTable = async () => {
    await page.goto(`${BASE}/rack`);
    await page.getByRole('link', { name: /Bea Lindqvarn/ }).click();
    await page.getByRole('img', { name: /Value ruler/ }).waitFor();
  };
  await check('a phone photograph on its side is measured, and its stored bytes hold no place', async () => {
    await handIn(student, await handInPhotograph(exerciseId, 'too-close', 51));
    await student
      .getByText('This picture will do.')
      .waitFor()
      .catch(async (error: Error) => {
        throw new Error(`${await student.getByRole('status').first().innerText()} (${error.name})`);
      });
    const files = path.join(folder, 'files');
    const stored = readdirSync(files, { recursive: true, withFileTypes: true }).filter((f) => f.isFile());
    if (stored.length === 0) throw new Error('No file was stored.');
    for (const f of stored)
      if (readFileSync(path.join(f.parentPath, f.name)).includes('Practice camera'))
        throw new Error('Metadata was stored.');
  });
  await check('the rack shows the hand-in as its measured strip, light to dark', async () => {
    await page.goto(`${BASE}/rack`);
    const strip = page.getByRole('link', { name: /Bea Lindqvarn/ }).getByRole('img');
    await strip.waitFor();
    const greys = await strip
      .locator('rect')
      .evaluateAll((cells) => cells.map((c) => Number(/\d+/.exec(getComputedStyle(c).fill)?.[0])));
    if (greys.length !== 9) throw new Error(`Expected nine cells, got ${greys.length}.`);
    if (!(greys[0] !== undefined && greys[0] > 220 && (greys[8] ?? 255) < 80))
      throw new Error(`The strip runs ${greys.join(', ')}.`);
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
    await handIn(student, await handInPhotograph(exerciseId, 'fine', 52));
    await student.getByText('Measuring your picture').waitFor();
    await killAndServe();
    // The page that waits hears of it by itself.
    await student.getByText('This picture will do.').waitFor();
  });
  await check('pass, and all is still there', async () => {
    await openTable();
    await page.keyboard.press('p');
    await page.getByRole('button', { name: /Withdraw/ }).waitFor();
    await student.reload();
    await student.getByText('Passed.').waitFor();
    await student.getByText('Four and five are twins.').waitFor();
  });
  return exerciseId;
}
