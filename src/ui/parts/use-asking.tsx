'use client';
/** Asking the studio for something from a small form: busy while it is asked, and one sentence where it can't be. */
import { useState, useTransition } from 'react';
import type { Answer } from './answer';

export function useAsking() {
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  /** `then` hears what came back where it could be done. */
  const ask = <T,>(work: () => Promise<Answer<unknown, T>>, then?: (value: T) => void) =>
    start(async () => {
      const answer = await work();
      setTrouble(answer.ok ? '' : answer.say);
      if (answer.ok) then?.(answer.value);
    });
  return { busy, trouble, ask };
}

/** What is to be put right; nothing while all is well. */
export const Trouble = ({ say }: { say: string }) =>
  say === '' ? null : (
    <p role="alert" className="trouble">
      {say}
    </p>
  );
