/** Drags on a page, by the mouse; the bench also times them. */
import type { Locator, Page } from '@playwright/test';

export interface Place {
  readonly x: number;
  readonly y: number;
}

export interface DragTimes {
  readonly handlers: readonly number[];
  readonly longTasks: readonly number[];
}

/** Times every pointer handler and notes long tasks; called in the page before anything else runs. */
export function watchPointer(): void {
  const seen = window as unknown as { handlers: number[]; longTasks: number[] };
  seen.handlers = [];
  seen.longTasks = [];
  new PerformanceObserver((list) => seen.longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
    type: 'longtask',
  });
  const add = Reflect.get(EventTarget.prototype, 'addEventListener') as (this: EventTarget, ...rest: unknown[]) => void;
  EventTarget.prototype.addEventListener = function (
    this: EventTarget,
    type: string,
    listener: EventListenerOrEventListenerObject | null,
    options?: boolean | AddEventListenerOptions,
  ) {
    if (type !== 'pointermove' || typeof listener !== 'function') return add.call(this, type, listener, options);
    const timed = (event: Event) => {
      const start = performance.now();
      listener.call(this, event);
      seen.handlers.push(performance.now() - start);
    };
    return add.call(this, type, timed, options);
  };
}

export async function drag(page: Page, from: Place, to: Place, moves = 20): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= moves; i++) {
    await page.mouse.move(from.x + ((to.x - from.x) * i) / moves, from.y + ((to.y - from.y) * i) / moves);
    await page.waitForTimeout(8);
  }
  await page.mouse.up();
}

/** Drags on a page that `watchPointer` watches. */
export async function timeDrag(page: Page, from: Place, to: Place): Promise<DragTimes> {
  await page.waitForTimeout(500);
  await page.evaluate(() => Object.assign(window, { handlers: [], longTasks: [] }));
  await drag(page, from, to, 60);
  return page.evaluate(() => {
    const { handlers, longTasks } = window as unknown as { handlers: number[]; longTasks: number[] };
    return { handlers, longTasks };
  });
}

/** Where something lies on the page, px. */
export async function boxOf(seen: Locator) {
  const box = await seen.boundingBox();
  if (!box) throw new Error(`${seen.toString()} can’t be seen.`);
  return box;
}

export async function middleOf(page: Page, role: 'slider' | 'button', name: RegExp): Promise<Place> {
  const box = await boxOf(page.getByRole(role, { name }).first());
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}
