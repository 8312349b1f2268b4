'use client';
/** A look at a photograph before it is sent, by a worker that starts with the page. */
import type { CaptureIssue } from '@/core/capture/gate';
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { QuickAnswer, QuickQuestion } from '@/workers/browser/protocol';
import { useCallback, useEffect, useRef } from 'react';

/** A worker that is not ready by then is not waited for: the studio looks at the picture itself. */
const PATIENCE_MS = 8000;

/** Asks about a file; null where nothing can be said before it is sent. */
export function useQuickCheck(
  terms: ExerciseTerms,
  on: boolean,
): (file: File) => Promise<readonly CaptureIssue[] | null> {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, (issues: readonly CaptureIssue[] | null) => void>());
  const next = useRef(0);

  useEffect(() => {
    if (!on) return;
    const own = new Worker('/workers/quick-check.js');
    own.onmessage = ({ data }: MessageEvent<QuickAnswer>) => {
      waiting.current.get(data.id)?.(data.issues);
      waiting.current.delete(data.id);
    };
    worker.current = own;
    return () => {
      own.terminate();
      worker.current = null;
    };
    // The worker loads what it needs as soon as it starts; it is kept when the exercise is told anew.
  }, [on]);

  return useCallback(
    (file) =>
      new Promise((resolve) => {
        if (!worker.current) return resolve(null);
        const id = next.current++;
        waiting.current.set(id, resolve);
        setTimeout(() => {
          if (waiting.current.delete(id)) resolve(null);
        }, PATIENCE_MS);
        worker.current.postMessage({ id, file, terms } satisfies QuickQuestion);
      }),
    [terms],
  );
}
