/** A picture is brought in, prepared in both schools, printed and painted; a flipped shape is accepted as a reading, and it passes. */
import { expect, type Page, test } from '@playwright/test';
import path from 'node:path';
import { boxOf } from './drag';
import { inTidewell } from './evening';
import { awake, handIn } from './people';
import { notanPhotograph } from './photographs';

const PICTURE = path.resolve('assets/references/jug-and-eggs/picture.jpg');

/** Until the worker has answered once more than before. */
async function answered(page: Page, work: () => Promise<void>): Promise<void> {
  const frames = async () => Number(await page.locator('canvas').first().getAttribute('data-frames'));
  const before = await frames();
  await work();
  await expect.poll(frames).toBeGreaterThan(before);
}

test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
inTidewell('Ruta Vane', (evening) => void ({ teacher: page, student } = evening));

let referenceId = '';
let exerciseId = '';
test('a picture comes in only with where it is from and who may use it', async () => {
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  await page.getByLabel('Picture', { exact: true }).setInputFiles(PICTURE);
  await page.getByLabel('What it is called').fill('Jug on a cloth');
  await page.getByLabel('Where it is from').fill(' ');
  await page.getByLabel('Who may use it').fill('this class only');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.getByRole('alert').filter({ hasText: 'Say where the picture is from' }).waitFor();
  await page.getByLabel('Where it is from').fill('rendered for this studio');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/\/references\/\w+/);
  referenceId = page.url().split('/').pop() ?? '';
});

test('a picture of one flat tone is told, and nothing is kept of it', async () => {
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  const { default: sharp } = await import('sharp');
  const buffer = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#777' } })
    .png()
    .toBuffer();
  await page.getByLabel('Picture', { exact: true }).setInputFiles({ name: 'flat.png', mimeType: 'image/png', buffer });
  for (const [label, words] of [
    ['What it is called', 'Flat'],
    ['Where it is from', 'nowhere'],
    ['Who may use it', 'nobody'],
  ] as const)
    await page.getByLabel(label).fill(words);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.getByRole('alert').filter({ hasText: 'one flat tone' }).waitFor();
  await page.reload();
  await expect(page.locator('a[href^="/references/"]')).toHaveCount(1);
});

test('by threshold: a line on the picture’s own lightnesses is moved by keys, and the shares follow', async () => {
  await page.goto(`/references/${referenceId}`);
  await page.getByRole('table', { name: 'Share of each tone' }).waitFor();
  await answered(page, async () => void (await page.getByLabel('What is dark').selectOption('threshold')));
  const shares = () => page.getByRole('table', { name: 'Share of each tone' }).innerText();
  const line = page.getByRole('slider', { name: /Line between 2 and 1/ });
  await line.waitFor();
  const before = await shares();
  await line.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(shares).not.toBe(before);
});

test('by light and shadow: the proposed map is brushed, turned shape by shape, and taken back', async () => {
  await page.getByRole('button', { name: 'Light and shadow', exact: true }).click();
  await page.getByText(/^0 corrections/).waitFor();
  const surface = page.locator('[data-brush]');
  await surface.waitFor();
  const box = await boxOf(surface);
  await answered(page, async () => {
    await page.mouse.move(box.x + 0.3 * box.width, box.y + 0.2 * box.height);
    await page.mouse.down();
    await page.mouse.move(box.x + 0.6 * box.width, box.y + 0.25 * box.height, { steps: 8 });
    await page.mouse.up();
  });
  await page.getByText(/^1 correction;/).waitFor();
  await page.getByRole('button', { name: 'Turn whole shapes' }).click();
  await answered(page, async () => page.mouse.click(box.x + 0.2 * box.width, box.y + 0.6 * box.height));
  await page.getByText(/^2 corrections;/).waitFor();
  await page.keyboard.press('b');
  await page.getByText(/^1 correction;/).waitFor();
});

