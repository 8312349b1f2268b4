/** A studio for the tests of a file, shared or of its own. */
import { type Browser, type Page, test } from '@playwright/test';
import { studentComesIn, teacherComesIn } from './people';
import { type ServedStudio, serveStudio } from './served-studio';
import { furnish, type Room } from './tidewell';

export interface Evening extends ServedStudio {
  readonly teacher: Page;
  readonly student: Page;
  readonly newPhone: () => Promise<Page>;
}

/** Long enough for a busy machine to measure a photograph: a wait is given up only where nothing comes. */
const PATIENCE_MS = 120_000;
const DESK = { width: 1280, height: 800 } as const;
const PHONE = { width: 390, height: 844 } as const;

async function someone(browser: Browser, baseURL: string, viewport: typeof DESK | typeof PHONE): Promise<Page> {
  const context = await browser.newContext({ baseURL, viewport });
  context.setDefaultTimeout(PATIENCE_MS);
  return context.newPage();
}

async function eveningIn(browser: Browser, studio: ServedStudio): Promise<Evening> {
  const newPhone = () => someone(browser, studio.base, PHONE);
  return { ...studio, teacher: await someone(browser, studio.base, DESK), student: await newPhone(), newPhone };
}

/** An empty studio, nobody signed in. */
export function inNewStudio(opened: (evening: Evening) => Promise<void> | void): void {
  inNewStudioMadeBy(() => Promise.resolve(), opened);
}

/** The same in a studio that somebody put things into before it was served. */
export function inNewStudioMadeBy(
  make: (folder: string) => Promise<void>,
  opened: (evening: Evening) => Promise<void> | void,
): void {
  let studio: ServedStudio | null = null;
  test.beforeAll(async ({ browser }) => {
    studio = await serveStudio(make);
    await opened(await eveningIn(browser, studio));
  });
  test.afterAll(() => studio?.close());
}

export interface Tidewell extends Evening {
  /** Nine greys, set and not yet handed in. */
  readonly exerciseId: string;
}

async function comeIn(evening: Evening, { email, codes, exerciseId }: Room): Promise<Tidewell> {
  await Promise.all([teacherComesIn(evening.teacher, email), studentComesIn(evening.student, codes)]);
  return { ...evening, exerciseId };
}

/** Rooms for all files that may share a studio, by their student; each has a teacher of its own. */
const PEOPLE = [...Array.from({ length: 4 }, () => 'Bea Lindqvarn'), ...Array.from({ length: 7 }, () => 'Ruta Vane')];

/** The studio that files of one process share: starting one takes longer than most of their stories. */
let shared: Promise<{ studio: ServedStudio; rooms: Room[] }> | null = null;

async function sharedStudio() {
  let rooms: Room[] = [];
  const studio = await serveStudio(async (folder) => {
    rooms = await furnish(folder, PEOPLE);
  });
  process.once('exit', () => studio.close());
  return { studio, rooms };
}

/** A room with a teacher and a student of their class who are signed in, and an exercise, in a studio that is shared. */
export function inTidewell(student: string, opened: (evening: Tidewell) => Promise<void> | void): void {
  test.beforeAll(async ({ browser }) => {
    shared ??= sharedStudio();
    const { studio, rooms } = await shared;
    const at = rooms.findIndex((room) => room.student === student);
    const [room] = at < 0 ? [] : rooms.splice(at, 1);
    if (!room) throw new Error(`There is no room left for ${student}: make one more in PEOPLE.`);
    await opened(await comeIn(await eveningIn(browser, studio), room));
  });
}

/** The same in a studio of its own: for stories in which it is killed. */
export function inOwnTidewell(student: string, opened: (evening: Tidewell) => Promise<void> | void): void {
  let studio: ServedStudio | null = null;
  test.beforeAll(async ({ browser }) => {
    let rooms: Room[] = [];
    studio = await serveStudio(async (folder) => {
      rooms = await furnish(folder, [student]);
    });
    await opened(await comeIn(await eveningIn(browser, studio), rooms[0] as Room));
  });
  test.afterAll(() => studio?.close());
}
