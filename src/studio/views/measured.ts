/** What was measured of attempts, whoever looks. */
import type { NotanResult } from '@/core/notan/result';
import type { PaintingResult } from '@/core/painting/result';
import type { ScaleResult } from '@/core/scale/result';
import { measurements } from '@/data/schema/tables';
import { inArray } from 'drizzle-orm';
import type { Reads } from '../house';

type Against = (typeof measurements.$inferSelect)['against'];

/** A result, and what it was measured against: only of a painting is there anything to measure against. */
export type Measured =
  | { readonly kind: 'scale'; readonly result: ScaleResult }
  | { readonly kind: 'notan'; readonly result: NotanResult; readonly against: Against }
  | { readonly kind: 'painting'; readonly result: PaintingResult; readonly against: Against };

function measuredOf({ result, against }: typeof measurements.$inferSelect): Measured {
  switch (result.kind) {
    case 'scale':
      return { kind: 'scale', result };
    case 'notan':
      return { kind: 'notan', result, against };
    case 'painting':
      return { kind: 'painting', result, against };
  }
}

/** What was measured of attempts, by their ids: one query for all. */
export async function measuredOfAll(house: Reads, ids: readonly string[]): Promise<ReadonlyMap<string, Measured>> {
  if (ids.length === 0) return new Map();
  const rows = await house.db
    .select()
    .from(measurements)
    .where(inArray(measurements.attemptId, [...ids]));
  return new Map(rows.map((row) => [row.attemptId, measuredOf(row)]));
}

export async function measuredOfOne(house: Reads, attemptId: string): Promise<Measured | null> {
  return (await measuredOfAll(house, [attemptId])).get(attemptId) ?? null;
}
