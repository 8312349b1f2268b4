'use client';
/** What a page at the Table knows of the evening, and does in it. Outside of one there is nothing to go on to. */
import type { SittingView } from '@/studio/views/sitting';
import { createContext, useContext } from 'react';
import type { Answer } from '../parts/answer';

export interface SittingHand {
  /** Null until it is known. */
  readonly view: SittingView | null;
  /** Looks anew how far it has come. */
  readonly look: () => Promise<void>;
  /** Goes on to the next that waits; after the last to Today, where what is held is sent. */
  readonly goOn: () => Promise<void>;
  /** Takes back what was done last, and goes there; says why where it can't be. */
  readonly takeBack: () => Promise<string>;
  readonly send: (attemptId: string) => Promise<Answer<unknown, void>>;
}

export const SittingContext = createContext<SittingHand>({
  view: null,
  look: () => Promise.resolve(),
  goOn: () => Promise.resolve(),
  takeBack: () => Promise.resolve(''),
  send: () => Promise.resolve({ ok: true, value: undefined }),
});

export const useSitting = (): SittingHand => useContext(SittingContext);
