/** One studio for the tests of a file. */
import { type Browser, type Page, test } from '@playwright/test';
import { enrol, makeClass, openStudio, setScale } from './people';
import { type ServedStudio, serveStudio } from './served-studio';

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

/** An empty studio, nobody signed in. */
export function inNewStudio(opened: (evening: Evening) => Promise<void> | void): void {
  let studio: ServedStudio | null = null;
  test.beforeAll(async ({ browser }) => {
    studio = await serveStudio();
    const { base } = studio;
    const newPhone = () => someone(browser, base, PHONE);
    await opened({
      ...studio,
      teacher: await someone(browser, base, DESK),
      student: await newPhone(),
      newPhone,
    });
  });
  test.afterAll(() => studio?.close());
}

export interface Tidewell extends Evening {
  /** Nine greys, set and not yet handed in. */
  readonly exerciseId: string;
}

/** A studio with a teacher and a student of their class who are signed in, and an exercise. */
export const inTidewell = (name: string, opened: (evening: Tidewell) => Promise<void> | void): void =>
  inNewStudio(async (evening) => {
    await openStudio(evening.teacher);
    await makeClass(evening.teacher);
    const exerciseId = await setScale(evening.teacher);
    await enrol(evening.teacher, evening.student, name);
    await opened({ ...evening, exerciseId });
  });
