/** What was said when a critique was sent: its findings as they were then, each with the teacher's edit. It never changes. */
import { z } from 'zod';
import { type FindingKind, findingSchema, HEADLINES } from './finding';

export const saidItemSchema = z.object({
  original: findingSchema,
  /** The teacher's own words; null keeps the original. */
  say: z.string().nullable(),
  action: z.string().nullable(),
  dropped: z.boolean(),
});
export type SaidItem = z.infer<typeof saidItemSchema>;

export const sentLetterSchema = z.object({ version: z.literal(1), items: z.array(saidItemSchema) });
export type SentLetter = z.infer<typeof sentLetterSchema>;

/** What a teacher changed of a finding, whatever became of the draft since. */
export interface FindingEdit extends Omit<SaidItem, 'original'> {
  /** Key of the finding that it hangs on. */
  readonly key: string;
}

/** A draft with its edits. Edits of findings that are no longer told wait until they are told again. */
export function withEdits(draft: readonly SaidItem['original'][], edits: readonly FindingEdit[]): SaidItem[] {
  const byKey = new Map(edits.map((e) => [e.key, e]));
  return draft.map((original) => {
    const edit = byKey.get(original.key);
    return {
      original,
      say: edit?.say ?? null,
      action: edit?.action ?? null,
      dropped: edit?.dropped ?? false,
    };
  });
}

/** What a letter begins with, by what was decided. */
export const VERDICT_WORDS = { pass: 'Passed.', again: 'Once more, please.' } as const;

/** The parts of a letter: what works, what to do first of all, what after it, and what can wait. */
export interface LetterParts<T> {
  readonly works: readonly T[];
  readonly first: T | null;
  readonly next: readonly T[];
  readonly later: readonly T[];
}

/** Puts what is said in the order in which it is read. */
export function letterParts<T>(items: readonly T[], kindOf: (item: T) => FindingKind): LetterParts<T> {
  const [first = null, ...others] = items.filter((i) => kindOf(i) === 'fix');
  const shown = HEADLINES - 1;
  return {
    works: items.filter((i) => kindOf(i) === 'works'),
    ...{ first, next: others.slice(0, shown), later: others.slice(shown) },
  };
}
