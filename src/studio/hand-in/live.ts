/** What is happening to an attempt right now, for those who look on. Nothing here is kept. */
import type { AttemptState } from '@/data/schema/tables';
import { EventEmitter } from 'node:events';

export interface LiveNews {
  readonly state: AttemptState;
  /** What the worker is doing, while it measures. */
  readonly stage: string | null;
}

export interface Live {
  tell(attemptId: string, news: LiveNews): void;
  last(attemptId: string): LiveNews | null;
  /** Returns what ends the listening. */
  listen(attemptId: string, hear: (news: LiveNews) => void): () => void;
  /** Aborts of the measurements under way. */
  readonly running: Map<string, AbortController>;
}

export function openLive(): Live {
  const bus = new EventEmitter().setMaxListeners(0);
  const last = new Map<string, LiveNews>();
  return {
    running: new Map(),
    tell(attemptId, news) {
      if (news.state === 'measuring') last.set(attemptId, news);
      else last.delete(attemptId);
      bus.emit(attemptId, news);
    },
    last: (attemptId) => last.get(attemptId) ?? null,
    listen(attemptId, hear) {
      bus.on(attemptId, hear);
      return () => bus.off(attemptId, hear);
    },
  };
}
