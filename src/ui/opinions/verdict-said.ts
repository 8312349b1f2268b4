import type { Verdict } from '@/core/critique/verdict';

/** What somebody would decide, after their name. */
export const VERDICT_SAID: Record<Verdict, string> = { pass: 'would let it pass:', again: 'would send it back:' };
