/** What stands of a teacher's changes to a draft, and how often it was written. */
import { critiques, findingEdits } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { NotFound } from '../access/actor';
import type { Reads } from '../house';

/** What the teacher made of a finding, as it stands. */
export type StandingEdit = Pick<typeof findingEdits.$inferSelect, 'say' | 'action' | 'dropped'>;

/** A finding that nobody has changed. */
const UNTOUCHED: StandingEdit & { readonly written: number } = { say: null, action: null, dropped: false, written: 0 };

export async function standingEdit(
  { db }: Reads,
  attemptId: string,
  key: string,
): Promise<{ readonly edit: StandingEdit; readonly written: number }> {
  const [row] = await db
    .select()
    .from(findingEdits)
    .where(and(eq(findingEdits.attemptId, attemptId), eq(findingEdits.key, key)));
  const { say, action, dropped, written } = row ?? UNTOUCHED;
  return { edit: { say, action, dropped }, written };
}

/** The teacher's own word beside the findings. Throws NotFound where there is no critique. */
export async function standingWord({ db }: Reads, attemptId: string) {
  const [row] = await db
    .select({ word: critiques.word, written: critiques.written })
    .from(critiques)
    .where(eq(critiques.attemptId, attemptId));
  if (!row) throw new NotFound();
  return row;
}
