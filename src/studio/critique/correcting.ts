/** Corrections that a teacher draws over a student's picture: kept with every stroke, in several ways beside one another. */
import { CORRECTION_VERSION, type Layer, layersSchema } from '@/core/correction/layer';
import type { Transaction } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { corrections, critiques } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Actor, attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import { isSame } from '../access/meanwhile';
import type { House } from '../house';
import type { KeptCorrection } from '../views/corrections';
import { nameSchema, textSchema } from '../words';
import { openCritique } from './critiquing';

type Row = typeof corrections.$inferSelect;

/** Ways of one correction; nobody compares more. */
const MOST = 12;
const givenSchema = z.object({ id: z.string().max(60).nullable(), name: nameSchema, layers: layersSchema });

const stored = (layers: readonly Layer[]): Row['layers'] => ({ version: CORRECTION_VERSION, layers: [...layers] });

async function add(tx: Transaction, attemptId: string, row: Pick<Row, 'name' | 'layers' | 'pictureHash'>) {
  const others = await tx.select().from(corrections).where(eq(corrections.attemptId, attemptId));
  if (others.length >= MOST)
    throw new Refused(`There are ${MOST} ways of this correction. Remove one before you begin another.`);
  const id = newId();
  // The first one goes with the letter unless somebody says otherwise.
  const withLetter = others.every((o) => !o.withLetter && o.setAside !== null);
  await tx.insert(corrections).values({ id, attemptId, ...row, withLetter });
  return id;
}

/**
 * Keeps the layers of a correction. Where somebody else changed it since it was seen, it is kept beside theirs: both stand, and
 * nothing is lost.
 *
 * @param seen - how often it had been written when it was looked at.
 * @throws Refused where the critique was sent, or where there is no picture; ZodError where a layer is not as it should be.
 */
export async function keepCorrection(
  house: House,
  teacher: Teacher,
  attemptId: string,
  given: unknown,
  seen: number,
): Promise<KeptCorrection> {
  const { attempt } = await openCritique(house, teacher, attemptId);
  const { id, name, layers } = givenSchema.parse(given);
  const pictureHash = attempt.stripHash ?? attempt.previewHash;
  if (pictureHash === null) throw new Refused('There is no picture yet that could be corrected. Wait a moment.');
  return house.db.transaction(async (tx) => {
    if (id === null) {
      const own = await add(tx, attemptId, { name, layers: stored(layers), pictureHash });
      return { id: own, written: 0, isApart: false };
    }
    const standing = await one(tx, attemptId, id);
    if (isSame(standing.layers.layers, layers) && standing.name === name)
      return { id, written: standing.written, isApart: false };
    if (standing.written !== seen) {
      const apart = { name: nameSchema.parse(`${name.slice(0, 60)} (kept beside)`), layers: stored(layers) };
      return {
        id: await add(tx, attemptId, { ...apart, pictureHash: standing.pictureHash }),
        written: 0,
        isApart: true,
      };
    }
    const written = standing.written + 1;
    await tx
      .update(corrections)
      .set({ name, layers: stored(layers), written })
      .where(eq(corrections.id, id));
    return { id, written, isApart: false };
  });
}

/** A correction of an attempt, held for whoever writes it. Throws NotFound where it is not there. */
async function one(tx: Transaction, attemptId: string, id: string): Promise<Row> {
  const [row] = await tx
    .select()
    .from(corrections)
    .where(and(eq(corrections.id, id), eq(corrections.attemptId, attemptId)))
    .for('update');
  if (!row) throw new NotFound();
  return row;
}

/** Says which one goes with the letter; null for none of them. One that was set aside is taken back for it. */
export async function sendWithLetter(
  house: House,
  teacher: Teacher,
  attemptId: string,
  id: string | null,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    if (id !== null) await one(tx, attemptId, id);
    await tx.update(corrections).set({ withLetter: false }).where(eq(corrections.attemptId, attemptId));
    if (id !== null)
      await tx.update(corrections).set({ withLetter: true, setAside: null }).where(eq(corrections.id, id));
  });
}

/** Sets one aside, with a word why. It stays to be looked at, and does not go with the letter. */
export async function setCorrectionAside(
  house: House,
  teacher: Teacher,
  attemptId: string,
  id: string,
  why: string,
): Promise<void> {
  await openCritique(house, teacher, attemptId);
  const setAside = textSchema.parse(why);
  await house.db.transaction(async (tx) => {
    await one(tx, attemptId, id);
    await tx.update(corrections).set({ setAside, withLetter: false }).where(eq(corrections.id, id));
  });
}

export async function removeCorrection(house: House, teacher: Teacher, attemptId: string, id: string): Promise<void> {
  await openCritique(house, teacher, attemptId);
  const gone = await house.db
    .delete(corrections)
    .where(and(eq(corrections.id, id), eq(corrections.attemptId, attemptId)))
    .returning({ id: corrections.id });
  if (gone.length === 0) throw new NotFound();
}

/** What a correction can be had as: what it was drawn on, what came of it, and both to take along. */
export const CORRECTION_FILES = ['before', 'picture', 'png', 'layers'] as const;
export type CorrectionFile = (typeof CORRECTION_FILES)[number];

/** A student sees the one that came with the letter, and nothing to take along. */
const FOR_STUDENTS: readonly CorrectionFile[] = ['before', 'picture'];

/** Bytes of a correction. Throws NotFound where whoever asks may not see it. */
export async function correctionFile(
  house: House,
  actor: Actor,
  id: string,
  what: CorrectionFile,
): Promise<{ readonly bytes: Uint8Array; readonly student: string }> {
  const [row] = await house.db
    .select({ correction: corrections, sentAt: critiques.sentAt })
    .from(corrections)
    .innerJoin(critiques, eq(corrections.attemptId, critiques.attemptId))
    .where(eq(corrections.id, id));
  if (!row) throw new NotFound();
  const { correction, sentAt } = row;
  const own = await attemptFor(house, actor, correction.attemptId);
  if (actor.role === 'student' && !(correction.withLetter && sentAt && FOR_STUDENTS.includes(what)))
    throw new NotFound();
  const student = own.student.name;
  if (what === 'before') return { bytes: await house.files.read(correction.pictureHash), student };
  const file = await house.files.local(correction.pictureHash);
  const { layers } = correction.layers;
  return { bytes: await house.pool.run({ task: 'correction', file, layers, as: what }), student };
}
