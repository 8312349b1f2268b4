/** What was said when a critique was sent: its findings as they were then, each with the teacher's edit. It never changes. */
import { z } from 'zod';
import { findingSchema } from './finding';

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
