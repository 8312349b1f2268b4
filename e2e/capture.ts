/** Photographs on their way in: told on the phone before they are sent, marked by hand, and a pile at once. */
import type { Page } from 'playwright';
import yazl from 'yazl';
import { buffer } from 'node:stream/consumers';
import { BASE, handIn, type Harness } from './harness';
import { handInPhotograph, pilePhotograph } from './photographs';

async function zipOf(files: readonly (readonly [string, Buffer])[]): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
}

export async function capture({ check }: Harness, page: Page, student: Page, name: string, exerciseId: string): Promise<void> {
  await check('a bad photograph is told on the phone before it is sent, and a good one goes', async () => {
    await student.goto(`${BASE}/my/${exerciseId}`);
    await student.waitForTimeout(3000);
    await handIn(student, await pilePhotograph({ exercise: exerciseId, student: null }, 'blurred', 61));
    await student.getByText('This picture won’t do yet.').waitFor({ timeout: 10_000 });
    await student.getByText(/The picture is blurred/).waitFor();
    await handIn(student, await pilePhotograph({ exercise: exerciseId, student: null }, 'window', 62));
    await student.getByText('This picture will do.').waitFor({ timeout: 30_000 });
  });
  await check('corners are dragged by keys, crossing ones are told, and the strip between them is read', async () => {
    await student.goto(`${BASE}/my/${exerciseId}`);
    await student.getByLabel('It is').selectOption('marked');
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
    // Roughly set by keys alone it may be no strip: either way it is read as what lies between the marks.
    await student.getByText(/This picture will do|No painted strip/).first().waitFor({ timeout: 30_000 });
  });
  let place: string | null = null;
  await check('a pile goes by its codes; strays wait in the tray, and the same picture again is known', async () => {
    await page.goto(`${BASE}/rack`);
    place = await page.locator('[data-place]').filter({ has: page.getByText(new RegExp(`${name}: `)) }).first().getAttribute('data-place');
    const studentId = place?.split(' ')[0] ?? '';
    if (!studentId) throw new Error('The rack has no place for the student.');
    const known = await pilePhotograph({ exercise: exerciseId, student: studentId }, 'studio', 64);
    const zip = await zipOf([
      ['evening/one.jpg', known],
      ['evening/table.jpg', await pilePhotograph({ exercise: exerciseId, student: studentId }, 'no-sheet', 65)],
      ['evening/nobody.jpg', await pilePhotograph({ exercise: null, student: null }, 'studio', 66)],
      ['evening/other.zip', Buffer.from('PK')],
      ['__MACOSX/._one.jpg', Buffer.from('x')],
    ]);
    const drop = page.getByLabel('Photographs of a pile, or a ZIP of them');
    await drop.setInputFiles({ name: 'evening.zip', mimeType: 'application/zip', buffer: zip });
    const list = page.getByRole('list', { name: 'What became of each picture' });
    await list.getByText('A ZIP inside a ZIP').waitFor({ timeout: 60_000 });
    await list.getByText(`${name}, `).waitFor();
    await list.getByText('No worksheet was found').waitFor();
    await drop.setInputFiles({ name: 'again.jpg', mimeType: 'image/jpeg', buffer: known });
    await list.getByText('known already').waitFor({ timeout: 30_000 });
    await page.getByRole('heading', { name: 'Tray: whose are these?' }).waitFor();
    const strays = page.getByRole('region', { name: 'Tray' }).getByRole('listitem');
    if ((await strays.count()) !== 2) throw new Error(`Expected two strays in the tray, got ${await strays.count()}.`);
  });
  await check('a stray is dragged onto its place, and another thrown away', async () => {
    const tray = page.getByRole('region', { name: 'Tray' });
    // Tall enough for the tray and the rack at once: scrolling while dragging is the browser’s business.
    await page.setViewportSize({ width: 1280, height: 1500 });
    const picture = tray.getByRole('button', { name: /nobody.jpg: drag/ });
    await picture.scrollIntoViewIfNeeded();
    const target = page.locator(`[data-place="${place}"]`);
    const [from, to] = [await picture.boundingBox(), await target.boundingBox()];
    if (!from || !to) throw new Error('The picture or the place can’t be seen.');
    await page.mouse.move(from.x + 40, from.y + 40);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + 20, { steps: 4 });
    await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
    await page.waitForTimeout(300);
    await page.mouse.up();
    await tray.getByText('nobody.jpg').waitFor({ state: 'detached', timeout: 10_000 });
    await tray.getByRole('button', { name: 'Throw away' }).click();
    await tray.waitFor({ state: 'detached' });
    await page.setViewportSize({ width: 1280, height: 800 });
  });
}
