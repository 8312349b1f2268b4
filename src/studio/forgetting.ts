/**
 * Deleted for good: a database leaves the bytes of deleted rows in its files until it needs their room. Whoever deletes a person's
 * things marks it in the same transaction; a little later they go from the files too, whatever was killed in between.
 */
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { settings } from '@/data/schema/tables';
import type { Settings } from '@/data/settings';
import { and, eq } from 'drizzle-orm';
import type { House } from './house';

const MARK = 'to-forget';

export async function markToForget(tx: Transaction): Promise<void> {
  const value = newId();
  await tx.insert(settings).values({ key: MARK, value }).onConflictDoUpdate({ target: settings.key, set: { value } });
}

/** Takes what was deleted since the last time out of the database's own files; returns whether there was anything. */
export async function forgetWhatWent(house: House): Promise<boolean> {
  const [mark] = await house.db.select().from(settings).where(eq(settings.key, MARK));
  if (!mark) return false;
  await house.forget();
  // What was deleted meanwhile has a mark of its own.
  await house.db.delete(settings).where(and(eq(settings.key, MARK), eq(settings.value, mark.value)));
  return true;
}

/** How long copies keep what was deleted here: a sentence for whoever deletes it. */
export function keptInCopies({ databaseUrl, backupDays }: Pick<Settings, 'databaseUrl' | 'backupDays'>): string {
  if (backupDays !== null)
    return backupDays === 0
      ? 'There are no backups that would keep them.'
      : `Backups of the studio keep them for ${backupDays} days more.`;
  return databaseUrl
    ? 'Backups of the studio’s server keep them until they are replaced: whoever looks after it knows when.'
    : 'Within a minute they are gone from the studio’s own files too. A copy that somebody made of them keeps what it has.';
}
