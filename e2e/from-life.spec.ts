/** A set-up is kept and painted from life; its masses are shown on the hand-in and judged; a painted frame becomes the dark end. */
import { expect, type Page, test } from '@playwright/test';
import { boxOf } from './drag';
import { inTidewell } from './evening';
import { handIn } from './people';
import { lifePhotograph } from './photographs';

async function addMass(page: Page, name: string, from: number, to: number): Promise<void> {
  await page.getByRole('button', { name: 'Add a mass' }).click();
  await page.getByLabel(/^Name, an object first/).fill(name);
  await page.keyboard.press('Tab');
  await page.getByLabel(/^Steps of 3, from/).fill(String(from));
  await page.getByLabel(/^to \(1 the lightest\)/).fill(String(to));
}

test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
inTidewell('Ruta Vane', (evening) => void ({ teacher: page, student } = evening));

test('a set-up is kept with the names of its masses; two of one name are told', async () => {
  await page.goto('/references');
  await page.getByText('Or keep a set-up, painted from life').click();
  await page.getByLabel('What the set-up is called').fill('Jug by the window');
  await page.getByRole('button', { name: 'Name its masses' }).click();
  await page.waitForURL(/\/references\/set-up\/\w+/);
  await addMass(page, 'jug > lit side', 1, 2);
  await addMass(page, 'jug > lit side', 1, 1);
  await page.getByRole('button', { name: /Keep it so/ }).click();
  await page.getByRole('alert').filter({ hasText: 'give each its own' }).waitFor();
  await page.getByLabel(/^Name, an object first/).fill('table');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: /Keep it so/ }).click();
  await page.getByRole('button', { name: 'Kept' }).waitFor();
});

test('an exercise is set from life; a hand-in is read without a picture', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'notan' }).click();
  await page.getByLabel('Title').fill('From where you sit');
  await page.getByLabel('Painted from').selectOption({ label: 'from life: Jug by the window' });
  await page.getByLabel(/^Tones/).selectOption('3');
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  const exerciseId = page.url().split('/').pop() ?? '';
  await student.goto(`/my/${exerciseId}`);
  await student.getByText('Painted from life: Jug by the window').waitFor();
  await handIn(student, await lifePhotograph(exerciseId, 64));
  await student.getByText('This picture will do.').waitFor();
  await page.goto('/rack');
  await page
    .getByRole('link', { name: /From where you sit/ })
    .last()
    .click();
  await page.locator('canvas[data-masses="0"]').waitFor();
});

test('masses are shown on it by a press and by the brush, taken back, and judged by the steps that they were given', async () => {
  const shown = (n: number) => page.locator(`canvas[data-masses="${n}"]`).waitFor();
  const box = await boxOf(page.locator('[data-brush]'));
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const;
  await page.mouse.click(...at(0.5, 0.5));
  await shown(1);
  await page.keyboard.press('2');
  await page.getByRole('button', { name: 'Brush', exact: true }).click();
  await page.mouse.move(...at(0.1, 0.85));
  await page.mouse.down();
  await page.mouse.move(...at(0.9, 0.85), { steps: 6 });
  await page.mouse.up();
  await shown(2);
  await page.keyboard.press('b');
  await shown(1);
  await page.keyboard.press('j');
  await page
    .locator('[data-code="outside_steps"]')
    .getByText(/lit side of the jug is dark; it belongs to the light/)
    .waitFor();
});

test('the frame that was painted round it is taken as the dark end, and the dark is held against it', async () => {
  await page.getByRole('button', { name: 'Take the frame as the dark end' }).click();
  await page.getByText('It stands for the dark end').waitFor();
  await page.locator('[data-code="grey_for_black"]').getByText('the frame that you painted is darker').waitFor();
  await page.locator('[data-code="outside_steps"]').waitFor();
  await page.keyboard.press('p');
  await page.getByRole('button', { name: /Withdraw/ }).waitFor();
  await student.reload();
  await student
    .getByText(/lit side of the jug is dark/)
    .first()
    .waitFor();
});

test('in all its values too: its masses are shown on its greys, and read from the photograph', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'monochrome painting' }).click();
  await page.getByLabel('Title').fill('In all its values, from where you sit');
  await page.getByLabel('Painted from').selectOption({ label: 'from life: Jug by the window' });
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  const exerciseId = page.url().split('/').pop() ?? '';
  await student.goto(`/my/${exerciseId}`);
  await handIn(student, await lifePhotograph(exerciseId, 65));
  await student.getByText('This picture will do.').waitFor();
  await page.goto('/rack');
  await page
    .getByRole('link', { name: /In all its values/ })
    .last()
    .click();
  await page.locator('canvas[data-masses="0"]').waitFor();
  const box = await boxOf(page.locator('[data-brush]'));
  await page.mouse.click(box.x + 0.5 * box.width, box.y + 0.5 * box.height);
  await page.locator('canvas[data-masses="1"]').waitFor();
  await page.keyboard.press('j');
  const readings = page.getByText('The readings as a table');
  const row = page.getByRole('row', { name: /jug > lit side/ });
  await expect(async () => {
    if (!(await row.isVisible())) await readings.click();
    await expect(row).toBeVisible({ timeout: 1000 });
  }).toPass();
  const lightness = Number(await row.getByRole('cell').nth(1).innerText());
  expect(Math.abs(lightness - 40)).toBeLessThan(4);
});
