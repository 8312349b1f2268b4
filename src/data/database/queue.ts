/**
 * The queue of measurements: pg-boss on the same database. A job is sent in the transaction that makes what it is about. One
 * whose process died is given to another when its time is over; one that fails again and again is given up, and somebody is told.
 */
import { type SQL, sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { z } from 'zod';
import { log } from '@/watch/log';
import type { OpenDatabase, Statements, Transaction } from './engine';

const MEASURE = 'measure';
const GIVEN_UP = 'measure-given-up';
const POLL_SECONDS = 0.5;
/** A measurement is stopped after 30 seconds: one that is under way for longer than this has lost its process. */
const LOST_SECONDS = 40;
/** How often the whole of the queue is looked after. */
const LOOK_AFTER_SECONDS = 10;
/** Tried so often again, so many seconds later and then twice as many. */
const AGAIN = { retryLimit: 2, retryDelay: 2, retryBackoff: true } as const;
/** So long is waited at the end for what is under way; what is not done by then is handed back. */
const FINISH_MS = 20_000;
/** What is done is put aside after an hour and forgotten after a week. */
const DONE = { archiveCompletedAfterSeconds: 3600, deleteAfterDays: 7 } as const;

export interface MeasureJob {
  readonly attemptId: string;
}

export interface Queue {
  /** The job is there if the transaction is kept, and not if it is not. */
  send(job: MeasureJob, within: Transaction): Promise<void>;
  /**
   * Takes jobs one after the other in each of `lanes`. What `handle` throws at is tried again later; in the end it is given to
   * `giveUp`.
   */
  work(
    lanes: number,
    handle: (job: MeasureJob) => Promise<void>,
    giveUp: (job: MeasureJob) => Promise<void>,
  ): Promise<void>;
  /** Gives back what is under way, of processes that have ended all. */
  takeBack(): Promise<void>;
  /** Whether a job about an attempt is waiting or under way, as a condition on the attempt's id. */
  isAbout(attemptId: SQL): SQL;
  /** How many wait, and for how long the first of them has, seconds. */
  waiting(): Promise<{ readonly jobs: number; readonly seconds: number }>;
  /** Takes nothing more; ends when what is under way is done, or handed back. */
  stop(): Promise<void>;
}

/** A statement whose values are numbered ($1 and so on), as one of a transaction. */
function numbered(text: string, values: readonly unknown[]): SQL {
  const plain = (value: unknown) =>
    value !== null && typeof value === 'object' && !(value instanceof Date) ? JSON.stringify(value) : (value ?? null);
  const parts = text.split(/\$(\d+)/);
  return sql.join(
    parts.map((part, k) => (k % 2 === 0 ? sql.raw(part) : sql`${sql.param(plain(values[Number(part) - 1]))}`)),
  );
}

const statementsWithin = (tx: Transaction): Statements => ({
  async executeSql(text, values = []) {
    const { rows } = (await tx.execute(numbered(text, values))) as { rows: unknown[] };
    return { rows, rowCount: rows.length };
  },
});

const depth = z.array(z.object({ jobs: z.coerce.number(), seconds: z.coerce.number() }));

export async function openQueue({ statements, db }: Pick<OpenDatabase, 'statements' | 'db'>): Promise<Queue> {
  const boss = new PgBoss({
    db: statements,
    schedule: false,
    supervise: true,
    maintenanceIntervalSeconds: LOOK_AFTER_SECONDS,
    ...DONE,
  });
  boss.on('error', (error) => log.error({ err: error }, 'queue'));
  await boss.start();
  await boss.createQueue(GIVEN_UP);
  await boss.createQueue(MEASURE);
  const lane = (name: string, handle: (job: MeasureJob) => Promise<void>) =>
    boss.work<MeasureJob>(name, { pollingIntervalSeconds: POLL_SECONDS, batchSize: 1 }, async ([job]) => {
      if (job) await handle(job.data);
    });
  return {
    async send(job, within) {
      await boss.send(MEASURE, job, {
        ...AGAIN,
        expireInSeconds: LOST_SECONDS,
        deadLetter: GIVEN_UP,
        db: statementsWithin(within),
      });
    },
    async work(lanes, handle, giveUp) {
      await lane(GIVEN_UP, giveUp);
      for (let k = 0; k < lanes; k++) await lane(MEASURE, handle);
    },
    async takeBack() {
      await db.execute(
        sql`update pgboss.job set state = 'retry', start_after = now() where name = ${MEASURE} and state = 'active'`,
      );
    },
    isAbout: (attemptId) =>
      sql`exists (select 1 from pgboss.job where name in (${MEASURE}, ${GIVEN_UP}) and state < 'completed' and data->>'attemptId' = ${attemptId})`,
    async waiting() {
      const { rows } = (await db.execute(
        sql`select count(*) as jobs, coalesce(extract(epoch from now() - min(created_on)), 0) as seconds
          from pgboss.job where name = ${MEASURE} and state < 'active'`,
      )) as { rows: unknown[] };
      const [now] = depth.parse(rows);
      return now ?? { jobs: 0, seconds: 0 };
    },
    stop: () => boss.stop({ graceful: true, wait: true, close: false, timeout: FINISH_MS }),
  };
}
