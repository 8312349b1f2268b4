'use client';
/** Something that is changed on a page and kept by the studio when it is asked to; nothing is lost without a word. */
import { useEffect, useState, useTransition } from 'react';

export type Answer = { readonly ok: true; readonly value: null } | { readonly ok: false; readonly say: string };

export interface Keeping<T> {
  /** As it stands on the page. */
  readonly own: T;
  readonly setOwn: React.Dispatch<React.SetStateAction<T>>;
  /** Whether the studio has not kept it as it stands. */
  readonly unkept: boolean;
  readonly busy: boolean;
  /** What went wrong; empty where nothing did. */
  readonly trouble: string;
  readonly save: () => void;
  /** Asks the studio for something else, and tells its trouble in the same place. */
  readonly ask: (work: () => Promise<Answer>) => void;
}

export function useKeeping<T>(start: T, keep: (own: T) => Promise<Answer>): Keeping<T> {
  const [kept, setKept] = useState(start);
  const [own, setOwn] = useState(start);
  const [trouble, setTrouble] = useState('');
  const [busy, go] = useTransition();
  const unkept = own !== kept;

  useEffect(() => {
    if (!unkept) return;
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unkept]);

  const ask = (work: () => Promise<Answer>, after?: () => void) =>
    go(async () => {
      const done = await work();
      setTrouble(done.ok ? '' : done.say);
      if (done.ok) after?.();
    });
  return {
    own,
    setOwn,
    unkept,
    busy,
    trouble,
    save: () =>
      ask(
        () => keep(own),
        () => setKept(own),
      ),
    ask,
  };
}
