/** Measures one attempt: what the queue's worker does, and what is taken up again after a restart. */
import { type ExerciseTerms } from '@/core/exercise/terms';
import { measuredResultSchema } from '@/core/kinds/measured-result';
import { FileMissing } from '@/data/files/file-store';
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
import { log } from '@/watch/log';
import { meters } from '@/watch/meters';
import { stageClock } from '@/watch/stage-clock';
import { UnusablePicture } from '@/workers/decoding/decode';
import { TaskCancelled, TaskTimedOut } from '@/workers/pool';
import type { Stage } from '@/workers/tasks/measure';
import type { PicturesTask } from '@/workers/tasks/pictures';
import { and, eq, inArray, max, ne, not, sql } from 'drizzle-orm';
import { knownPrint } from '../class/cards';
import type { House } from '../house';
import { keepFigures } from './figures';
import { measureBy } from './gather';
import { hasRoom, keepFile } from './receive';
import { changeAttempt, holdHandIn, waitForTeacher } from './states';
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
type Loaded = NonNullable<Awaited<ReturnType<typeof load>>>;

/**
 * Keeps a result and the new state together or not at all; null is kept of kinds that are not read but looked at by the teacher.
 * Returns the state that it is in then: somebody may have cancelled it, or have it measured, in the meantime.
 */
async function keepResult(
  house: House,
  { handIn, attempt, exercise }: Loaded,
  turn: number,
  given: Measured | null,
): Promise<AttemptState> {
  const result = given && measuredResultSchema.parse(given.result);
  const accepted = !result || result.capture.accepted;
  return house.db.transaction(async (tx) => {
    await holdHandIn(tx, handIn.id);
    const [now] = await tx
      .select({ state: attempts.state, number: attempts.number, turn: attempts.turn })
      .from(attempts)
      .where(eq(attempts.id, attempt.id))
      .for('update');
    if (now?.state !== 'measuring' || now.turn !== turn) return now?.state ?? 'cancelled';
    await tx.delete(measurements).where(eq(measurements.attemptId, attempt.id));
    if (result) {
      await tx.insert(measurements).values({
        id: newId(),
        attemptId: attempt.id,
        version: result.version,
        result,
        against: given?.against ?? null,
      });
      await keepFigures(tx, attempt.id, result, attempt.terms ?? exercise.terms);
    }
    let number: number | null = null;
    if (accepted) {
      const [last] = await tx
        .select({ n: max(attempts.number) })
        .from(attempts)
        .where(and(eq(attempts.handInId, handIn.id), ne(attempts.id, attempt.id)));
      // Measured anew, a try keeps its number.
      number = now.number ?? (last?.n ?? 0) + 1;
      await waitForTeacher(tx, handIn.id);
    }
    await tx.insert(critiques).values({ attemptId: attempt.id }).onConflictDoNothing();
    const kept = await changeAttempt(tx, attempt.id, accepted ? 'measure' : 'refuse', { number, trouble: null });
    return kept?.state ?? now.state;
  });
}

const OUR_FAULT = 'Measuring this picture failed, and that is our fault. The picture is kept: try again.';
const TOO_LONG = 'Measuring took longer than 30 seconds and was stopped. The picture is kept: try again.';

/** What the person is told of what no further try would mend; null of all else. */
function troubleOf(error: unknown): string | null {
  if (error instanceof UnusablePicture) return error.message;
  return error instanceof TaskTimedOut ? TOO_LONG : null;
}

async function fail(house: House, attemptId: string, trouble: string, turn?: number): Promise<void> {
  if (await changeAttempt(house.db, attemptId, 'fail', { trouble }, turn))
    house.live.tell(attemptId, { state: 'failed', stage: null });
}

/**
 * What was tried again and again in vain waits for the person to say so; where it is the disk that is full, it goes on by itself
 * once there is room.
 */
export async function giveUpOn(house: House, attemptId: string): Promise<void> {
  const row = await load(house, attemptId);
  if (!row || !(await hasRoom(house))) return;
  const isThere = await house.files.has(row.attempt.photoHash);
  await fail(house, attemptId, isThere ? OUR_FAULT : new FileMissing().message);
}

/** Takes an attempt to measure it; its turn tells whoever has it now from whoever had it before. Null where it is not to be measured. */
async function take(house: House, attemptId: string): Promise<number | null> {
  return house.db.transaction(async (tx) => {
    if (!(await changeAttempt(tx, attemptId, 'begin'))) return null;
    const [taken] = await tx
      .update(attempts)
      .set({ turn: sql`${attempts.turn} + 1` })
      .where(eq(attempts.id, attemptId))
      .returning({ turn: attempts.turn });
    return taken?.turn ?? null;
  });
}

