/** What the queue itself costs for a photograph: sent, taken and done, with nothing done in between. */
import { openDatabase } from '@/data/database/database';
import { openQueue } from '@/data/database/queue';
import type { Settings } from '@/data/settings';

const JOBS = 200;

/** Milliseconds a job, of this process's own time and of waiting for the database. */
export async function queueCost(settings: Settings): Promise<number> {
  const database = await openDatabase(settings);
  const queue = await openQueue(database);
  let sending = 0;
  try {
    for (let k = 0; k < JOBS; k++) {
      const start = performance.now();
      await database.db.transaction((tx) => queue.send({ attemptId: `cost-${k}` }, tx));
      sending += performance.now() - start;
    }
    const before = process.cpuUsage();
    let done = 0;
    await new Promise<void>((resolve) => {
      void queue.work(
        2,
        () => {
          if (++done === JOBS) resolve();
          return Promise.resolve();
        },
        () => Promise.resolve(),
      );
    });
    const { user, system } = process.cpuUsage(before);
    return (sending + (user + system) / 1000) / JOBS;
  } finally {
    await queue.stop();
    await database.close();
  }
}
