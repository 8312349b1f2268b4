/** The mixing bench and the student's walk to a step, through the interface. */
import { expect, type Page, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { drag, middleOf } from './drag';
import { inTidewell } from './evening';
import { openAsleep } from './people';
import { dabPhotograph } from './photographs';

test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
let exerciseId: string;
inTidewell('Ruta Vane', (evening) => void ({ teacher: page, student, exerciseId } = evening));

/** Logs a mix of two paints by hand. */
const logMix = async (white: string, black: string, lightness: string) => {
  await page.getByRole('spinbutton', { name: 'titanium white', exact: true }).fill(white);
  await page.getByRole('spinbutton', { name: 'ivory black', exact: true }).fill(black);
  await page.getByLabel('Lightness read, L*').fill(lightness);
  await page.getByRole('button', { name: 'Log this mix' }).click();
};
test('paints are chosen, and the trough shows a recipe that follows a dragged target', async () => {
  await page.goto('/palette');
  await page.getByRole('button', { name: 'Choose paints' }).click();
  await page.getByRole('checkbox', { name: 'lemon yellow' }).check();
  await page.keyboard.press('Escape');
  await page
    .getByRole('list', { name: 'Paints on the palette' })
    .getByText('lemon yellow')
    .waitFor({ state: 'attached' });
  const card = page.getByRole('region', { name: 'Puddle 4' });
  const handle = page.getByRole('slider', { name: 'Wanted for 4' });
  await handle.focus();
  const before = await card.innerText();
  const at = await middleOf(page, 'slider', /Wanted for 4/);
  await drag(page, at, { x: at.x, y: at.y + 40 });
  await expect.poll(() => card.innerText()).not.toBe(before);
  await handle.focus();
  const now = Number(await handle.getAttribute('aria-valuenow'));
  await page.keyboard.press('ArrowUp');
  await expect(handle).toHaveAttribute('aria-valuenow', String(now + 1));
  await page.getByRole('button', { name: 'Even again' }).click();
});

test('yellow with black is foretold to turn green', async () => {
  await page.getByLabel('Pure colour between').selectOption('lemon-yellow');
  await page.getByRole('slider', { name: 'Wanted for 6' }).focus();
  await page.getByText(/turns \d+° from the pure colour, towards green/).waitFor();
  await page.getByLabel('Pure colour between').selectOption('');
});

test('mixes are logged by hand, nonsense is refused, and the fit is shown', async () => {
  await page.getByRole('tab', { name: 'What was learnt' }).click();
  await page.getByText(/Most is learnt next from/).waitFor();
  await logMix('0', '0', '50');
  await page
    .getByRole('alert')
    .getByText(/at least one part/)
    .waitFor();
  await logMix('20', '1', '45');
  await page.getByText('1 mix logged.').waitFor();
  await logMix('20', '1', '60');
  await page
    .getByRole('alert')
    .getByText(/same mix was read as L\* 45 before/)
    .waitFor();
  await logMix('100', '1', '71');
  await page.getByText('2 mixes logged.').waitFor();
  await page.getByText(/foretold to about ± \d/).waitFor();
});

test('a student photographs dabs, hears what to add, and sees the walk to the step', async () => {
  await student.goto(`/my/${exerciseId}`);
  await student.getByRole('heading', { name: 'The mixes' }).waitFor();
  await student.getByText(/titanium white, from the tube/).waitFor();
  await student.getByLabel('The dab of step').selectOption('5');
  for (const [off, words] of [
    [8, /8 L\* too light for 5: .* of the puddle, then look/],
    [0, /Right for 5: leave it/],
  ] as const) {
    await student.getByLabel('Photograph of the dab').setInputFiles({
      name: 'dab.jpg',
      mimeType: 'image/jpeg',
      buffer: await dabPhotograph(exerciseId, 5, 60 + off),
    });
    await student.getByText(words).waitFor();
  }
  await student.getByRole('img', { name: /The walk to 5: 8 too light, then 0/ }).waitFor();
  await student
    .getByLabel('Photograph of the dab')
    .setInputFiles({ name: 'dab.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await student.getByRole('alert').first().waitFor();
});

test('a dab mixed as the recipe says teaches the class, and the printed mixes follow', async () => {
  const sheet = `/sheet/${exerciseId}`;
  const before = await (await page.request.get(sheet)).body();
  await student.reload();
  await student.getByLabel('The dab of step').selectOption('3');
  await student.getByLabel('mixed just as the recipe says').check();
  await student
    .getByLabel('Photograph of the dab')
    .setInputFiles({ name: 'dab.jpg', mimeType: 'image/jpeg', buffer: await dabPhotograph(exerciseId, 3, 76) });
  await student.getByText(/L\* too dark for 3|Right for 3/).waitFor();
  await page.goto('/palette');
  await page.getByRole('tab', { name: 'What was learnt' }).click();
  await page.getByText('3 mixes logged.').waitFor();
  await page.getByText(/, photograph/).waitFor();
  const after = await (await page.request.get(sheet)).body();
  expect(after.toString('latin1', 0, 5)).toBe('%PDF-');
  expect(after.equals(before)).toBe(false);
});

test('the palette goes out as swatches and figures, and comes in again', async () => {
  const save = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name }).click()]);
    return readFileSync((await download.path()) ?? '');
  };
  const [gpl, csv] = [await save('Swatches (GPL)'), await save('Figures (CSV)')];
  await page.getByRole('link', { name: 'Bring in a file' }).click();
  await page.waitForURL(/files/);
  // Chosen before the page's scripts have come: it must not be lost.
  const wake = await openAsleep(page, page.url());
  await page
    .getByLabel('Read figures (CSV)')
    .setInputFiles({ name: 'p.csv', mimeType: 'text/csv', buffer: Buffer.from('paint,tinting\nsnow,1') });
  await wake();
  await page.getByText(/must name the columns paint, lightness/).waitFor();
  await page.getByLabel('Read figures (CSV)').setInputFiles({ name: 'p.csv', mimeType: 'text/csv', buffer: csv });
  await page.getByText('Read.').waitFor();
  await page.getByLabel('Read swatches (GPL)').setInputFiles({ name: 'p.gpl', mimeType: 'text/plain', buffer: gpl });
  await page
    .getByRole('row', { name: /^lemon yellow/ })
    .getByText('reached')
    .waitFor();
});
