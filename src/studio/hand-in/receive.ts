/** Takes in a photograph: checked, stripped of where it was taken, kept, and sent to be measured. */
import type { StoredTarget } from '@/core/capture/stored-target';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { handInStagesOf } from '@/core/kinds/table';
import { stripMetadata } from '@/core/formats/strip-metadata';
import { newId } from '@/data/schema/ids';
import { attempts, files, handIns } from '@/data/schema/tables';
import { type Inspected, inspectPicture, UnusablePicture } from '@/workers/decoding/decode';
import { keepsAsPng } from '@/workers/tasks/lossless';
import { and, eq } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { type Actor, attemptFor, exerciseOfMine, NoRoom, Refused, type Student } from '../access/actor';
import type { House } from '../house';
import { removeUnused } from '../unused-files';
import { textSchema } from '../words';
import { nextStage } from './stages';
import { changeAttempt, holdHandIn, waitForTeacher } from './states';

export const MAX_UPLOAD_BYTES = 40 * 1024 * 1024;
const PASSED = 'This exercise is passed: there is nothing more to hand in.';

export const hasRoom = async (house: House): Promise<boolean> => (await house.files.free()) >= house.settings.minFree;

/** Refuses uploads while the disk is nearly full. Throws NoRoom. */
export async function checkRoom(house: House): Promise<void> {
  if (!(await hasRoom(house))) throw new NoRoom();
}

/** Keeps bytes in the store and their row; the same bytes are kept once, and count as new: nobody takes them away meanwhile. */
export async function keepFile(house: House, bytes: Uint8Array, type: string): Promise<string> {
  const hash = await house.files.put(bytes);
  await house.db
    .insert(files)
    .values({ hash, bytes: bytes.length, type })
    .onConflictDoUpdate({ target: files.hash, set: { createdAt: new Date() } });
  // Its row may have been taken away just before, and the file after it.
  if (!(await house.files.has(hash))) await house.files.put(bytes);
  return hash;
}

/** The picture with nothing in it of where and by whom it was taken; its codes are the same. */
async function withoutMetadata(
  house: House,
  file: string,
  meta: Inspected,
): Promise<{ bytes: Uint8Array; type: string }> {
  if (keepsAsPng(meta)) return { bytes: await house.pool.run({ task: 'lossless', file }), type: 'image/png' };
  try {
    return stripMetadata(await readFile(file));
  } catch {
    throw new UnusablePicture('This picture is damaged or not complete: send it once more.');
  }
}

/** Checks, strips and keeps a photograph. Throws UnusablePicture with words for whoever sent it. */
export async function keepPhoto(house: House, file: string): Promise<{ hash: string; orientation: number }> {
  const meta = await inspectPicture(file);
  const { bytes, type } = await withoutMetadata(house, file, meta);
  return { hash: await keepFile(house, bytes, type), orientation: meta.orientation ?? 1 };
}

/** The stage of a hand-in as it was said, or else the first that none of the tries shows. Throws Refused on one that there is not. */
function stageOf(
  terms: ExerciseTerms,
  said: string | null,
  tries: readonly Pick<typeof attempts.$inferSelect, 'stage' | 'state'>[],
): string | null {
  const stages = handInStagesOf(terms);
  if (stages.length === 0) return null;
  if (said !== null) {
    if (!stages.some((s) => s.id === said))
      throw new Refused('This exercise has no such stage: choose one of its own.');
    return said;
  }
  return nextStage(stages, tries)?.id ?? null;
}

export interface HandedIn {
  readonly exerciseId: string;
  readonly studentId: string;
  readonly terms: ExerciseTerms;
  readonly photo: { readonly hash: string; readonly orientation: number };
  readonly target: StoredTarget | null;
  /** Of what is built up in stages: which of them it shows; the next one unless said. */
  readonly stage?: string | null;
}

/**
 * Records a kept photograph as an attempt and queues it; the same one again returns the attempt there is, not fresh. Of one that
 * is refused nothing stays.
 */
export async function recordAttempt(house: House, handedIn: HandedIn): Promise<{ attemptId: string; fresh: boolean }> {
  try {
    return await record(house, handedIn);
  } catch (error) {
    await removeUnused(house, handedIn.photo.hash);
    throw error;
  }
}