/**
 * Measures an attempt that is queued, or that a process had which ended, and makes its pictures. What can't be mended becomes the
 * attempt's state; throws at what may go better another time.
 */
export async function measureAttempt(house: House, attemptId: string): Promise<void> {
  const row = await load(house, attemptId);
  if (!row) return;
  const turn = await take(house, attemptId);
  const state = turn === null ? row.attempt.state : await read(house, row, turn);
  const isRead = state === 'measured' || state === 'refused';
  if (isRead && (turn !== null || row.attempt.previewHash === null)) await makePictures(house, row);
}

const photoOf = async (house: House, { attempt }: Loaded) => ({
  file: await house.files.local(attempt.photoHash),
  orientation: attempt.orientation,
});

/** Counts how a measurement ended, and what for where its photograph was refused. */
function count(state: AttemptState, measured: Measured | null = null): void {
  meters.ends.inc({ state });
  if (state !== 'refused' || !measured) return;
  for (const { code } of measured.result.capture.issues) meters.refusals.inc({ code });
}

/** Reads an attempt that was taken; returns the state it is in then. */
async function read(house: House, row: Loaded, turn: number): Promise<AttemptState> {
  const { attempt, exercise } = row;
  const abort = new AbortController();
  const deaf = house.live.listen(attempt.id, ({ state }) => {
    if (state === 'cancelled') abort.abort();
  });
  house.live.tell(attempt.id, { state: 'measuring', stage: null });
  const terms = attempt.terms ?? exercise.terms;
  const clock = stageClock();
  try {
    const expected = { exercise: exercise.id, student: row.handIn.studentId };
    const how = {
      signal: abort.signal,
      onStage(stage: Stage) {
        clock.begin(stage);
        house.live.tell(attempt.id, { state: 'measuring', stage });
      },
    };
    const print = knownPrint(row.class);
    const result = await measureBy(
      house,
      { ...row, terms },
      { ...(await photoOf(house, row)), expected, ...print },
      how,
    );
    clock.begin('keeping');
    const state = await keepResult(house, row, turn, result);
    count(state, result);
    house.live.tell(attempt.id, { state, stage: null });
    return state;
  } catch (error) {
    if (error instanceof TaskCancelled) return 'cancelled';
    const trouble = troubleOf(error);
    if (trouble === null) {
      if (await changeAttempt(house.db, attempt.id, 'handBack', {}, turn))
        house.live.tell(attempt.id, { state: 'queued', stage: null });
      throw error;
    }
    await fail(house, attempt.id, trouble, turn);
    count('failed');
    return 'failed';
  } finally {
    clock.end();
    deaf();
  }
}

/** Pictures to look at come after the reading; an attempt without them is still whole. */
async function makePictures(house: House, row: Loaded): Promise<void> {
  const { attempt, exercise } = row;
  const terms: ExerciseTerms = attempt.terms ?? exercise.terms;
  const target = attempt.target && { target: attempt.target };
  try {
    const photo = await photoOf(house, row);
    const task: PicturesTask = { task: 'pictures', ...photo, ...target, ...knownPrint(row.class), terms };
    const { preview, strip } = await house.pool.run(task);
    const previewHash = await keepFile(house, preview, 'image/jpeg');
    const stripHash = strip ? await keepFile(house, strip, 'image/jpeg') : null;
    await house.db.update(attempts).set({ previewHash, stripHash }).where(eq(attempts.id, attempt.id));
    house.live.tell(attempt.id, { state: 'measured', stage: 'pictures' });
  } catch (error) {
    log.error({ err: error, attempt: attempt.id }, 'pictures');
  }
}

/**
 * At boot: what a process that ended had under way is taken up. On a server others may be at work: there the queue gives jobs back
 * whose time is over.
 */
export async function takeUpAgain(house: House): Promise<number> {
  if (house.alone) await house.queue.takeBack();
  return queueWhatWaits(house);
}

/** Gives a job to whatever waits without one: it came over from another database, or its job was given up while a disk was full. */
export async function queueWhatWaits(house: House): Promise<number> {
  return house.db.transaction(async (tx) => {
    const waiting = inArray(attempts.state, ['received', 'queued', 'measuring']);
    const left = await tx
      .select({ id: attempts.id })
      .from(attempts)
      .where(and(waiting, not(house.queue.isAbout(sql`${attempts.id}`))))
      .for('update', { skipLocked: true });
    for (const { id } of left) {
      await changeAttempt(tx, id, 'handBack');
      await house.queue.send({ attemptId: id }, tx);
    }
    return left.length;
  });
}
