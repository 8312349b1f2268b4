/** Corrections of attempts as they are looked at. */
import type { Layer } from '@/core/correction/layer';
import { attempts, corrections } from '@/data/schema/tables';
import { asc, inArray } from 'drizzle-orm';
import type { Reads } from '../house';

export interface CorrectionView {
  readonly id: string;
  readonly name: string;
  readonly layers: readonly Layer[];
  readonly written: number;
  /** Why it was set aside; null of one that was not. */
  readonly setAside: string | null;
  readonly withLetter: boolean;
  /** Whether it was drawn on a picture of the painting from before it was measured anew. */
  readonly isOfBefore: boolean;
}

/** Where a correction was kept: as the one that was asked for, or beside it, because somebody else changed that meanwhile. */
export interface KeptCorrection {
  readonly id: string;
  readonly written: number;
  readonly isApart: boolean;
}

type Attempt = Pick<typeof attempts.$inferSelect, 'id' | 'stripHash' | 'previewHash'>;

/** Corrections of some attempts, by the attempt's id, in the order in which they were begun: one query. */
export async function correctionsOfAll(
  house: Reads,
  rows: readonly Attempt[],
): Promise<(attemptId: string) => readonly CorrectionView[]> {
  const ids = rows.map((r) => r.id);
  const all = await house.db
    .select()
    .from(corrections)
    .where(inArray(corrections.attemptId, ids))
    .orderBy(asc(corrections.createdAt), asc(corrections.id));
  const pictures = new Map(rows.map((r) => [r.id, r.stripHash ?? r.previewHash]));
  return (attemptId) =>
    all
      .filter((c) => c.attemptId === attemptId)
      .map(({ id, name, layers, written, setAside, withLetter, pictureHash }) => ({
        ...{ id, name, layers: layers.layers, written, setAside, withLetter },
        isOfBefore: pictures.get(attemptId) !== pictureHash,
      }));
}
