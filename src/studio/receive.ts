/** Takes in a photograph: checked, stripped of where it was taken, kept, and sent to be measured. */
import { readFile } from 'node:fs/promises';
import { and, eq } from 'drizzle-orm';
import { stripMetadata } from '@/core/formats/strip-metadata';
import { newId } from '@/data/ids';
import { attempts, files, handIns } from '@/data/schema';
import { type Inspected, inspectPicture, UnusablePicture } from '@/workers/decode';
import { keepsAsPng } from '@/workers/lossless';
import { type Actor, attemptFor, exerciseFor, Refused, type Student } from './actor';
import type { House } from './house';
import { textSchema } from './words';

export const MAX_UPLOAD_BYTES = 40 * 1024 * 1024;

/** Refuses uploads while the disk is nearly full. */
export async function checkRoom(house: House): Promise<void> {
  if ((await house.files.free()) < house.settings.minFree)
    throw new Refused('There is too little room on the studio’s disk to take pictures now. Nothing was lost; tell your teacher and try again later.');
}

/** Keeps bytes in the store and their row; the same bytes are kept once. */
export async function keepFile(house: House, bytes: Uint8Array, type: string): Promise<string> {
  const hash = await house.files.put(bytes);
  await house.db.insert(files).values({ hash, bytes: bytes.length, type }).onConflictDoNothing();
  return hash;
}

/** The picture with nothing in it of where and by whom it was taken; its codes are the same. */
async function withoutMetadata(house: House, file: string, meta: Inspected): Promise<{ bytes: Uint8Array; type: string }> {
  if (keepsAsPng(meta)) return { bytes: await house.pool.run({ task: 'lossless', file }), type: 'image/png' };
  try {
    return stripMetadata(await readFile(file));
  } catch {
    throw new UnusablePicture('This picture is damaged or not complete: send it once more.');
  }
}

/**
 * Records a photograph as an attempt and queues it. The same file again returns the attempt there is.
 * Throws UnusablePicture or Refused with words for the student.
 */
export async function receivePhoto(house: House, student: Student, exerciseId: string, file: string): Promise<{ attemptId: string }> {
  const { exercise } = await exerciseFor(house, student, exerciseId);
  await checkRoom(house);
  const meta = await inspectPicture(file);
  const stripped = await withoutMetadata(house, file, meta);
  const photoHash = await keepFile(house, stripped.bytes, stripped.type);
  const attemptId = await house.db.transaction(async (tx) => {
    const own = and(eq(handIns.exerciseId, exerciseId), eq(handIns.studentId, student.studentId));
    await tx.insert(handIns).values({ id: newId(), exerciseId, studentId: student.studentId }).onConflictDoNothing();
    const [handIn] = await tx.select().from(handIns).where(own).for('update');
    if (!handIn) throw new Error('The hand-in that was just made is not there.');
    const [same] = await tx
      .select({ id: attempts.id })
      .from(attempts)
      .where(and(eq(attempts.handInId, handIn.id), eq(attempts.photoHash, photoHash)));
    if (same) return { id: same.id, fresh: false };
    if (handIn.state === 'passed') throw new Refused('This exercise is passed: there is nothing more to hand in.');
    const id = newId();
    await tx.insert(attempts).values({ id, handInId: handIn.id, state: 'queued', photoHash, orientation: meta.orientation ?? 1, terms: exercise.terms });
    return { id, fresh: true };
  });
  if (attemptId.fresh) {
    await house.queue.send({ attemptId: attemptId.id });
    house.live.tell(attemptId.id, { state: 'queued', stage: null });
  }
  return { attemptId: attemptId.id };
}

/** Measures a failed or cancelled attempt once more. */
export async function tryAgain(house: House, actor: Actor, attemptId: string): Promise<void> {
  const { attempt } = await attemptFor(house, actor, attemptId);
  if (attempt.state !== 'failed' && attempt.state !== 'cancelled') throw new Refused('This picture is not waiting to be tried again.');
  await house.db.update(attempts).set({ state: 'queued', trouble: null, changedAt: new Date() }).where(eq(attempts.id, attemptId));
  await house.queue.send({ attemptId });
  house.live.tell(attemptId, { state: 'queued', stage: null });
}

/** Stops a measurement that waits or runs; its thread is ended. */
export async function cancel(house: House, actor: Actor, attemptId: string): Promise<void> {
  const { attempt } = await attemptFor(house, actor, attemptId);
  if (attempt.state !== 'queued' && attempt.state !== 'measuring') return;
  await house.db.update(attempts).set({ state: 'cancelled', changedAt: new Date() }).where(eq(attempts.id, attemptId));
  house.live.running.get(attemptId)?.abort();
  house.live.tell(attemptId, { state: 'cancelled', stage: null });
}

/** Sends a refused photograph on all the same, with a word to the teacher. */
export async function lookAnyway(house: House, student: Student, attemptId: string, word: string): Promise<void> {
  const { attempt } = await attemptFor(house, student, attemptId);
  if (attempt.state !== 'refused') throw new Refused('This picture is not one that was refused.');
  const plea = textSchema.parse(word) || 'Please look at it anyway.';
  await house.db.transaction(async (tx) => {
    await tx.update(attempts).set({ plea }).where(eq(attempts.id, attemptId));
    await tx.update(handIns).set({ state: 'waiting' }).where(eq(handIns.id, attempt.handInId));
  });
}
