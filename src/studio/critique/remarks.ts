/** A teacher's own remarks, which no rule makes: kept in a list, found by a key, and said of an attempt. */
import { FINDING_KINDS } from '@/core/critique/finding';
import { BadRemarks, formatRemarks, parseRemarks, type Remark } from '@/core/formats/remarks-csv';
import { newId } from '@/data/schema/ids';
import { ownFindings, remarks } from '@/data/schema/tables';
import { and, asc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { letterTextSchema, nameSchema, textSchema } from '../words';
import { openCritique } from './critiquing';
import { noteDeed } from './noting';

/** So many are kept of one teacher, and read from a file at once. */
const MOST = 2000;

const kindSchema = z.enum(FINDING_KINDS);
const remarkSchema = z.object({
  key: nameSchema,
  kind: kindSchema,
  say: textSchema.refine((s) => s !== '', 'Say what is seen.'),
  action: textSchema,
});
const saidSchema = remarkSchema
  .omit({ key: true })
  .extend({ say: letterTextSchema.refine((s) => s !== '', 'Say what is seen.'), action: letterTextSchema });

type KeptRemark = Remark & { readonly id: string };

export function remarksOf(house: House, teacher: Teacher): Promise<KeptRemark[]> {
  const { id, key, kind, say, action } = remarks;
  return house.db
    .select({ id, key, kind, say, action })
    .from(remarks)
    .where(eq(remarks.teacherId, teacher.userId))
    .orderBy(asc(remarks.key));
}

/** Keeps a remark under its key: one that is there already says this from then on. */
export async function keepRemark(house: House, teacher: Teacher, given: unknown): Promise<void> {
  await keepAll(house, teacher, [remarkSchema.parse(given)]);
}

async function keepAll(house: House, teacher: Teacher, all: readonly Remark[]): Promise<void> {
  await house.db.transaction(async (tx) => {
    for (const { key, kind, say, action } of all)
      await tx
        .insert(remarks)
        .values({ id: newId(), teacherId: teacher.userId, key, kind, say, action })
        .onConflictDoUpdate({ target: [remarks.teacherId, remarks.key], set: { kind, say, action } });
    const kept = await tx.$count(remarks, eq(remarks.teacherId, teacher.userId));
    if (kept > MOST) throw new Refused(`There is room for ${MOST} remarks. Remove some that you no longer use.`);
  });
}

export async function removeRemark(house: House, teacher: Teacher, id: string): Promise<void> {
  const gone = await house.db
    .delete(remarks)
    .where(and(eq(remarks.id, id), eq(remarks.teacherId, teacher.userId)))
    .returning({ id: remarks.id });
  if (gone.length === 0) throw new NotFound();
}

export const remarksCsv = async (house: House, teacher: Teacher): Promise<string> =>
  formatRemarks(await remarksOf(house, teacher));

/** Takes in a whole file or nothing of it, and says how many it held. Remarks that it does not name stay. Throws Refused with the line. */
export async function importRemarks(house: House, teacher: Teacher, csv: string): Promise<number> {
  try {
    const all = parseRemarks(csv).map((remark, i) => {
      const read = remarkSchema.safeParse(remark);
      if (!read.success) throw new BadRemarks(`Line ${i + 2}: ${read.error.issues[0]?.message ?? 'not understood'}`);
      return read.data;
    });
    await keepAll(house, teacher, all);
    return all.length;
  } catch (error) {
    if (error instanceof BadRemarks) throw new Refused(error.message);
    throw error;
  }
}

/** Says something of an attempt that no rule has said. Throws Refused where its critique was sent. */
export async function sayOwn(house: House, teacher: Teacher, attemptId: string, given: unknown): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  const { kind, say, action } = saidSchema.parse(given);
  const id = newId();
  await house.db.transaction(async (tx) => {
    await tx.insert(ownFindings).values({ id, attemptId, kind, say, action });
    await noteDeed(tx, teacher, own, { did: 'said', id });
  });
}

/** Takes back what was said so. Throws Refused where its critique was sent, NotFound where it is gone. */
export async function unsayOwn(house: House, teacher: Teacher, attemptId: string, id: string): Promise<void> {
  await openCritique(house, teacher, attemptId);
  const gone = await house.db
    .delete(ownFindings)
    .where(and(eq(ownFindings.id, id), eq(ownFindings.attemptId, attemptId)))
    .returning({ id: ownFindings.id });
  if (gone.length === 0) throw new NotFound();
}
