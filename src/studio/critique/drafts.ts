/** The draft of a critique, written anew when something is measured or judged again. */
import type { Finding } from '@/core/critique/finding';
import { critiqueItems } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import type { House } from '../house';

type Transaction = Parameters<Parameters<House['db']['transaction']>[0]>[0];

/** What a teacher edited or dropped stays with the finding that says the same of the same place. */
const sameSaid = (a: Finding, b: Finding) => a.code === b.code && JSON.stringify(a.where) === JSON.stringify(b.where);

export async function redraft(tx: Transaction, attemptId: string, findings: readonly Finding[]): Promise<void> {
  const before = await tx.select().from(critiqueItems).where(eq(critiqueItems.attemptId, attemptId));
  await tx.delete(critiqueItems).where(eq(critiqueItems.attemptId, attemptId));
  if (findings.length === 0) return;
  await tx.insert(critiqueItems).values(
    findings.map((original, i) => {
      const kept = before.find((b) => sameSaid(b.original, original));
      return {
        attemptId,
        position: i + 1,
        original,
        say: kept?.say ?? null,
        action: kept?.action ?? null,
        dropped: kept?.dropped ?? false,
      };
    }),
  );
}
