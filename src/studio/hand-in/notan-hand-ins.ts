/** Paintings in few tones: measured against what the exercise is painted from, and judged again when a reading is accepted or masses are painted. */
import type { Deed } from '@/core/critique/deed';
import { keyedEnds } from '@/core/exercise/key';
import { kindOf, kindsOnSheetOf, sittingIn } from '@/core/kinds/table';
import { newId } from '@/data/schema/ids';
import { attempts, critiques, exercises, measurements, readings, setUps } from '@/data/schema/tables';
import type { Photograph } from '@/workers/tasks/measure';
import type { ReadingFile } from '@/workers/tasks/notan-hand-in';
import { and, asc, eq, isNull, or } from 'drizzle-orm';
import { attemptFor, exerciseFor, NotFound, Refused, type Teacher } from '../access/actor';
import { noteDeed } from '../critique/noting';
import type { House } from '../house';
import { prepared, referenceOfExercise } from '../reference/references';
import { removeUnused } from '../unused-files';
import { keepFigures } from './figures';
import { changeAttempt, holdHandIn } from './states';
import { keepFile } from './receive';
import type { Measured, ToMeasure } from './to-measure';

/** Readings that count for a hand-in: its own, and those for everyone. */
export async function readingsFor(house: House, exerciseId: string, handInId: string) {
  return house.db
    .select()
    .from(readings)
    .where(and(eq(readings.exerciseId, exerciseId), or(isNull(readings.handInId), eq(readings.handInId, handInId))))
    .orderBy(asc(readings.createdAt), asc(readings.id));
}

type ReadingRow = typeof readings.$inferSelect;
const filesOf = (house: House, rows: readonly ReadingRow[]): Promise<ReadingFile[]> =>
  Promise.all(rows.map(async (r) => ({ mask: await house.files.local(r.maskHash), tone: r.tone })));

/** The set-up that an exercise is painted from in life; null where it is painted from a picture, or from neither. */
export async function setUpOfExercise(house: House, { setUpId }: { readonly setUpId: string | null }) {
  if (setUpId === null) return null;
  const [row] = await house.db.select().from(setUps).where(eq(setUps.id, setUpId));
  return row ?? null;
}

/** The masses of a set-up, and where they were painted on this picture of it; null until somebody did. */
async function paintedOn(
  house: House,
  exercise: typeof exercises.$inferSelect,
  { masses }: typeof attempts.$inferSelect,
) {
  const row = masses && (await setUpOfExercise(house, exercise));
  return row && { masses: row.setUp.masses, edits: masses.edits, revision: row.revision };
}

/** Measures a photograph against what the exercise is painted from; null where that is nothing that is kept, and a person judges by eye. */
export async function measuredNotan(
  house: House,
  { exercise, handIn, attempt, terms }: ToMeasure,
  photo: Photograph,
  how: Parameters<House['pool']['run']>[1],
): Promise<Measured | null> {
  const kind = kindOf(terms);
  const wanted = kind.wanted(terms);
  const [picture, life] = [
    await referenceOfExercise(house, exercise.referenceId),
    await setUpOfExercise(house, exercise),
  ];
  const from = picture ?? life;
  if (!wanted || !from) return null;
  const sitting = sittingIn(terms, picture?.preparation ?? null);
  const counted = picture ? await readingsFor(house, exercise.id, handIn.id) : [];
  const { result, planes, names, lightness } = await house.pool.run(
    {
      task: 'measure-notan',
      ...photo,
      reference: picture && (await prepared(house, picture, wanted, { ends: terms.ends, ...sitting })),
      tones: wanted.tones,
      painted: picture ? null : await paintedOn(house, exercise, attempt),
      frameIsDark: attempt.frameIsDark,
      ends: keyedEnds(terms.ends, sitting.key),
      pushPercent: sitting.pushPercent,
      target: attempt.target,
      sheetKinds: kindsOnSheetOf(terms),
      readings: await filesOf(house, counted),
    },
    how,
  );
  const against = planes && {
    kind: picture ? ('picture' as const) : ('set-up' as const),
    reference: from.id,
    revision: from.revision,
    planes: await keepFile(house, planes, 'image/png'),
    lightness: lightness && (await keepFile(house, lightness, 'image/png')),
    names: [...names],
    readings: counted.map((r) => r.id),
  };
  return { result, against };
}

export const READING_SCOPES = ['this', 'everyone'] as const;
export type ReadingScope = (typeof READING_SCOPES)[number];

async function keptNotan(house: House, attemptId: string) {
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, attemptId));
  const result = row?.result;
  if (!row?.against || result?.kind !== 'notan') throw new NotFound();
  return { id: row.id, against: row.against, result };
}

/** Throws Refused where the critique was sent. */
export async function standsUnsent(house: House, attemptId: string): Promise<void> {
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
  if (critique?.sentAt)
    throw new Refused('This critique was sent and stands as it is. Withdraw the decision to judge it again.');
}

