/** A painting that is built up in stages, handed in at two of them; and one in any colours, each as light as it should be. */
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe';
import { inTidewell } from './evening';
import { awake, handIn } from './people';
import { stillLife, valuesPhotograph } from './photographs';

test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
let picture: Buffer;
inTidewell('Ruta Vane', (evening) => void ({ teacher: page, student } = evening));

/** Sets an exercise of a kind, painted from the still life; gives its id. */
async function setFrom(kind: string, more: () => Promise<void> = () => Promise.resolve()): Promise<string> {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: kind }).click();
  await page.getByText('Choose a prepared picture').waitFor();
  await page.getByLabel('Painted from').selectOption({ label: 'Eggs and a book' });
  await more();
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  return page.url().split('/').pop() ?? '';
}

/** Opens the newest hand-in of an exercise on the Table. */
async function openOnTable(title: RegExp) {
  await page.goto('/rack');
  await page.getByRole('link', { name: title }).last().click();
  await page.getByRole('complementary', { name: 'Critique' }).waitFor();
}

test('a stain is handed in first, and its own question is asked of it', async () => {
  picture = await stillLife();
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'still life.png', mimeType: 'image/png', buffer: picture });
  await page.getByLabel('What it is called').fill('Eggs and a book');
  await page.getByLabel('Where it is from').fill('drawn for this studio');
  await page.getByLabel('Who may use it').fill('anybody');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/\/references\/\w+/);
  const exerciseId = await setFrom('monochrome painting', async () => {
    await page.getByLabel('Way').selectOption({ label: 'staged, drying between' });
  });
  await student.goto(`/my/${exerciseId}`);
  await expect(student.getByLabel('Which stage is this?')).toHaveValue('stain');
  await handIn(student, await valuesPhotograph(exerciseId, picture, 71, { value: () => 62, book: 0 }));
  await student.getByText('This picture will do.').waitFor();
  await openOnTable(/Watering can under a lamp/);
  await page.getByText('The stain is even').waitFor();
  await expect(page.locator('[data-code]')).toHaveCount(1);
  await expect(student.getByLabel('Which stage is this?')).toHaveValue('masses');
});

test('at its second stage only the two masses and large errors of drawing are told', async () => {
  const exerciseId = student.url().split('/').pop() ?? '';
  const two = { value: (l: number) => (l > 52 ? 76 : 34), book: 0 };
  await handIn(student, await valuesPhotograph(exerciseId, picture, 72, two));
  await expect(student.getByLabel('Which stage is this?')).toHaveValue('greys');
  await openOnTable(/Watering can under a lamp/);
  await page.getByText('Light and shadow stand apart').waitFor();
  await expect(page.locator('[data-code="part_off"]')).toHaveCount(0);
  await page.getByRole('link', { name: 'Try 1, the stain' }).waitFor();
  await expect(page.getByRole('link', { name: 'Try 2, two masses' })).toHaveAttribute('aria-current', 'true');
});

test('in any colours as light as they should be nothing stands out', async () => {
  const exerciseId = await setFrom('free colour, right values');
  await student.goto(`/my/${exerciseId}`);
  await handIn(student, await valuesPhotograph(exerciseId, picture, 73, { book: 0, colours: true }));
  await student.getByText('This picture will do.').waitFor();
  await openOnTable(/Any colour, right value/);
  await page.locator('[data-code="values_hold"]').waitFor();
  await expect(page.locator('[data-code="part_off"]')).toHaveCount(0);
});

test('an old painting is handed in as it was and reworked, and seen beside itself', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'rescue' }).click();
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  const exerciseId = page.url().split('/').pop() ?? '';
  await student.goto(`/my/${exerciseId}`);
  await expect(student.getByLabel('Which stage is this?')).toHaveValue('before');
  const onWorksheet = () =>
    student.getByRole('combobox', { name: /^It is/ }).selectOption({ label: 'on its worksheet' });
  await onWorksheet();
  const muddy = { value: (l: number) => 48 + 0.3 * (l - 20), book: 0 };
  await handIn(student, await valuesPhotograph(exerciseId, picture, 75, muddy));
  await student.getByText('This picture will do.').waitFor();
  await openOnTable(/An old painting, mended/);
  await page.getByText('It lives in the middle').waitFor();
  await expect(page.getByRole('button', { name: 'Split' })).toHaveCount(0);
  const tries = page.getByRole('button', { name: 'Try ways to mend it' });
  await awake(tries);
  await tries.click();
  const ways = page.getByRole('list', { name: 'Ways to mend it' }).getByRole('listitem');
  await ways.first().getByText('painted over').waitFor();
  expect(await faultsOf(page)).toEqual([]);
  await ways.first().getByRole('button', { name: 'Take this one' }).click();
  await page.locator('[data-code="corrected_lightness"]').first().waitFor();
  await page.getByRole('button', { name: 'Show a correction (1)' }).waitFor();
  await expect(student.getByLabel('Which stage is this?')).toHaveValue('after');
  await onWorksheet();
  await handIn(student, await valuesPhotograph(exerciseId, picture, 75, { book: 0 }));
  // The picture from before will do, too: only the Table says when this one was read.
  await expect(async () => {
    await openOnTable(/An old painting, mended/);
    await page.getByText('It reaches further than before').waitFor({ timeout: 2000 });
  }).toPass({ timeout: 60_000 });
  await page.getByAltText('The painting as it was before').waitFor();
  await page.getByText('As it is now').waitFor();
});
