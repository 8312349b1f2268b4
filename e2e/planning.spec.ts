/** Planning through the interface: bands with a lamp to drag, a staged oil painting whose timetable is impossible and is mended. */
import { KIND_IDS, kindById } from '@/core/kinds/table';
import { expect, type Page, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { drag, middleOf } from './drag';
import { inTidewell } from './evening';
import { handIn, handInAnyway, setStagedOil } from './people';
import { greySheet } from './photographs';

test.describe.configure({ mode: 'serial' });
/** How what an address gives begins. */
const startOf = async (who: Page, address: string | null) =>
  (await (await who.request.get(address ?? '/nowhere')).body()).toString('latin1', 0, 5);

let page: Page;
let student: Page;
inTidewell('Bea Lindqvarn', (evening) => void ({ teacher: page, student } = evening));

test('a class says when it meets', async () => {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  await page.getByLabel('Time zone').fill('Atlantis/Harbour');
  await page.getByRole('button', { name: 'Keep the meetings' }).click();
  await page.getByText(/time zone is not known/).waitFor();
  await page.getByLabel('Time zone').fill('Europe/Lisbon');
  await page.getByRole('button', { name: 'Keep the meetings' }).click();
  await page.getByText('Kept.').waitFor();
});

test('value bands are set with the lamp dragged, and what does not fit is told', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'value bands' }).click();
  const at = await middleOf(page, 'slider', /Lamp/);
  await drag(page, at, { x: at.x + 90, y: at.y + 60 });
  await page.getByText(/mm from the nearest crossing of thirds/).waitFor();
  await page.getByLabel('Smallest brush, mm').fill('20');
  await page.getByRole('alert').filter({ hasText: 'do not fit here' }).first().waitFor();
  await page.getByLabel('Smallest brush, mm').fill('5');
  await page.getByLabel('Outlines of the bands').selectOption('own');
  await page.getByText('they draw their own').waitFor();
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.getByRole('heading', { name: 'A lamp in the greenhouse' }).waitFor();
  await page.getByText('measured by Fair Grey').waitFor();
});

test('a photograph without its sheet is held back, sent on all the same, and judged by the teacher', async () => {
  await student.goto('/my');
  await student.getByRole('link', { name: /A lamp in the greenhouse/ }).click();
  await handInAnyway(student, await greySheet());
  await student.getByText('This picture will not do yet.').waitFor();
  await student.getByText('Look at it anyway').click();
  await student.getByLabel('A word to your teacher').fill('The sheet got wet.');
  await student.getByRole('button', { name: 'Send it on' }).click();
  await student.getByText(/It went to your teacher/).waitFor();
  await page.goto('/');
  await page.getByRole('link', { name: /A lamp in the greenhouse/ }).click();
  await page.getByLabel('Your own word').fill('The rings glow.');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: /Pass/ }).click();
  await page.getByRole('button', { name: /Withdraw/ }).waitFor();
  await student.reload();
  await student.getByText('The rings glow.').waitFor();
});

test('every other kind is set, previewed, printed and handed in', async () => {
  for (const kind of KIND_IDS.filter((k) => k !== 'scale' && k !== 'bands')) {
    const { name } = kindById(kind);
    await page.goto('/plan/new');
    await page.getByRole('button', { name, exact: true }).click();
    await page.getByLabel('Title').fill(`The ${name} of today`);
    await page.locator('figure[aria-label="The sheet as it will print"] svg').waitFor();
    await page.getByRole('button', { name: 'Set it' }).click();
    await page.getByRole('heading', { name: `The ${name} of today` }).waitFor();
    const sheet = await page.getByRole('link', { name: 'Print a sheet for each student' }).getAttribute('href');
    expect(await startOf(page, sheet)).toBe('%PDF-');
    await student.goto('/my');
    await student.getByRole('link', { name: new RegExp(`The ${name} of today`) }).click();
    await student.getByText(kindById(kind).task).waitFor();
    if (kindById(kind).measured) continue;
    await handIn(student, await greySheet());
    await student.getByText('Your picture has come in.').waitFor();
  }
});

