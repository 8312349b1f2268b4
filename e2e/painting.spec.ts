/** A painting in all its values: from setting to letter, laid on its picture, split and probed by keys. */
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe';
import { inTidewell } from './evening';
import { awake, handIn } from './people';
import { stillLife, valuesPhotograph } from './photographs';

test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
inTidewell('Ruta Vane', (evening) => void ({ teacher: page, student } = evening));

test('it is set from a picture, and a hand-in is measured against it', async () => {
  const picture = await stillLife();
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'still life.png', mimeType: 'image/png', buffer: picture });
  await page.getByLabel('What it is called').fill('Jug, eggs and a book');
  await page.getByLabel('Where it is from').fill('drawn for this studio');
  await page.getByLabel('Who may use it').fill('anybody');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/\/references\/\w+/);
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'monochrome painting' }).click();
  await page.getByText('Choose a prepared picture').waitFor();
  await page.getByLabel('Painted from').selectOption({ label: 'Jug, eggs and a book' });
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  const exerciseId = page.url().split('/').pop() ?? '';
  await student.goto(`/my/${exerciseId}`);
  await handIn(student, await valuesPhotograph(exerciseId, picture, 91));
  await student.getByText('This picture will do.').waitFor();
  await page.goto('/rack');
  await page
    .getByRole('link', { name: /Watering can under a lamp/ })
    .last()
    .click();
  await page.locator('[data-code="part_off"]').first().waitFor();
  await expect(page.locator('[data-code="part_off"]')).toHaveCount(1);
  await page.locator('[data-code="part_off"]').getByText('too light').waitFor();
});

test('held keys lay the reference in its place, or show how they differ', async () => {
  const beside = page.getByAltText('The painting in greys');
  await expect(beside).toHaveJSProperty('complete', true);
  for (const [key, alt] of [
    ['f', 'How it differs: lighter where it is too light, darker where it is too dark'],
    ['c', 'The painting as it is, straightened'],
  ] as const) {
    await page.keyboard.down(key);
    await page.getByAltText(alt).waitFor();
    await page.keyboard.up(key);
    await beside.waitFor();
  }
});

test('its readings unfold with the curve of the whole drawn in them', async () => {
  await page.getByText('The readings as a table').click();
  const chart = page.getByRole('img', { name: /Painted against wanted lightness/ });
  await chart.locator('svg').waitFor();
  expect((await chart.locator('svg').boundingBox())?.width ?? 0).toBeGreaterThan(200);
  expect(await chart.locator('svg path').count()).toBeGreaterThan(5);
});

test('split along a line that keys move', async () => {
  await page.keyboard.press('v');
  const line = page.getByRole('slider', { name: 'Where the line stands' });
  await expect(line).toHaveValue('50');
  await line.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(line).toHaveValue('52');
  const left = page.getByAltText('The painting in greys').locator('..');
  await expect(left).toHaveCSS('clip-path', 'inset(0px 48% 0px 0px)');
});

test('a piece of the reference laid into the painting follows the arrow keys, and the hand-in stays', async () => {
  const address = page.url();
  await page.getByRole('button', { name: 'A piece laid in' }).click();
  const piece = page.getByRole('group', { name: /The piece that is laid in/ });
  await piece.focus();
  const at = await piece.getAttribute('data-at');
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown']) await page.keyboard.press(key);
  const [x = 0, y = 0] = (at ?? '').split(' ').map(Number);
  await expect(piece).toHaveAttribute('data-at', `${x + 4} ${y + 2}`);
  expect(page.url()).toBe(address);
});

test('the drawing is checked by marks that the keys set, and the hand-in stays', async () => {
  const address = page.url();
  await page.getByRole('button', { name: 'Check the drawing' }).click();
  await page.getByRole('button', { name: 'Upright' }).click();
  const surface = page.getByRole('group', { name: /Marks on the painting/ });
  await surface.focus();
  await page.keyboard.press('Enter');
  for (const key of [...Array<string>(12).fill('ArrowUp'), 'ArrowRight', 'ArrowRight', 'Enter'])
    await page.keyboard.press(key);
  await page.getByText('The upright leans to the right.').waitFor();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText('The upright leans to the right.')).toHaveCount(0);
  expect(page.url()).toBe(address);
  await page.getByRole('button', { name: 'Side by side' }).click();
});

test('keys alone draw an arrow and an outline on the picture, and take one back', async () => {
  await page.keyboard.press('k');
  const board = page.getByRole('application', { name: /Marks on the painting/ });
  await board.waitFor();
  await expect(board).toBeFocused();
  for (const key of ['3', 'Enter', 'Shift+ArrowUp', 'Shift+ArrowUp', 'Shift+ArrowRight', 'Enter'])
    await page.keyboard.press(key);
  const marks = page.getByRole('list', { name: 'Marks so far' }).getByRole('listitem');
  await expect(marks).toHaveCount(1);
  const corners = ['Enter', 'Shift+ArrowLeft', 'Enter', 'Shift+ArrowDown', 'Enter', 'f'];
  for (const key of ['2', ...corners]) await page.keyboard.press(key);
  await expect(marks).toHaveCount(2);
  await page.keyboard.press('Backspace');
  await expect(marks).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Mark the picture (1)' }).waitFor();
});

