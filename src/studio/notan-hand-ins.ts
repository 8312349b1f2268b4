/** Paintings in few tones: measured against the exercise's picture, and judged again when a reading is accepted. */
import { and, asc, eq, isNull, or } from 'drizzle-orm';
import type { NotanAsks } from '@/core/critique/notan-critique';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { newId } from '@/data/ids';
import { attempts, type classes, critiques, exercises, handIns, measurements, readings } from '@/data/schema';
import type { NotanHandInTask, ReadingFile } from '@/workers/notan-hand-in-task';
import { attemptFor, exerciseFor, NotFound, Refused, type Teacher } from './actor';
import { redraft } from './drafts';
import type { House } from './house';
import { measuredResultSchema } from './measured-result';
import { keepFile } from './receive';
import { removeUnused } from './unused-files';
import { prepared, referenceOfExercise, wantedBy } from './references';

export const asksOf = (terms: ExerciseTerms): NotanAsks => (terms.kind === 'five-value' ? { whiteSparing: terms.whiteSparing } : {});

/** Readings that count for a hand-in: its own, and those for everyone. */
export async function readingsFor(house: House, exerciseId: string, handInId: string) {
  return house.db
    .select()
    .from(readings)
    .where(and(eq(readings.exerciseId, exerciseId), or(isNull(readings.handInId), eq(readings.handInId, handInId))))
    .orderBy(asc(readings.createdAt), asc(readings.id));
}

type ReadingRow = typeof readings.$inferSelect;
const filesOf = (house: House, rows: readonly ReadingRow[]): ReadingFile[] => rows.map((r) => ({ mask: house.files.path(r.maskHash), tone: r.tone }));

interface Place {
  readonly handIn: typeof handIns.$inferSelect;
  readonly exercise: typeof exercises.$inferSelect;
  readonly attempt: typeof attempts.$inferSelect;
  readonly class: typeof classes.$inferSelect;
}

type Photograph = Pick<NotanHandInTask, 'file' | 'orientation' | 'expected' | 'card' | 'lineMm'>;

/** Measures a photograph against the exercise's reference; null where there is none, and a person judges by eye. */
export async function againstReference(house: House, { exercise, handIn, attempt }: Place, terms: ExerciseTerms, photo: Photograph, how: Parameters<House['pool']['run']>[1]) {
  const wanted = wantedBy(terms);
  const row = await referenceOfExercise(house, exercise.referenceId);
  if (!wanted || !row) return null;
  const counted = await readingsFor(house, exercise.id, handIn.id);
  const { result, planes, names } = await house.pool.run(
    { task: 'measure-notan', ...photo, reference: prepared(house, row, wanted), ends: terms.ends, asks: asksOf(terms), target: attempt.target, readings: filesOf(house, counted) },
    how,
  );
  const against = planes && { reference: row.id, revision: row.revision, planes: await keepFile(house, planes, 'image/png'), names: [...names], readings: counted.map((r) => r.id) };
  return { result, against };
}

export const READING_SCOPES = ['this', 'everyone'] as const;
export type ReadingScope = (typeof READING_SCOPES)[number];

async function measuredNotan(house: House, attemptId: string) {
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, attemptId));
  const result = row && measuredResultSchema.parse(row.result);
  if (!row?.against || result?.kind !== 'notan') throw new NotFound();
  return { id: row.id, against: row.against, result };
}

/** Judges what was measured by the readings that count now. Throws Refused where the critique was sent. */
export async function judgeAgain(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { id, against, result } = await measuredNotan(house, attemptId);
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
  if (critique?.sentAt) throw new Refused('This critique was sent and stands as it is. Withdraw the decision to judge it again.');
  const counted = await readingsFor(house, own.exercise.id, own.handIn.id);
  const terms = own.attempt.terms ?? own.exercise.terms;
  const next = await house.pool.run({ task: 'judge-notan', planes: house.files.path(against.planes), result, names: against.names, ends: terms.ends, asks: asksOf(terms), readings: filesOf(house, counted) });
  await house.db.transaction(async (tx) => {
    await tx.update(measurements).set({ result: next, against: { ...against, readings: counted.map((r) => r.id) } }).where(eq(measurements.id, id));
    await redraft(tx, attemptId, next.findings);
  });
}

/**
 * Accepts a flipped shape as a reading, an edge that was lost on purpose: it counts as right for this hand-in, or for everyone
 * from now on. Throws Refused where it is no longer there to be accepted.
 */
export async function acceptReading(house: House, teacher: Teacher, attemptId: string, region: number, scope: ReadingScope): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { against, result } = await measuredNotan(house, attemptId);
  const flipped = result.regions[region];
  if (!flipped || !result.shift) throw new NotFound();
  const counted = (await readingsFor(house, own.exercise.id, own.handIn.id)).filter((r) => against.readings.includes(r.id));
  const mask = await house.pool.run({ task: 'reading-mask', planes: house.files.path(against.planes), shift: result.shift, region: flipped, readings: filesOf(house, counted) });
  if (!mask) throw new Refused('This shape was judged anew in the meantime: look at it once more.');
  const maskHash = await keepFile(house, mask, 'image/png');
  await house.db.insert(readings).values({ id: newId(), exerciseId: own.exercise.id, handInId: scope === 'this' ? own.handIn.id : null, maskHash, tone: flipped.drawn });
  await judgeAgain(house, teacher, attemptId);
}

/** Measures a photograph once more, against the picture as it is prepared now. Throws Refused where the critique was sent. */
export async function measureAnew(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  const { attempt } = await attemptFor(house, teacher, attemptId);
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
  if (critique?.sentAt) throw new Refused('This critique was sent and stands as it is. Withdraw the decision to measure it again.');
  if (attempt.state !== 'measured') throw new Refused('This picture is not one that was measured.');
  await house.db.update(attempts).set({ state: 'queued', changedAt: new Date() }).where(eq(attempts.id, attemptId));
  await house.queue.send({ attemptId });
  house.live.tell(attemptId, { state: 'queued', stage: null });
}

/** How many readings of an exercise were accepted for everyone. */
export async function readingsForEveryone(house: House, exerciseId: string): Promise<number> {
  return house.db.$count(readings, and(eq(readings.exerciseId, exerciseId), isNull(readings.handInId)));
}

/** Takes the readings of an exercise back that were accepted for everyone. */
export async function takeReadingsBack(house: House, teacher: Teacher, exerciseId: string): Promise<void> {
  await exerciseFor(house, teacher, exerciseId);
  const gone = await house.db
    .delete(readings)
    .where(and(eq(readings.exerciseId, exerciseId), isNull(readings.handInId)))
    .returning({ mask: readings.maskHash });
  for (const { mask } of gone) await removeUnused(house, mask);
}

/** Whether what was measured still stands: against the picture as it is prepared now, by the readings that count now. */
export async function standing(house: House, handInId: string, exercise: typeof exercises.$inferSelect, against: { reference: string; revision: number; readings: readonly string[] }): Promise<'as-it-is' | 'other-reference' | 'other-readings'> {
  const row = await referenceOfExercise(house, exercise.referenceId);
  if (row?.id !== against.reference || row.revision !== against.revision) return 'other-reference';
  const now = (await readingsFor(house, exercise.id, handInId)).map((r) => r.id);
  return now.length === against.readings.length && now.every((r) => against.readings.includes(r)) ? 'as-it-is' : 'other-readings';
}
