'use client';
/** Loads the page's data again whenever something happens to an attempt that is under way. */
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

export function useLive(attemptId: string | null, on: boolean): void {
  const router = useRouter();
  useEffect(() => {
    if (!on || attemptId === null) return;
    const source = new EventSource(`/live/${attemptId}`);
    source.onmessage = (e) => {
      const { stage, state } = JSON.parse(String(e.data)) as { state: string; stage: string | null };
      // What is being done at the moment is no news; that it is done is.
      if (state !== 'measuring' || stage === null) router.refresh();
    };
    return () => source.close();
  }, [attemptId, on, router]);
}
