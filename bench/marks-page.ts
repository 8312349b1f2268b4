/** What drawing on a picture of two megapixels costs the page: time in pointer handlers, frames, and the longest task. */
import { newId } from '@/data/schema/ids';
import { attempts, critiques, handIns, students } from '@/data/schema/tables';
import { keepFile } from '@/studio/hand-in/receive';
import { chromium, type Page } from '@playwright/test';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { CHROMIUM } from '../e2e/chromium';
import { timeDrag, watchPointer } from '../e2e/drag';
import { teacherComesIn } from '../e2e/people';
import { serveStudio } from '../e2e/served-studio';
import { atNight, furnish, type Room } from '../e2e/tidewell';
import { quantile, row } from './tally';

const PICTURE = { width: 1600, height: 1250 } as const;
const LIMIT = { frameMs: 16.7, taskMs: 50 } as const;

/** A hand-in whose picture is as large as that, in a room's first exercise; returns its id. */
const handedIn = (folder: string, { exerciseId }: Room): Promise<string> =>
  atNight(folder, async (house) => {
    const noise = { type: 'gaussian' as const, mean: 128, sigma: 40 };
    const jpeg = await sharp({ create: { ...PICTURE, channels: 3, background: '#777', noise } })
      .jpeg()
      .toBuffer();
    const hash = await keepFile(house, jpeg, 'image/jpeg');
    const [student] = await house.db.select().from(students);
    if (!student) throw new Error('The room has a student.');
    const [handInId, attemptId] = [newId(), newId()];
    await house.db.insert(handIns).values({ id: handInId, exerciseId, studentId: student.id });
    const pictures = { photoHash: hash, previewHash: hash, stripHash: hash, orientation: 1 };
    await house.db.insert(attempts).values({ id: attemptId, handInId, number: 1, state: 'measured', ...pictures });
    await house.db.insert(critiques).values({ attemptId });
    // Nothing waits on Today, so that the way in is the usual one.
    await house.db.update(handIns).set({ state: 'open' }).where(eq(handIns.id, handInId));
    return handInId;
  });

/** Milliseconds between frames while something is done. */
async function framesDuring(page: Page, work: () => Promise<unknown>): Promise<number[]> {
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    let last = performance.now();
    const next = (now: number) => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
  });
  await work();
  return page.evaluate(() => (window as unknown as { frames: number[] }).frames);
}

/** Returns whether drawing keeps within a frame. Needs `next build` to have run. */
export async function benchMarks(): Promise<boolean> {
  let room: Room | undefined;
  let handInId = '';
  const studio = await serveStudio(async (folder) => {
    [room] = await furnish(folder, ['Bea Lindqvarn']);
    if (room) handInId = await handedIn(folder, room);
  });
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ baseURL: studio.base, viewport: { width: 1280, height: 800 } });
    await page.addInitScript(watchPointer);
    await teacherComesIn(page, room?.email ?? '');
    await page.goto(`/table/${handInId}`);
    await page.getByRole('button', { name: 'Mark the picture' }).click();
    const board = page.getByRole('application');
    const box = await board.boundingBox();
    if (!box) throw new Error('There is a board.');
    console.log(`\nDrawing marks on ${PICTURE.width} x ${PICTURE.height} pixels: ms`);
    row('', 'handlers', '95 %', 'longest', 'frame', 'task');
    let good = true;
    for (const kind of ['Outline', 'Arrow', 'Line']) {
      await page.getByRole('button', { name: new RegExp(`^${kind}`) }).click();
      const [from, to] = [0.2, 0.8].map((s) => ({ x: box.x + s * box.width, y: box.y + s * box.height })) as [
        { x: number; y: number },
        { x: number; y: number },
      ];
      let timed: Awaited<ReturnType<typeof timeDrag>> = { handlers: [], longTasks: [] };
      const frames = await framesDuring(page, async () => {
        timed = await timeDrag(page, from, to);
      });
      const [slow, most] = [quantile(timed.handlers, 0.95), Math.max(0, ...timed.handlers)];
      const task = Math.max(0, ...timed.longTasks);
      row(kind, timed.handlers.length, slow, most, quantile(frames, 0.5), task);
      good &&= timed.handlers.length >= 60 && most <= LIMIT.frameMs && task <= LIMIT.taskMs;
      await page.getByRole('button', { name: /Take mark 1 back/ }).click();
      await page.getByRole('button', { name: /Take mark 1 back/ }).waitFor({ state: 'detached' });
    }
    return good;
  } finally {
    await browser.close();
    studio.close();
  }
}
