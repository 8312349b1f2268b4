/** What drawing a correction on a picture of two megapixels costs the page, and how long the worker takes to show it. */
import type { Page } from '@playwright/test';
import { boxOf, type Place } from '../../e2e/drag';
import { atTheTable, dragTable, timedDrag } from '../two-megapixels';

/** Draws round a place of the board. */
async function ring(
  page: Page,
  at: (x: number, y: number) => Place,
  x: number,
  y: number,
  wide: number,
): Promise<void> {
  for (let k = 0; k <= 24; k++) {
    const turn = (2 * Math.PI * k) / 24;
    const place = at(x + wide * Math.cos(turn), y + wide * Math.sin(turn));
    await page.mouse.move(place.x, place.y);
    if (k === 0) await page.mouse.down();
  }
  await page.mouse.up();
}

/** Returns whether every drag keeps within a frame. */
export const benchCorrectionDrag = (): Promise<boolean> =>
  atTheTable(async (page) => {
    await page.getByRole('button', { name: 'Show a correction' }).click();
    const board = page.getByRole('application');
    await board.waitFor();
    const box = await boxOf(board);
    const at = (x: number, y: number) => ({ x: box.x + x * box.width, y: box.y + y * box.height });
    dragTable('Drawing a correction');
    const shown = async (what: string) => {
      const took = await page.locator('canvas').getAttribute('data-took');
      console.log(`    ${what}: shown after ${took} ms`);
    };
    let good = await timedDrag(page, 'an outline', at(0.2, 0.2), at(0.8, 0.7));
    await page.getByRole('button', { name: 'Take back' }).click();
    await ring(page, at, 0.3, 0.4, 0.15);
    const slider = page.getByRole('slider', { name: /^Lighter or darker/ });
    const { x, y, width, height } = await boxOf(slider);
    const along = (share: number) => ({ x: x + share * width, y: y + height / 2 });
    good = (await timedDrag(page, 'its lightness', along(0.45), along(0.2))) && good;
    await shown('lightness');
    await page.getByRole('button', { name: /^Move or turn/ }).click();
    await ring(page, at, 0.65, 0.6, 0.12);
    await page.getByRole('button', { name: 'Take hold of it' }).click();
    good = (await timedDrag(page, 'carrying it', at(0.65, 0.6), at(0.45, 0.45))) && good;
    await shown('a thing that is carried');
    await page.getByRole('button', { name: /^Softer edge/ }).click();
    good = (await timedDrag(page, 'a brush', at(0.1, 0.8), at(0.9, 0.85))) && good;
    await shown('an edge');
    return good;
  });