test('keys alone draw a mask, make it darker, and take back, and each is kept', async () => {
  const board = page.getByRole('application', { name: /The correction/ });
  const slider = page.getByRole('slider', { name: /Lighter or darker/ });
  const draw = async () => {
    await page.keyboard.press('l');
    await board.waitFor();
    await expect(board).toBeFocused();
    const across = ['Enter', 'Shift+ArrowLeft', 'Shift+ArrowLeft', 'Enter'];
    for (const key of ['1', ...across, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Enter', 'f'])
      await page.keyboard.press(key);
    await slider.waitFor();
    await expect(slider).toHaveAttribute('aria-valuetext', /half a step darker/);
  };
  const leave = async () => {
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Show a correction (1)' }).waitFor();
    await page.locator('[data-code="corrected_lightness"]').waitFor();
  };
  await draw();
  await slider.focus();
  for (let k = 0; k < 9; k++) await page.keyboard.press('ArrowLeft');
  await expect(slider).toHaveAttribute('aria-valuetext', /a whole step darker/);
  await page.getByText('goes with the letter').waitFor();
  await page.keyboard.press('Tab');
  await board.focus();
  await page.keyboard.press('Backspace');
  await expect(slider).not.toHaveAttribute('aria-valuetext', /a whole step darker/);
  const kept = page.getByRole('link', { name: 'one picture' });
  const png = await page.request.get((await kept.getAttribute('href')) ?? '');
  expect((await png.body()).subarray(1, 4).toString()).toBe('PNG');
  await leave();
  // With all else of the evening it is taken back, every stroke of it at once; then it is drawn anew.
  await page.getByRole('button', { name: /^Take back the correction/ }).waitFor();
  await page.keyboard.press('u');
  await page.getByRole('button', { name: 'Show a correction', exact: true }).waitFor();
  await draw();
  await page.getByText('goes with the letter').waitFor();
  await leave();
});

test('it stands beside another picture as a whole', async () => {
  await page.getByRole('button', { name: 'Beside other pictures' }).focus();
  await page.keyboard.press('i');
  const seen = page.getByRole('list', { name: 'Pictures beside one another' }).getByRole('listitem');
  await expect(seen).toHaveCount(1);
  await page.getByLabel('Lay another picture beside them').selectOption({ index: 1 });
  await expect(seen).toHaveCount(2);
  expect(await faultsOf(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Beside other pictures' }).waitFor();
});

test('a painting whose draft is right is given back with no more than four keys', async () => {
  let keys = 0;
  const press = (key: string) => {
    keys++;
    return page.keyboard.press(key);
  };
  await page.goto('/');
  await page.getByRole('link', { name: /(Begin|Go on) with Ruta Vane/ }).waitFor();
  await page.waitForLoadState('networkidle');
  await press('b');
  await page.locator('[data-code="part_off"]').first().waitFor();
  await press('g');
  await page.getByRole('button', { name: /Withdraw/ }).waitFor();
  expect(keys).toBeLessThanOrEqual(4);
});

test('the student reads it as a letter, with its marks, and prints it', async () => {
  await student.reload();
  await student.getByAltText('What it is painted from, in greys').waitFor();
  const letter = student.getByRole('region', { name: 'Critique' });
  await letter.getByText('First of all').waitFor();
  await letter.getByText('too light').first().waitFor();
  await expect(letter).not.toContainText(/[%_]/);
  await letter.getByAltText('Your painting, with your teacher’s marks').waitFor();
  await student.getByAltText('Your teacher’s correction of your painting').waitFor();
  expect(await faultsOf(student)).toEqual([]);
  await expect(student.getByAltText('Your painting as it is')).toHaveJSProperty('complete', true);
  for (const paper of ['A4', 'US Letter']) {
    const href = await letter.getByRole('link', { name: paper }).getAttribute('href');
    const answer = await student.request.get(href ?? '');
    expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
});

test('a question of the student comes to Today, and its answer stands below the letter', async () => {
  await student.getByRole('button', { name: 'Answer, or ask one question' }).click();
  await student.getByLabel('What you want to say').fill('Which grey is the right one?');
  await student.getByRole('button', { name: 'Send it' }).click();
  // What is typed stands on the page too: it is sent once it can be written anew.
  await student.getByRole('button', { name: 'Write it anew' }).waitFor();
  await page.goto('/');
  await page.getByRole('link', { name: /Ruta Vane asks/ }).click();
  await page.getByLabel('Your answer').fill('The one of the table, a step darker.');
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await page.getByText('You: The one of the table').waitFor();
  await student.reload();
  await student.getByText('The one of the table, a step darker.').waitFor();
});
