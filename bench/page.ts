/** What dragging costs the page: time in pointer handlers, and the longest task, in the built application. */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import { middleOf, type Place, timeDrag, watchPointer } from '../e2e/drag';
import { makeClass, openStudio, setStagedOil } from '../e2e/people';
import { serveStudio } from '../e2e/served-studio';
import { quantile, row } from './tally';

export const LIMIT = { handlerMs: 8, taskMs: 50 } as const;

/** Returns whether every drag keeps within the limits. Needs `next build` to have run. */
export async function benchPage(): Promise<boolean> {
  const studio = await serveStudio();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ baseURL: studio.base, viewport: { width: 1280, height: 800 } });
    await page.addInitScript(watchPointer);
    await openStudio(page);
    await makeClass(page);
    await page.getByRole('link', { name: /Tidewell/ }).click();
    await page.getByRole('button', { name: 'Keep the meetings' }).click();
    await page.getByText('Kept.').waitFor();
    console.log('\nDragging in the page: ms');
    row('', 'handlers', '95 %', 'longest');
    let good = true;
    const time = async (name: string, at: Place, by: Place) => {
      const { handlers, longTasks } = await timeDrag(page, at, { x: at.x + by.x, y: at.y + by.y });
      const [slow, longest] = [quantile(handlers, 0.95), Math.max(0, ...longTasks)];
      row(name, handlers.length, slow, longest);
      good &&= handlers.length >= 60 && slow <= LIMIT.handlerMs && longest <= LIMIT.taskMs;
    };
    await page.goto('/plan/new');
    await page.getByRole('button', { name: 'value bands' }).click();
    await time('lamp of a glow', await middleOf(page, 'slider', /Lamp/), { x: 90, y: 60 });
    await setStagedOil(page);
    await time('stage of a timetable', await middleOf(page, 'button', /greys in light and shadow/), { x: 110, y: 0 });
    await page.goto('/palette');
    await time('puddle of a trough', await middleOf(page, 'slider', /Wanted for 4/), { x: 0, y: 60 });
    return good;
  } finally {
    await browser.close();
    studio.close();
  }
}