test('while a picture is set up no field hides behind another part, and check boxes stand in line', async () => {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: kindById('monochrome-painting').name, exact: true }).click();
  const fields = page
    .locator('form')
    .filter({ hasText: 'Set it' })
    .locator('.field:visible, input[type=checkbox]:visible');
  const lefts = new Set<number>();
  const boxLefts: number[] = [];
  for (const field of await fields.all()) {
    await field.focus();
    const seen = await field.evaluate((el) => {
      const { left, top, width, height } = el.getBoundingClientRect();
      const over = document.elementFromPoint(left + width / 2, top + height / 2);
      return { left: Math.round(left), box: el.matches('[type=checkbox]'), hidden: over !== el && !el.contains(over) };
    });
    expect(seen.hidden).toBe(false);
    if (seen.box) boxLefts.push(seen.left);
    else lefts.add(seen.left);
  }
  expect(boxLefts.length).toBeGreaterThan(0);
  expect(boxLefts.filter((left) => !lefts.has(left))).toEqual([]);
});

test('a staged oil painting: its impossible timetable is told and mended', async () => {
  await setStagedOil(page);
  await page.getByText(/Oily rags/).waitFor();
  const greys = page.getByRole('button', { name: /greys in light and shadow/ });
  await greys.focus();
  await page.keyboard.press('ArrowLeft');
  await page
    .getByRole('alert')
    .getByText(/“two masses” .* is still wet: it dries for 9 days/)
    .waitFor();
  await page.getByRole('button', { name: 'Mend it' }).click();
  await page.getByText(/Photographs are due/).waitFor();
  await page.reload();
  await page.getByText(/Photographs are due/).waitFor();
  await expect(page.getByRole('alert').filter({ hasText: 'wet' })).toHaveCount(0);
});

test('a stage is dragged to a later meeting, and the calendar file follows', async () => {
  const from = await middleOf(page, 'button', /greys in light and shadow/);
  await drag(page, from, { x: from.x + 110, y: from.y });
  await page.waitForTimeout(500);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Calendar file' }).click(),
  ]);
  const text = readFileSync((await download.path()) ?? '', 'utf8');
  expect(text.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThanOrEqual(4);
});

test('a printer is read, its finder printed and corrected; a file with wrong columns is told', async () => {
  await page.goto('/palette/cupboard');
  await page.getByLabel('Name of the printer').fill('Office laser');
  await page.getByRole('button', { name: 'Add a printer' }).click();
  await page.getByRole('heading', { name: 'Office laser' }).waitFor();
  await page
    .getByLabel(/Bring in readings/)
    .setInputFiles({ name: 'chart.csv', mimeType: 'text/csv', buffer: Buffer.from('a;b\n1;2') });
  await page.getByText(/must name the columns code and lightness/).waitFor();
  await page.getByRole('button', { name: 'Read the chart with the practice reader' }).click();
  await page.getByText('24 patches read').waitFor();
  const href = await page.getByRole('link', { name: 'Print the finder' }).getAttribute('href');
  expect(await startOf(page, href)).toBe('%PDF-');
  await page.getByRole('button', { name: 'Read the bars with the practice reader' }).click();
  await page.getByText('33 patches read').waitFor();
});

test('the cupboard changes what must be bought; a file of it is read whole or not at all', async () => {
  const stock = page.getByLabel('titanium white: in the cupboard');
  await stock.fill('500');
  await stock.press('Tab');
  await page.getByLabel('Read a CSV').setInputFiles({
    name: 'shelf.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('what;pack;price;stock\nivory black;40;6,50;0\nsnow white;1;1;1'),
  });
  await page.getByText(/“snow white” is not on the list/).waitFor();
  await page.getByLabel('Read a CSV').setInputFiles({
    name: 'shelf.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('what;pack;price;stock\nivory black;40;6,50;0'),
  });
  await page.getByText('Read.').waitFor();
  await page.goto('/plan');
  await page.getByRole('link', { name: /A lamp in the greenhouse/ }).click();
  await page
    .getByRole('row', { name: /titanium white/ })
    .getByText('enough')
    .waitFor();
  await page
    .getByRole('row', { name: /ivory black/ })
    .getByText('€6.50')
    .waitFor();
});

test('under 16 a toxic pigment needs a reason, and lead white has none', async () => {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  await page.getByLabel('There are students under 16').check();
  await page.waitForTimeout(500);
  await page.goto('/plan/new');
  await page.getByRole('button', { name: 'monochrome painting' }).click();
  await page.getByText(/Materials and care/).click();
  await page.getByLabel(/cadmium red/).check();
  await page.getByRole('button', { name: 'Set it' }).click();
  await page
    .getByText(/This class is under 16/)
    .first()
    .waitFor();
  await page.getByLabel('Why it is set all the same').fill('The helpers mix it.');
  await page.getByLabel(/lead white/).check();
  await page
    .getByText(/Lead white can’t be set/)
    .first()
    .waitFor();
  await page.getByLabel(/lead white/).uncheck();
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.getByText('The helpers mix it.').waitFor();
});
