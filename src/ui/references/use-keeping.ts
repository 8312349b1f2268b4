'use client';
/** Something that is changed on a page and kept by the studio when it is asked to; nothing is lost without a word. */
import { useEffect, useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';

/** Keeps what stands on the page over the writing that was seen; answers how often it was written by then. */
export type Keep<T> = (own: T, seen: number) => Promise<Answer<T, number>>;

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
  /** Where somebody else wrote meanwhile: whose version stands on the page. Null where nobody did. */
  readonly shows: 'mine' | 'theirs' | null;
  /** Puts the other version on the page. */
  readonly swap: () => void;
  /** Asks the studio for something else, and tells its trouble in the same place. */
  readonly ask: (work: () => Promise<Answer>) => void;
}

export function useKeeping<T>(start: T, written: number, keep: Keep<T>): Keeping<T> {
  const [kept, setKept] = useState({ value: start, written });
  const [own, setOwn] = useState(start);
  const [other, setOther] = useState<{ readonly value: T; readonly is: 'mine' | 'theirs' } | null>(null);
  const [trouble, setTrouble] = useState('');
  const [busy, go] = useTransition();
  const unkept = own !== kept.value;

  useEffect(() => {
    if (!unkept) return;
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unkept]);

  const tell = (answer: Answer<unknown, unknown>) => setTrouble(answer.ok ? '' : answer.say);
  const save = () =>
    go(async () => {
      const answer = await keep(own, kept.written);
      tell(answer);
      if (answer.ok) {
        setKept({ value: own, written: answer.value });
        setOther(null);
      } else if (answer.meanwhile) {
        const { theirs, written: over } = answer.meanwhile;
        setKept({ value: theirs, written: over });
        setOther({ value: theirs, is: 'theirs' });
      }
    });
  const swap = () => {
    if (!other) return;
    setOther({ value: own, is: other.is === 'mine' ? 'theirs' : 'mine' });
    setOwn(other.value);
  };
  return {
    ...{ own, setOwn, unkept, busy, trouble, save, swap },
    shows: other && (other.is === 'mine' ? 'theirs' : 'mine'),
    ask: (work) => go(async () => tell(await work())),
  };
}
