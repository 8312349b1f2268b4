/** What drawing marks on a picture of two megapixels costs the page. */
import { boxOf } from '../e2e/drag';
import { atTheTable, dragTable, timedDrag } from './two-megapixels';

/** Returns whether drawing keeps within a frame. */
export const benchMarks = (): Promise<boolean> =>
  atTheTable(async (page) => {
    await page.getByRole('button', { name: 'Mark the picture' }).click();
    const box = await boxOf(page.getByRole('application'));
    dragTable('Drawing marks');
    let good = true;
    for (const kind of ['Outline', 'Arrow', 'Line']) {
      await page.getByRole('button', { name: new RegExp(`^${kind}`) }).click();
      const at = (share: number) => ({ x: box.x + share * box.width, y: box.y + share * box.height });
      good = (await timedDrag(page, kind, at(0.2), at(0.8))) && good;
      await page.getByRole('button', { name: /Take mark 1 back/ }).click();
      await page.getByRole('button', { name: /Take mark 1 back/ }).waitFor({ state: 'detached' });
    }
    return good;
  });
