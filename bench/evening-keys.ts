/** How long after the key that decides a hand-in the next one's picture stands on the Table. */
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import { type ClassOfMany, dropPile, makeClassOf } from '../e2e/class-pile';
import { awake, teacherComesIn } from '../e2e/people';
import { serveStudio } from '../e2e/served-studio';
import { HESPER } from '../e2e/tidewell';
import { quantile, row } from './tally';

const PARTS = { scales: 5, tones: 5, paintings: 5 } as const;
const CLASS = 15;
const LIMIT_MS = 300;
/** A teacher looks at each at least so long: meanwhile the next one is fetched. */
const LOOKS_MS = 1500;

/** Runs in the page: notes how long after a key that decides another hand-in's pictures are painted. */
function watchPictures(): void {
  const times: number[] = [];
  Object.assign(window, { pictureTimes: times });
  const standing = () => {
    const shown = document.querySelector('section[aria-label="Pictures"]');
    const images = [...(shown?.querySelectorAll('img') ?? [])].filter((i) => i.getClientRects().length > 0);
    const isPainted = images.length > 0 && images.every((i) => i.complete && i.naturalWidth > 0);
    return { address: location.pathname, isPainted };
  };
  window.addEventListener(
    'keydown',
    ({ key }) => {
      if (key !== 'p') return;
      const begin = performance.now();
      const from = location.pathname;
      const look = () => {
        const { address, isPainted } = standing();
        if (address !== from && isPainted) times.push(performance.now() - begin);
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    },
    true,
  );
}

const timesIn = (page: Page) => page.evaluate(() => (window as unknown as { pictureTimes: number[] }).pictureTimes);

/** Returns whether the picture stands there in time. Needs `next build` to have run. */
export async function benchEveningKeys(seed: number): Promise<boolean> {
  let made: ClassOfMany | null = null;
  const studio = await serveStudio(async (folder) => {
    made = await makeClassOf(folder, CLASS);
  });
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ baseURL: studio.base, viewport: { width: 1280, height: 800 } });
    await page.addInitScript(watchPictures);
    await teacherComesIn(page, HESPER.email);
    if (made) await dropPile(page, made, PARTS, seed);
    await awake(page.getByRole('link', { name: /Begin with/ }));
    await page.keyboard.press('b');
    await page.waitForURL(/\/table\//);
    for (let k = 0; k < CLASS - 1; k++) {
      await page.getByText(new RegExp(`${k} decided`)).waitFor();
      await page.waitForTimeout(LOOKS_MS);
      await page.keyboard.press('p');
      const told = page.getByRole('alert').filter({ hasText: 'decide once more' });
      const there = page.getByText(new RegExp(`${k + 1} decided`));
      await Promise.race([there.waitFor(), told.waitFor()]);
      if (await told.isVisible()) throw new Error('All were passed alike.');
    }
    const times = await timesIn(page);
    console.log('\nFrom the key to the next picture: ms');
    row('', 'hand-ins', 'median', '95 %', 'longest');
    row('', times.length, quantile(times, 0.5), quantile(times, 0.95), Math.max(...times));
    return times.length === CLASS - 1 && quantile(times, 0.95) <= LIMIT_MS;
  } finally {
    await browser.close();
    studio.close();
  }
}
