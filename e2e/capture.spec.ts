/** Photographs on their way in: told on the phone before they are sent, marked by hand, and a pile at once. */
import { sheetFrame } from '@/core/sheet/frame';
import { expect, type Page, test } from '@playwright/test';
import { boxOf } from './drag';
import { inTidewell } from './evening';
import { awake, handIn } from './people';
import { handInPhotograph, partlyPainted, pilePhotograph } from './photographs';
import { zipOf } from './zip-of';

const name = 'Ruta Vane';
test.describe.configure({ mode: 'serial' });
let page: Page;
let student: Page;
let exerciseId: string;
inTidewell(name, (evening) => void ({ teacher: page, student, exerciseId } = evening));

test('a bad photograph is told on the phone before it is sent, and a good one goes', async () => {
  await student.goto(`/my/${exerciseId}`);
  // A check that is not ready in time is left to the studio.
  await student.waitForTimeout(5000);
  await handIn(student, await pilePhotograph({ exercise: exerciseId, student: null }, 'blurred', 61));
  await student.getByText('This picture won’t do yet.').waitFor();
  await student.getByText(/The picture is blurred/).waitFor();
  await handIn(student, await pilePhotograph({ exercise: exerciseId, student: null }, 'window', 62));
  await student.getByText('This picture will do.').waitFor();
});
/** What the Rack says of the student's hand-in. */
const ownPlace = async () => {
  await page.goto('/rack');
  return page
    .locator('[data-place]')
    .filter({ has: page.getByText(new RegExp(`${name}: `)) })
    .first()
    .innerText();
};
test('corners are dragged by keys, crossing ones are told, and the strip between them is read', async () => {
  await student.goto(`/my/${exerciseId}`);
  await student.getByLabel('It is').first().selectOption('corners');
  await handIn(student, await handInPhotograph(exerciseId, 'fine', 63));
  const corner = (which: string) => student.getByRole('slider', { name: which });
  await corner('Top left corner').waitFor();
  const press = async (which: string, key: string, times: number) => {
    await corner(which).focus();
    for (let i = 0; i < times; i++) await student.keyboard.press(`Shift+${key}`);
  };
  // Past the right-hand corners: the outline crosses itself.
  await press('Top left corner', 'ArrowRight', 80);
  await student.getByRole('button', { name: 'Send with these corners' }).click();
  await student.getByRole('alert').filter({ hasText: /cross/ }).waitFor();
  await press('Top left corner', 'ArrowLeft', 80);
  for (const which of ['Top left corner', 'Top right corner']) await press(which, 'ArrowUp', 6);
  await student.getByRole('button', { name: 'Send with these corners' }).click();
  await student.getByRole('button', { name: 'Send with these corners' }).waitFor({ state: 'detached' });
  await expect.poll(ownPlace).toContain('try 2');
});

test('a look in mid-work: places are marked by mouse and keys, then told, and it is no hand-in', async () => {
  await student.goto(`/my/${exerciseId}`);
  const before = await ownPlace();
  await student
    .getByLabel('Photograph for a look')
    .setInputFiles({ name: 'look.jpg', mimeType: 'image/jpeg', buffer: await partlyPainted(exerciseId, 67) });
  const picture = student.getByRole('img', { name: 'What is painted so far, in greys' });
  await picture.waitFor();
  const box = await boxOf(picture);
  // The fourth of nine cells is the wrong one; the last is not painted.
  await picture.click({ position: { x: (3.5 / 9) * box.width, y: box.height / 2 } });
  await picture.click({ position: { x: (8.5 / 9) * box.width, y: box.height / 2 } });
  await student.getByRole('button', { name: 'Mark 2: take it away' }).waitFor();
  const cross = student.getByRole('button', { name: /^Place to mark/ });
  await cross.focus();
  for (let i = 0; i < 5; i++) await student.keyboard.press('Shift+ArrowLeft');
  await student.keyboard.press('Enter');
  await student.getByRole('button', { name: 'Mark 3: take it away' }).waitFor();
  await student.getByRole('button', { name: 'Ask the measurement about these 3 places' }).click();
  await student.getByText(/^You saw it: Step 4 is .* too dark\.$/).waitFor();
  await student.getByText('Step 9 is not painted yet.').waitFor();
  await student.getByText(/^Step 3 measures as it should/).waitFor();
  await student.reload();
  await student.getByText(/^You saw it: Step 4/).waitFor();
  const after = await ownPlace();
  expect(after).toBe(before);
  await student.getByLabel('Photograph for a look').setInputFiles({
    name: 'table.jpg',
    mimeType: 'image/jpeg',
    buffer: await pilePhotograph({ exercise: exerciseId, student: null }, 'no-sheet', 68),
  });
  await student.getByText('This picture won’t do yet.').waitFor();
});

