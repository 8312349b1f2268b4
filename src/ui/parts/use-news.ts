'use client';
/** News of an attempt that is under way, for as long as a page waits for it. */
import { useEffect, useEffectEvent } from 'react';

export interface News {
  readonly state: string;
  /** What is being done at the moment, while it is measured. */
  readonly stage: string | null;
}

/**
 * A browser asks again by itself where a line breaks, but never after an answer that is no news: that of a studio, or of a proxy
 * before it, which is not quite there yet.
 */
const ASK_AGAIN_MS = 2000;

export function useNews(attemptId: string | null, on: boolean, hear: (news: News) => void): void {
  const heard = useEffectEvent(hear);
  useEffect(() => {
    if (!on || attemptId === null) return;
    let source: EventSource;
    let later: ReturnType<typeof setTimeout>;
    const ask = () => {
      source = new EventSource(`/live/${attemptId}`);
      source.onmessage = (e) => heard(JSON.parse(String(e.data)) as News);
      source.onerror = () => {
        if (source.readyState === EventSource.CLOSED) later = setTimeout(ask, ASK_AGAIN_MS);
      };
    };
    ask();
    return () => {
      clearTimeout(later);
      source.close();
    };
  }, [attemptId, on]);
}
