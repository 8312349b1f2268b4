/** What a finger sees while a reference is prepared: views a second, how long the exact one takes, and the page's longest task. */
import { chromium, type Page } from '@playwright/test';
import path from 'node:path';
import { CHROMIUM } from '../e2e/chromium';
import { middleOf, type Place } from '../e2e/drag';
import { makeClass, openStudio } from '../e2e/people';
import { serveStudio } from '../e2e/served-studio';
import { row } from './tally';

export const LIMIT = { thresholdFrames: 30, slowFrames: 10, exactMs: 500, taskMs: 50 } as const;

const PICTURE = path.resolve('assets/references/greenhouse-bench/picture.jpg');
const DRAG_MS = 3000;

interface Dragged {
  /** Views shown a second while the finger moved. */
  readonly rate: number;
  /** From letting go to the exact view, ms. */
  readonly exact: number;
  readonly longest: number;
}

const frames = (page: Page) => page.evaluate(() => Number(document.querySelector('canvas')?.dataset['frames'] ?? 0));

async function drag(page: Page, at: Place, by: number): Promise<Dragged> {
  await page.evaluate(() => {
    const own = window as unknown as { tasks: number[] };
    own.tasks = [];
    new PerformanceObserver((list) => own.tasks.push(...list.getEntries().map((e) => e.duration))).observe({
      entryTypes: ['longtask'],
    });
  });
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  const before = await frames(page);
  const start = Date.now();
  for (let k = 0; Date.now() - start < DRAG_MS; k++) await page.mouse.move(at.x + by * Math.sin(k / 12), at.y);
  const rate = ((await frames(page)) - before) / ((Date.now() - start) / 1000);
  const let_go = Date.now();
  await page.mouse.up();
  // Asked for in every frame: a locator waits longer from look to look.
  const exact = await page.evaluate(
    (from) =>
      new Promise<number>((done) => {
        const look = () =>
          document.querySelector('canvas')?.dataset['exact'] === 'true'
            ? done(Date.now() - from)
            : requestAnimationFrame(look);
        look();
      }),
    let_go,
  );
  const longest = Math.max(0, ...(await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)));
  return { rate, exact, longest };
}

/** Returns whether the rates are kept. Needs `next build` to have run. */
export async function benchReferencePage(): Promise<boolean> {
  const studio = await serveStudio();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ baseURL: studio.base, viewport: { width: 1280, height: 800 } });
    await openStudio(page);
    await makeClass(page);
    await page.goto('/references');
    await page.getByLabel('Picture', { exact: true }).setInputFiles(PICTURE);
    for (const [label, words] of [
      ['What it is called', 'Bench'],
      ['Where it is from', 'rendered'],
      ['Who may use it', 'anybody'],
    ] as const)
      await page.getByLabel(label).fill(words);
    await page.getByRole('button', { name: 'Bring it in' }).click();
    await page.waitForURL(/\/references\/\w+/);
    await page.getByRole('table', { name: 'Share of each tone' }).waitFor({ timeout: 30_000 });
    await page.getByText('Guides, facts, and pictures beside it').click();
    await page.getByLabel('What is dark').selectOption('threshold');
    await page.getByLabel(/^Tones:/).fill('3');
    await page.getByRole('slider', { name: /Line between 3 and 2/ }).waitFor();
    await page.waitForTimeout(1500);
    console.log(
      '\nPreparing a reference of two megapixels: views a second while dragging, ms from letting go to the exact one, longest task',
    );
    row('', 'views a second', 'exact', 'longest task');
    let good = true;
    const time = async (name: string, at: Place, by: number, least: number) => {
      const { rate, exact, longest } = await drag(page, at, by);
      row(name, rate.toFixed(1), exact, longest);
      good &&= rate >= least && exact <= LIMIT.exactMs && longest <= LIMIT.taskMs;
      await page.waitForTimeout(1500);
    };
    await time('line between tones', await middleOf(page, 'slider', /Line between 3 and 2/), 60, LIMIT.thresholdFrames);
    await page.getByRole('combobox', { name: /^Right/ }).selectOption('mapped');
    await time('push of mapped values', await middleOf(page, 'slider', /^Push/), 80, LIMIT.thresholdFrames);
    await page.getByRole('combobox', { name: /^Right/ }).selectOption('tones');
    await time('squint', await middleOf(page, 'slider', /^Squint/), 40, LIMIT.slowFrames);
    await time('dissolve', await middleOf(page, 'slider', /^Dissolve/), 40, LIMIT.slowFrames);
    await time('smooth', await middleOf(page, 'slider', /^Smooth/), 40, LIMIT.slowFrames);
    return good;
  } finally {
    await browser.close();
    studio.close();
  }
}
