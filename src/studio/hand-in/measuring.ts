/** Measures one attempt: what the queue's worker does, and what is taken up again after a restart. */
import { type ExerciseTerms } from '@/core/exercise/terms';
import { measuredResultSchema } from '@/core/kinds/measured-result';
import { newId } from '@/data/schema/ids';
import {
  attempts,
  classes,
  critiques,
  exercises,
  handIns,
  measurements,
  type AttemptState,
} from '@/data/schema/tables';
import { UnusablePicture } from '@/workers/decoding/decode';
import { TaskCancelled, TaskTimedOut } from '@/workers/pool';
import type { Stage } from '@/workers/tasks/measure';
import type { PicturesTask } from '@/workers/tasks/pictures';
import { and, eq, inArray, max, ne } from 'drizzle-orm';
import { knownPrint } from '../class/cards';
import type { House } from '../house';
import { measureBy } from './gather';
import { keepFile } from './receive';
import { type Measured } from './to-measure';

async function load(house: House, attemptId: string) {
  const [row] = await house.db
    .select({ attempt: attempts, handIn: handIns, exercise: exercises, class: classes })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(eq(attempts.id, attemptId));
  return row ?? null;
}

async function setState(
  house: House,
  attemptId: string,
  state: AttemptState,
  trouble: string | null = null,
): Promise<void> {
  await house.db.update(attempts).set({ state, trouble, changedAt: new Date() }).where(eq(attempts.id, attemptId));
  house.live.tell(attemptId, { state, stage: null });
}

/**
 * Keeps a result and the new state together or not at all; null is kept of kinds that are not read but
 * looked at by the teacher.
 */
async function keepResult(
  house: House,
  handInId: string,
  attemptId: string,
  given: Measured | null,
): Promise<AttemptState> {
  const result = given && measuredResultSchema.parse(given.result);
  const state: AttemptState = !result || result.capture.accepted ? 'measured' : 'refused';
  return house.db.transaction(async (tx) => {
    const [now] = await tx
      .select({ state: attempts.state, number: attempts.number })
      .from(attempts)
      .where(eq(attempts.id, attemptId))
      .for('update');
    // Cancelled while the result was on its way: the person's word counts.
    if (now?.state !== 'measuring') return now?.state ?? 'cancelled';
    await tx.delete(measurements).where(eq(measurements.attemptId, attemptId));
    if (result)
      await tx
        .insert(measurements)
        .values({ id: newId(), attemptId, version: result.version, result, against: given?.against ?? null });
    let number: number | null = null;
    if (state === 'measured') {
      const [last] = await tx
        .select({ n: max(attempts.number) })
        .from(attempts)
        .where(and(eq(attempts.handInId, handInId), ne(attempts.id, attemptId)));
      // Measured anew, a try keeps its number.
      number = now.number ?? (last?.n ?? 0) + 1;
      await tx.update(handIns).set({ state: 'waiting' }).where(eq(handIns.id, handInId));
    }
    await tx.insert(critiques).values({ attemptId }).onConflictDoNothing();
    await tx
      .update(attempts)
      .set({ state, number, trouble: null, changedAt: new Date() })
      .where(eq(attempts.id, attemptId));
    return state;
  });
}

function troubleOf(error: unknown): string {
  if (error instanceof UnusablePicture) return error.message;
  if (error instanceof TaskTimedOut)
    return 'Measuring took longer than 30 seconds and was stopped. The picture is kept: try again.';
  return 'Measuring this picture failed, and that is our fault. The picture is kept: try again.';
}

/** Measures an attempt that is queued. Never throws: what goes wrong becomes the attempt's state. */
export async function measureAttempt(house: House, attemptId: string): Promise<void> {
  const row = await load(house, attemptId);
  if (!row) return;
  // Taken in one step: the same job may have been sent twice, before and after a restart.
  const taken = await house.db
    .update(attempts)
    .set({ state: 'measuring', changedAt: new Date() })
    .where(and(eq(attempts.id, attemptId), eq(attempts.state, 'queued')))
    .returning({ id: attempts.id });
  if (taken.length === 0) return;
  const abort = new AbortController();
  house.live.running.set(attemptId, abort);
  house.live.tell(attemptId, { state: 'measuring', stage: null });
  const { attempt, exercise } = row;
  const terms = attempt.terms ?? exercise.terms;
  const photo = { file: house.files.path(attempt.photoHash), orientation: attempt.orientation };
  try {
    const expected = { exercise: exercise.id, student: row.handIn.studentId };
    const how = {
      signal: abort.signal,
      onStage: (stage: Stage) => house.live.tell(attemptId, { state: 'measuring', stage }),
    };
    const print = knownPrint(row.class);
    const result = await measureBy(house, { ...row, terms }, { ...photo, expected, ...print }, how);
    const state = await keepResult(house, row.handIn.id, attemptId, result);
    house.live.tell(attemptId, { state, stage: null });
  } catch (error) {
    if (error instanceof TaskCancelled) return;
    if (!(error instanceof UnusablePicture)) console.error('measuring', attemptId, error);
    await setState(house, attemptId, 'failed', troubleOf(error));
    return;
  } finally {
    house.live.running.delete(attemptId);
  }
  const target = attempt.target && { target: attempt.target };
  await makePictures(house, attemptId, terms, { ...photo, ...target, ...knownPrint(row.class) });
}

/** Pictures to look at come after the reading; an attempt without them is still whole. */
async function makePictures(
  house: House,
  attemptId: string,
  terms: ExerciseTerms,
  photo: Omit<PicturesTask, 'task' | 'terms'>,
): Promise<void> {
  try {
    const { preview, strip } = await house.pool.run({ task: 'pictures', ...photo, terms });
    const previewHash = await keepFile(house, preview, 'image/jpeg');
    const stripHash = strip ? await keepFile(house, strip, 'image/jpeg') : null;
    await house.db.update(attempts).set({ previewHash, stripHash }).where(eq(attempts.id, attemptId));
    house.live.tell(attemptId, { state: 'measured', stage: 'pictures' });
  } catch (error) {
    console.error('pictures', attemptId, error);
  }
}

/** At boot: whatever was waiting or under way when the process ended is measured now. */
export async function takeUpAgain(house: House): Promise<number> {
  const left = await house.db
    .select({ id: attempts.id })
    .from(attempts)
    .where(inArray(attempts.state, ['received', 'queued', 'measuring']));
  await house.db
    .update(attempts)
    .set({ state: 'queued' })
    .where(inArray(attempts.state, ['received', 'measuring']));
  for (const { id } of left) await house.queue.send({ attemptId: id });
  return left.length;
}
