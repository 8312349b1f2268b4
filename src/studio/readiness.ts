/** Whether a studio can take what comes: its database, its files, its room, and whether what waits is measured. */
import { sql } from 'drizzle-orm';
import { hasRoom } from './hand-in/receive';
import type { House } from './house';

export interface Check {
  readonly name: 'database' | 'files' | 'space' | 'queue';
  readonly ok: boolean;
  /** One sentence for whoever looks after it; empty where all is well. */
  readonly say: string;
}

/** What does not answer within this is not there. */
const PATIENCE_MS = 3000;
/** The first in the queue waits for longer than this only where nobody measures. */
const LATE_SECONDS = 300;
/** No file has this name. */
const NOTHING = '0'.repeat(64);

async function check(name: Check['name'], ask: () => Promise<string>): Promise<Check> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<string>((resolve) => {
    timer = setTimeout(() => resolve(`Nothing came back within ${PATIENCE_MS / 1000} seconds.`), PATIENCE_MS);
  });
  const say = await Promise.race([ask(), late]).catch((error: unknown) =>
    error instanceof Error ? error.message : String(error),
  );
  clearTimeout(timer);
  return { name, ok: say === '', say };
}

export const readiness = (house: House): Promise<Check[]> =>
  Promise.all([
    check('database', async () => {
      await house.db.execute(sql`select 1`);
      return '';
    }),
    check('files', async () => {
      await house.files.has(NOTHING);
      return '';
    }),
    check('space', async () =>
      (await hasRoom(house)) ? '' : 'The disk is nearly full: pictures are refused until there is room.',
    ),
    check('queue', async () => {
      const { jobs, seconds } = await house.queue.waiting();
      return seconds <= LATE_SECONDS
        ? ''
        : `${jobs} pictures wait, the first for ${Math.round(seconds / 60)} minutes: look whether anything measures.`;
    }),
  ]);