test('shapes are cut, and one is named', async () => {
  await page.getByRole('button', { name: 'Shapes', exact: true }).click();
  await answered(page, async () => page.getByRole('button', { name: 'Cut it into shapes' }).click());
  await page.getByRole('list', { name: 'Shapes' }).getByRole('button').first().click();
  await page.getByLabel(/^Name, an object first/).fill('wall > in shadow');
  await page.keyboard.press('Tab');
  await page.getByRole('list', { name: 'Shapes' }).getByRole('button', { name: 'wall > in shadow' }).waitFor();
  await page.getByRole('button', { name: /Keep it so/ }).click();
  await page.getByRole('button', { name: 'Kept' }).waitFor();
  await page.reload();
  await page.getByRole('button', { name: 'Light and shadow', exact: true }).click();
  await page.getByText(/^1 correction;/).waitFor();
});

test('its sheets print, and its files come in open formats', async () => {
  await page.getByRole('button', { name: 'Sheets and files' }).click();
  const href = await page.getByRole('link', { name: /With the numbers of/ }).getAttribute('href');
  for (const [address, type, start] of [
    [href, 'application/pdf', '%PDF'],
    [`/reference-file/${referenceId}/traced`, 'image/svg+xml', '<svg'],
    [`/reference-file/${referenceId}/layers`, 'image/openraster', 'PK'],
    [`/reference-file/${referenceId}/map`, 'image/png', '\u0089PNG'],
  ] as const) {
    const got = await page.request.get(address ?? '/nowhere');
    expect(got.headers()['content-type'], address ?? '').toContain(type);
    expect((await got.body()).toString('latin1', 0, start.length)).toBe(start);
  }
});

test('an exercise is painted from it; a painting comes in and its lost shape is told by name or place', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'notan' }).click();
  await page.getByLabel('Painted from').selectOption({ label: 'Jug on a cloth' });
  await page.getByLabel('What is dark').selectOption('threshold');
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  exerciseId = page.url().split('/').pop() ?? '';
  const tones = await (await page.request.get(`/reference-sheet/${exerciseId}?as=tones`)).body();
  await student.goto(`/my/${exerciseId}`);
  await student.getByAltText('What it is painted from, in its tones').waitFor();
  await handIn(student, await notanPhotograph(exerciseId, tones, 81));
  await student.getByText('This picture will do.').waitFor();
  await page.goto('/rack');
  await page
    .getByRole('link', { name: /Light and dark, nothing else/ })
    .last()
    .click();
  await page.locator('[data-code="flipped_shape"]').first().waitFor();
});

test('held keys show its tones and the reference; they come back when let go', async () => {
  await page.keyboard.down('t');
  await page.getByAltText('The painting in its tones').waitFor();
  await page.keyboard.up('t');
  await page.getByAltText('The painting in its tones').waitFor({ state: 'detached' });
  await page.keyboard.down('r');
  await page.getByAltText('The reference, in place of the painting').waitFor();
  await page.keyboard.up('r');
  await page.getByAltText('The reference, in place of the painting').waitFor({ state: 'detached' });
});

test('the lost shape is accepted as a reading and counts as right; then it passes', async () => {
  const flipped = page.locator('[data-code="flipped_shape"]');
  const before = await flipped.count();
  await flipped.first().getByRole('button').first().click();
  await page.getByRole('button', { name: /For everyone/ }).click();
  await expect.poll(() => flipped.count()).toBeLessThan(before);
  await page.keyboard.press('p');
  await page.getByRole('button', { name: /Withdraw/ }).waitFor();
  await student.reload();
  await student.getByRole('region', { name: 'Critique' }).waitFor();
});

test('a hand-in says when it was measured before the reference changed', async () => {
  await page.keyboard.press('w');
  await page.getByRole('button', { name: /Pass/ }).waitFor();
  const table = page.url();
  await page.goto(`/references/${referenceId}`);
  await page.getByRole('table', { name: 'Share of each tone' }).waitFor();
  await page.getByLabel(/^Tones:/).fill('3');
  await page.getByRole('button', { name: /Keep it so/ }).click();
  await page.getByRole('button', { name: 'Kept' }).waitFor();
  await page.goto(table);
  await page.getByText('Measured before: the reference was prepared anew since.').waitFor();
});