test('readings of the printed greys come in, and a card can’t be carried over from one sheet alone', async () => {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  await page.getByText('Nothing is known of your printer').waitFor();
  const lines = ['patch,lightness,a,b', ...sheetFrame('a4').patches.map((p, i) => `${i + 1},${p.lightness},0,0`)];
  await page
    .getByLabel('Bring in readings of a sheet (CSV or CGATS)')
    .setInputFiles({ name: 'card.csv', mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) });
  await page.getByText('The known sheet lies').waitFor();
  const one = await pilePhotograph({ exercise: exerciseId, student: null }, 'studio', 69);
  await page
    .getByLabel('Photograph of both sheets')
    .setInputFiles({ name: 'one.jpg', mimeType: 'image/jpeg', buffer: one });
  await page.getByText(/^Only one sheet was found/).waitFor();
  await page.getByRole('button', { name: 'Forget it' }).click();
  await page.getByText('Nothing is known of your printer').waitFor();
});
let place: string | null = null;
test('a pile goes by its codes; strays wait in the tray, and the same picture again is known', async () => {
  await page.goto('/rack');
  place = await page
    .locator('[data-place]')
    .filter({ has: page.getByText(new RegExp(`${name}: `)) })
    .first()
    .getAttribute('data-place');
  const studentId = place?.split(' ')[0] ?? '';
  expect(studentId).not.toBe('');
  const known = await pilePhotograph({ exercise: exerciseId, student: studentId }, 'studio', 64);
  const zip = await zipOf([
    ['evening/one.jpg', known],
    ['evening/table.jpg', await pilePhotograph({ exercise: exerciseId, student: studentId }, 'no-sheet', 65)],
    ['evening/nobody.jpg', await pilePhotograph({ exercise: null, student: null }, 'studio', 66)],
    ['evening/other.zip', Buffer.from('PK')],
    ['__MACOSX/._one.jpg', Buffer.from('x')],
  ]);
  const drop = page.getByLabel('Photographs of a pile, or a ZIP of them');
  await awake(drop);
  await drop.setInputFiles({ name: 'evening.zip', mimeType: 'application/zip', buffer: zip });
  const list = page.getByRole('list', { name: 'What became of each picture' });
  await list.getByText('A ZIP inside a ZIP').waitFor();
  await list.getByText(`${name}, `).waitFor();
  await list.getByText('No worksheet was found').waitFor();
  await drop.setInputFiles({ name: 'again.jpg', mimeType: 'image/jpeg', buffer: known });
  await list.getByText('known already').waitFor();
  await page.getByRole('heading', { name: 'Tray: whose are these?' }).waitFor();
  const strays = page.getByRole('region', { name: 'Tray' }).getByRole('listitem');
  await expect(strays).toHaveCount(2);
});

test('a stray is dragged onto its place, and another thrown away', async () => {
  const tray = page.getByRole('region', { name: 'Tray' });
  // Tall enough for the tray and the rack at once: scrolling while dragging is the browser’s business.
  await page.setViewportSize({ width: 1280, height: 1500 });
  const picture = tray.getByRole('button', { name: /nobody.jpg: drag/ });
  await picture.scrollIntoViewIfNeeded();
  const target = page.locator(`[data-place="${place}"]`);
  const [from, to] = [await boxOf(picture), await boxOf(target)];
  await page.mouse.move(from.x + 40, from.y + 40);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 20, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await page.waitForTimeout(300);
  await page.mouse.up();
  await tray.getByText('nobody.jpg').waitFor({ state: 'detached' });
  await tray.getByRole('button', { name: 'Throw away' }).click();
  await tray.waitFor({ state: 'detached' });
  await page.setViewportSize({ width: 1280, height: 800 });
});
