/** What the studio answers to somebody who writes: done, or a sentence, with what stands now where somebody else wrote meanwhile. */

export interface Meanwhile<T> {
  readonly theirs: T;
  /** How often it was written by now: whoever writes over it says so. */
  readonly written: number;
}

export type Answer<Theirs = unknown, Value = null> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly say: string; readonly meanwhile?: Meanwhile<Theirs> };