async function record(
  house: House,
  { exerciseId, studentId, terms, photo, target, stage = null }: HandedIn,
): Promise<{ attemptId: string; fresh: boolean }> {
  const { id, fresh } = await house.db.transaction(async (tx) => {
    const own = and(eq(handIns.exerciseId, exerciseId), eq(handIns.studentId, studentId));
    await tx.insert(handIns).values({ id: newId(), exerciseId, studentId }).onConflictDoNothing();
    const [handIn] = await tx.select().from(handIns).where(own).for('update');
    if (!handIn) throw new Error('The hand-in that was just made is not there.');
    const [same] = await tx
      .select({ id: attempts.id })
      .from(attempts)
      .where(and(eq(attempts.handInId, handIn.id), eq(attempts.photoHash, photo.hash)));
    if (same) return { id: same.id, fresh: false };
    if (handIn.state === 'passed') throw new Refused(PASSED);
    const tries = await tx.select().from(attempts).where(eq(attempts.handInId, handIn.id));
    const made = newId();
    await tx.insert(attempts).values({
      id: made,
      handInId: handIn.id,
      state: 'queued',
      photoHash: photo.hash,
      orientation: photo.orientation,
      terms,
      target,
      stage: stageOf(terms, stage, tries),
    });
    await house.queue.send({ attemptId: made }, tx);
    return { id: made, fresh: true };
  });
  if (fresh) house.live.tell(id, { state: 'queued', stage: null });
  return { attemptId: id, fresh };
}

/**
 * Takes a student's photograph in. The same file again returns the attempt there is. Throws UnusablePicture or
 * Refused with words for the student.
 */
export async function receivePhoto(
  house: House,
  student: Student,
  exerciseId: string,
  file: string,
  target: StoredTarget | null = null,
  stage: string | null = null,
): Promise<{ attemptId: string }> {
  const { exercise, me } = await exerciseOfMine(house, student, exerciseId);
  await checkRoom(house);
  const photo = await keepPhoto(house, file);
  const { attemptId } = await recordAttempt(house, {
    exerciseId,
    studentId: me.studentId,
    terms: exercise.terms,
    photo,
    target,
    stage,
  });
  return { attemptId };
}

/** Measures a failed or cancelled attempt once more. */
export async function tryAgain(house: House, actor: Actor, attemptId: string): Promise<void> {
  const { attempt } = await attemptFor(house, actor, attemptId);
  await house.db.transaction(async (tx) => {
    if ((await holdHandIn(tx, attempt.handInId)) === 'passed') throw new Refused(PASSED);
    if (!(await changeAttempt(tx, attemptId, 'tryAgain', { trouble: null })))
      throw new Refused('This picture is not waiting to be tried again.');
    await house.queue.send({ attemptId }, tx);
  });
  house.live.tell(attemptId, { state: 'queued', stage: null });
}

/** Stops a measurement that waits or runs; whoever measures it hears of it and ends its thread. */
export async function cancel(house: House, actor: Actor, attemptId: string): Promise<void> {
  await attemptFor(house, actor, attemptId);
  if (await changeAttempt(house.db, attemptId, 'cancel'))
    house.live.tell(attemptId, { state: 'cancelled', stage: null });
}

/** Sends a refused photograph on all the same, with a word to the teacher. */
export async function lookAnyway(house: House, student: Student, attemptId: string, word: string): Promise<void> {
  const { attempt } = await attemptFor(house, student, attemptId);
  const plea = textSchema.parse(word) || 'Please look at it anyway.';
  await house.db.transaction(async (tx) => {
    if ((await holdHandIn(tx, attempt.handInId)) === 'passed') throw new Refused(PASSED);
    const [sent] = await tx
      .update(attempts)
      .set({ plea })
      .where(and(eq(attempts.id, attemptId), eq(attempts.state, 'refused')))
      .returning({ id: attempts.id });
    if (!sent) throw new Refused('This picture is not one that was refused.');
    await waitForTeacher(tx, attempt.handInId);
  });
}
