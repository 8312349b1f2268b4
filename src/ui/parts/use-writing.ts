'use client';
/** Writes one after the other, each over what the one before it wrote: nobody is in their own way. */
import { useRef } from 'react';
import type { Answer } from './answer';

type Write<T> = (seen: number) => Promise<Answer<T, number>>;

/**
 * @param written - how often it had been written when what stands on the page was loaded.
 * @returns what writes; `over` names the writing where that of the page is known to be an older one.
 */
export function useWriting<T>(written: number): (write: Write<T>, over?: number) => Promise<Answer<T, number>> {
  const own = useRef(written);
  const before = useRef<Promise<unknown>>(Promise.resolve());
  return (write, over) => {
    const next = before.current.then(async () => {
      const answer = await write(over ?? Math.max(own.current, written));
      if (answer.ok) own.current = answer.value;
      return answer;
    });
    before.current = next.catch(() => undefined);
    return next;
  };
}
