/** Corrections that a teacher draws over a student's picture: kept with every stroke, in several ways beside one another. */
import { layersSchema } from '@/core/correction/layer';
import { corrections, critiques } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Actor, attemptFor, NotFound, type Teacher } from '../access/actor';
import { isSame } from '../access/meanwhile';
import type { House } from '../house';
import type { KeptCorrection } from '../views/corrections';
import { nameSchema, textSchema } from '../words';
import {
  addCorrection,
  correctionToWrite,
  drawnOf,
  enclose,
  enclosedOf,
  type NewCorrection,
  pictureOf,
  storedLayers,
} from './correction-rows';
import { openCritique } from './critiquing';
import { noteCorrected, noteDeed } from './noting';

const givenSchema = z.object({ id: z.string().max(60).nullable(), name: nameSchema, layers: layersSchema });

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
  const own = await openCritique(house, teacher, attemptId);
  const { id, name, layers } = givenSchema.parse(given);
  const pictureHash = pictureOf(own.attempt);
  return house.db.transaction(async (tx) => {
    const drawn = { name, layers: storedLayers(layers) };
    const begin = async (row: NewCorrection) => {
      const begun = await addCorrection(tx, attemptId, row);
      await noteCorrected(tx, teacher, own, { did: 'corrected', id: begun, before: null, after: drawnOf(row) });
      return begun;
    };
    if (id === null) return { id: await begin({ ...drawn, pictureHash }), written: 0, isApart: false };
    const standing = await correctionToWrite(tx, attemptId, id);
    if (isSame(drawnOf(standing), drawn)) return { id, written: standing.written, isApart: false };
    if (standing.written !== seen) {
      const apart = { name: nameSchema.parse(`${name.slice(0, 60)} (kept beside)`), layers: drawn.layers };
      return { id: await begin({ ...apart, pictureHash: standing.pictureHash }), written: 0, isApart: true };
    }
    const written = standing.written + 1;
    await tx
      .update(corrections)
      .set({ ...drawn, written })
      .where(eq(corrections.id, id));
    await noteCorrected(tx, teacher, own, { did: 'corrected', id, before: drawnOf(standing), after: drawn });
    return { id, written, isApart: false };
  });
}

/** Says which one goes with the letter; null for none of them. One that was set aside is taken back for it. */
export async function sendWithLetter(
  house: House,
  teacher: Teacher,
  attemptId: string,
  id: string | null,
): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const chosen = id === null ? null : await correctionToWrite(tx, attemptId, id);
    const before = await enclosedOf(tx, attemptId);
    if (before === id) return;
    await enclose(tx, attemptId, id);
    const aside = chosen?.setAside ?? null;
    await noteDeed(tx, teacher, own, { did: 'enclosed', before, after: id, aside });
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
  const own = await openCritique(house, teacher, attemptId);
  const setAside = textSchema.parse(why);
  await house.db.transaction(async (tx) => {
    const { setAside: before, withLetter } = await correctionToWrite(tx, attemptId, id);
    await tx.update(corrections).set({ setAside, withLetter: false }).where(eq(corrections.id, id));
    await noteDeed(tx, teacher, own, { did: 'set-aside', id, before, after: setAside, withLetter });
  });
}

export async function removeCorrection(house: House, teacher: Teacher, attemptId: string, id: string): Promise<void> {
  const own = await openCritique(house, teacher, attemptId);
  await house.db.transaction(async (tx) => {
    const gone = await correctionToWrite(tx, attemptId, id);
    await tx.delete(corrections).where(eq(corrections.id, id));
    const { setAside, withLetter } = gone;
    await noteDeed(tx, teacher, own, { did: 'uncorrected', id, was: { ...drawnOf(gone), setAside, withLetter } });
  });
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
