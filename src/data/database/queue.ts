/** The queue of measurements: pg-boss on the same database, so that a job and its row live and die together. */
import PgBoss from 'pg-boss';
import type { PGlite } from '@electric-sql/pglite';

export const MEASURE_QUEUE = 'measure';
const POLL_SECONDS = 0.5;

export interface MeasureJob {
  readonly attemptId: string;
}

export interface Queue {
  send(job: MeasureJob): Promise<void>;
  /** Takes jobs one after the other in each of `lanes`. */
  work(lanes: number, handle: (job: MeasureJob) => Promise<void>): Promise<void>;
  stop(): Promise<void>;
}

/** Statements without values may be several at once, which only `exec` takes. */
function executor(pg: PGlite) {
  return {
    async executeSql(text: string, values: unknown[] = []): Promise<{ rows: unknown[]; rowCount: number }> {
      if (values.length === 0) {
        const results = await pg.exec(text);
        const last = results.filter((r) => r.fields.length > 0).at(-1) ?? results.at(-1);
        return { rows: last?.rows ?? [], rowCount: last?.affectedRows ?? 0 };
      }
      const result = await pg.query(text, values);
      return { rows: result.rows, rowCount: result.affectedRows ?? result.rows.length };
    },
  };
}

export async function openQueue(pg: PGlite): Promise<Queue> {
  const boss = new PgBoss({ db: executor(pg), schedule: false, supervise: false } as PgBoss.ConstructorOptions);
  boss.on('error', (error) => console.error('queue:', error));
  await boss.start();
  await boss.createQueue(MEASURE_QUEUE);
  return {
    async send(job) {
      await boss.send(MEASURE_QUEUE, job, { retryLimit: 0, expireInSeconds: 120 });
    },
    async work(lanes, handle) {
      for (let lane = 0; lane < lanes; lane++)
        await boss.work<MeasureJob>(
          MEASURE_QUEUE,
          { pollingIntervalSeconds: POLL_SECONDS, batchSize: 1 },
          async ([job]) => {
            if (job) await handle(job.data);
          },
        );
    },
    stop: () => boss.stop({ graceful: false, close: false, wait: false }),
  };
}
