/** What a teacher decides of a hand-in. */
export const VERDICTS = ['pass', 'again'] as const;
export type Verdict = (typeof VERDICTS)[number];
