/** A hand-in whose picture has two megapixels, on a page that is watched while somebody drags on it. */
import { newId } from '@/data/schema/ids';
import { attempts, critiques, handIns, students } from '@/data/schema/tables';
import { keepFile } from '@/studio/hand-in/receive';
import { chromium, type Page } from '@playwright/test';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { CHROMIUM } from '../e2e/chromium';
import { timeDrag, type Place, watchPointer } from '../e2e/drag';
import { teacherComesIn } from '../e2e/people';
import { serveStudio } from '../e2e/served-studio';
import { atNight, furnish, type Room } from '../e2e/tidewell';
import { quantile, row } from './tally';

export const PICTURE = { width: 1600, height: 1250 } as const;
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

/** A table of what drags cost, with its head printed. */
export function dragTable(title: string): void {
  console.log(`\n${title} on ${PICTURE.width} x ${PICTURE.height} pixels: ms`);
  row('', 'handlers', '95 %', 'longest', 'frame', 'task');
}

/** Drags, prints what that cost, and returns whether it keeps within a frame. */
export async function timedDrag(page: Page, what: string, from: Place, to: Place): Promise<boolean> {
  let timed: Awaited<ReturnType<typeof timeDrag>> = { handlers: [], longTasks: [] };
  const frames = await framesDuring(page, async () => {
    timed = await timeDrag(page, from, to);
  });
  const [slow, most] = [quantile(timed.handlers, 0.95), Math.max(0, ...timed.handlers)];
  const task = Math.max(0, ...timed.longTasks);
  row(what, timed.handlers.length, slow, most, quantile(frames, 0.5), task);
  return timed.handlers.length >= 60 && most <= LIMIT.frameMs && task <= LIMIT.taskMs;
}

/** Opens the Table of such a hand-in for its teacher. Needs `next build` to have run. */
export async function atTheTable(work: (page: Page) => Promise<boolean>): Promise<boolean> {
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
    return await work(page);
  } finally {
    await browser.close();
    studio.close();
  }
}
