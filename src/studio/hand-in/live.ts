/** What is happening to attempts right now, for those who look on, whatever process they look from. Nothing here is kept. */
import type { OpenDatabase } from '@/data/database/engine';
import { ATTEMPT_STATES, type AttemptState } from '@/data/schema/tables';
import { log } from '@/watch/log';
import { EventEmitter } from 'node:events';
import { z } from 'zod';

export interface LiveNews {
  readonly state: AttemptState;
  /** What the worker is doing, while it measures. */
  readonly stage: string | null;
}

export interface Live {
  tell(attemptId: string, news: LiveNews): void;
  /** Returns what ends the listening. */
  listen(attemptId: string, hear: (news: LiveNews) => void): () => void;
}

const CHANNEL = 'attempts';
const message = z.object({ attemptId: z.string(), state: z.enum(ATTEMPT_STATES), stage: z.string().nullable() });

export async function openLive({ notify, listen }: Pick<OpenDatabase, 'notify' | 'listen'>): Promise<Live> {
  const bus = new EventEmitter().setMaxListeners(0);
  await listen(CHANNEL, (told) => {
    const { attemptId, ...news } = message.parse(JSON.parse(told));
    bus.emit(attemptId, news satisfies LiveNews);
  });
  // One after the other: several connections might pass on the later one first.
  let before: Promise<void> = Promise.resolve();
  return {
    tell(attemptId, news) {
      before = before
        .then(() => notify(CHANNEL, JSON.stringify({ attemptId, ...news })))
        // Who looks on asks again; the work itself must not stop for it.
        .catch((error: unknown) => log.error({ err: error }, 'news'));
    },
    listen(attemptId, hear) {
      bus.on(attemptId, hear);
      return () => bus.off(attemptId, hear);
    },
  };
}
