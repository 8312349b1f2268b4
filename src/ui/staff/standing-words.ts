/** What somebody may do in a studio, in words. */
export const STANDING_WORDS = {
  owner: 'teaches, and looks after accounts',
  teacher: 'teaches',
  assistant: 'looks and drafts; sends nothing',
} as const;
export type Standing = keyof typeof STANDING_WORDS;
export const STANDING_CHOICES = Object.entries(STANDING_WORDS) as [Standing, string][];

/** Somebody who teaches in the studio, as others see them. */
export interface Colleague {
  readonly id: string;
  readonly name: string;
  readonly standing: Standing;
}