/** Judges what was measured by the readings, and the masses, that count now. Throws Refused where the critique was sent. */
export async function judgeAgain(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { id, against, result } = await keptNotan(house, attemptId);
  await standsUnsent(house, attemptId);
  const fromLife = against.kind === 'set-up';
  const counted = fromLife ? [] : await readingsFor(house, own.exercise.id, own.handIn.id);
  const painted = fromLife ? await paintedOn(house, own.exercise, own.attempt) : null;
  // A set-up whose masses nobody has painted yet, or that was taken from the exercise, has nothing to judge by.
  if (fromLife && !painted) throw new Refused('Paint the masses on this picture first.');
  const terms = own.attempt.terms ?? own.exercise.terms;
  const next = await house.pool.run({
    task: 'judge-notan',
    planes: await house.files.local(against.planes),
    result,
    names: against.names,
    ends: terms.ends,
    readings: await filesOf(house, counted),
    painted,
  });
  await house.db.transaction(async (tx) => {
    await tx
      .update(measurements)
      .set({
        result: next,
        against: { ...against, ...(painted && { revision: painted.revision }), readings: counted.map((r) => r.id) },
      })
      .where(eq(measurements.id, id));
    await keepFigures(tx, attemptId, next, terms);
  });
}

/**
 * Accepts a flipped shape as a reading, an edge that was lost on purpose: it counts as right for this hand-in, or for everyone
 * from now on. Throws Refused where it is no longer there to be accepted.
 */
export async function acceptReading(
  house: House,
  teacher: Teacher,
  attemptId: string,
  region: string,
  scope: ReadingScope,
): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  const { against, result } = await keptNotan(house, attemptId);
  const flipped = result.regions.find((r) => r.id === region);
  if (!flipped || !result.shift) throw new NotFound();
  const counted = (await readingsFor(house, own.exercise.id, own.handIn.id)).filter((r) =>
    against.readings.includes(r.id),
  );
  const mask = await house.pool.run({
    task: 'reading-mask',
    planes: await house.files.local(against.planes),
    names: against.names,
    tones: result.tones.length,
    shift: result.shift,
    region: flipped,
    readings: await filesOf(house, counted),
  });
  if (!mask) throw new Refused('This shape was judged anew in the meantime: look at it once more.');
  const maskHash = await keepFile(house, mask, 'image/png');
  const id = newId();
  await house.db.transaction(async (tx) => {
    await tx.insert(readings).values({
      ...{ id, exerciseId: own.exercise.id, handInId: scope === 'this' ? own.handIn.id : null },
      ...{ maskHash, tone: flipped.drawn },
    });
    await noteDeed(tx, teacher, own, { did: 'accepted', id });
  });
  await judgeAgain(house, teacher, attemptId);
}

/** Takes one reading back that was accepted here, and judges this hand-in anew. Throws NotFound where it is gone. */
export async function takeReadingBack(house: House, teacher: Teacher, attemptId: string, id: string): Promise<void> {
  const { exercise } = await attemptFor(house, teacher, attemptId);
  await standsUnsent(house, attemptId);
  const [gone] = await house.db
    .delete(readings)
    .where(and(eq(readings.id, id), eq(readings.exerciseId, exercise.id)))
    .returning({ mask: readings.maskHash });
  if (!gone) throw new NotFound();
  await removeUnused(house, gone.mask);
  await judgeAgain(house, teacher, attemptId);
}

/** Measures a photograph once more, against the picture as it is prepared now. Throws Refused where the critique was sent. */
export async function measureAnew(
  house: House,
  teacher: Teacher,
  attemptId: string,
  change: { readonly frameIsDark?: boolean } = {},
  deed: Deed | null = null,
): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  await standsUnsent(house, attemptId);
  await house.db.transaction(async (tx) => {
    await holdHandIn(tx, own.attempt.handInId);
    if (!(await changeAttempt(tx, attemptId, 'measureAnew', change)))
      throw new Refused('This picture is not one that was measured.');
    if (deed) await noteDeed(tx, teacher, own, deed);
    await house.queue.send({ attemptId }, tx);
  });
  house.live.tell(attemptId, { state: 'queued', stage: null });
}

/**
 * Takes the frame that was painted round a picture as its dark end, or takes that back, and measures it once more.
 * Throws Refused where the critique was sent.
 */
export async function setFrameIsDark(
  house: House,
  teacher: Teacher,
  attemptId: string,
  frameIsDark: boolean,
  deed: Deed | null = { did: 'framed', after: frameIsDark },
): Promise<void> {
  await measureAnew(house, teacher, attemptId, { frameIsDark }, deed);
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

/** Whether what was measured still stands: against the picture or set-up as it is now, by the readings that count now. */
export async function standing(
  house: House,
  handInId: string,
  exercise: typeof exercises.$inferSelect,
  against: { kind: 'picture' | 'set-up' | 'itself'; reference: string; revision: number; readings: readonly string[] },
): Promise<'as-it-is' | 'other-reference' | 'other-set-up' | 'other-readings'> {
  if (against.kind === 'itself') return 'as-it-is';
  const row =
    against.kind === 'set-up'
      ? await setUpOfExercise(house, exercise)
      : await referenceOfExercise(house, exercise.referenceId);
  if (row?.id !== against.reference) return 'other-reference';
  if (row.revision !== against.revision) return against.kind === 'set-up' ? 'other-set-up' : 'other-reference';
  if (against.kind === 'set-up') return 'as-it-is';
  const now = (await readingsFor(house, exercise.id, handInId)).map((r) => r.id);
  return now.length === against.readings.length && now.every((r) => against.readings.includes(r))
    ? 'as-it-is'
    : 'other-readings';
}
