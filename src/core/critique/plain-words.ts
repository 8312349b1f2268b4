/** Words that are the same whatever was measured. */
import type { Words } from './rule';
import type { Said } from './voice';

/** What works, in one of several ways. */
export const praise = <F, Names>(...say: readonly [string, ...string[]]): Words<F, Names> => ({
  say: () => say,
  do: () => null,
});

/** What is to be mended, and how. */
export const fixed = <F, Names>(say: Said, advice: Said): Words<F, Names> => ({
  say: () => say,
  do: () => advice,
});
