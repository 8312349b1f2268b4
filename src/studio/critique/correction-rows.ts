/** Corrections as rows: one of them held, one more, and which of them goes with the letter. */
import { CORRECTION_VERSION, type Layer } from '@/core/correction/layer';
import type { DrawnCorrection } from '@/core/critique/deed';
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { type attempts, corrections } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { NotFound, Refused } from '../access/actor';

type CorrectionRow = typeof corrections.$inferSelect;
export type NewCorrection = Pick<CorrectionRow, 'name' | 'layers' | 'pictureHash'>;

/** Ways of one correction; nobody compares more. */
const MOST = 12;

/** What of a row a teacher can take back. */
export const drawnOf = ({ name, layers }: DrawnCorrection): DrawnCorrection => ({ name, layers });

/** Layers as they stand in the database. */
export const storedLayers = (layers: readonly Layer[]): CorrectionRow['layers'] => ({
  version: CORRECTION_VERSION,
  layers: [...layers],
});

/** One more way of a correction; returns its id. Throws Refused where there are many already. */
export async function addCorrection(tx: Transaction, attemptId: string, row: NewCorrection) {
  const others = await tx.select().from(corrections).where(eq(corrections.attemptId, attemptId));
  if (others.length >= MOST)
    throw new Refused(`There are ${MOST} ways of this correction. Remove one before you begin another.`);
  const id = newId();
  // The first one goes with the letter unless somebody says otherwise.
  const withLetter = others.every((o) => !o.withLetter && o.setAside !== null);
  await tx.insert(corrections).values({ id, attemptId, ...row, withLetter });
  return id;
}

/** The picture that a correction is drawn on. Throws Refused where there is none yet. */
export function pictureOf({ stripHash, previewHash }: typeof attempts.$inferSelect): string {
  const pictureHash = stripHash ?? previewHash;
  if (pictureHash === null) throw new Refused('There is no picture yet that could be corrected. Wait a moment.');
  return pictureHash;
}

/** A correction of an attempt, held for whoever writes it. Throws NotFound where it is not there. */
export async function correctionToWrite(tx: Transaction, attemptId: string, id: string): Promise<CorrectionRow> {
  const [row] = await tx
    .select()
    .from(corrections)
    .where(and(eq(corrections.id, id), eq(corrections.attemptId, attemptId)))
    .for('update');
  if (!row) throw new NotFound();
  return row;
}

/** The correction that goes with the letter; null where none does. */
export async function enclosedOf(tx: Transaction, attemptId: string): Promise<string | null> {
  const [row] = await tx
    .select({ id: corrections.id })
    .from(corrections)
    .where(and(eq(corrections.attemptId, attemptId), eq(corrections.withLetter, true)));
  return row?.id ?? null;
}

/** Lets one go with the letter, and no other; null for none. One that was set aside is taken in for it. */
export async function enclose(tx: Transaction, attemptId: string, id: string | null): Promise<void> {
  await tx.update(corrections).set({ withLetter: false }).where(eq(corrections.attemptId, attemptId));
  if (id !== null) await tx.update(corrections).set({ withLetter: true, setAside: null }).where(eq(corrections.id, id));
}
