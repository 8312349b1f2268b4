/** One hand-in under critique. */
import { valuesOf } from '@/core/kinds/table';
import { dateStanding } from '@/core/planning/deadline';
import { critiques, handIns, students } from '@/data/schema/tables';
import { asc, eq } from 'drizzle-orm';
import type { GreyPainting, PaintingPicture } from '@/core/painting/pictures';
import { type Actor, attemptFor, handInFor, type Teacher } from '../access/actor';
import { standing } from '../hand-in/notan-hand-ins';
import { prepared, referenceOfExercise } from '../reference/references';
import type { House } from '../house';
import { allowanceOf } from '../plan/allowances';
import { attemptsAt, attemptViews, currentOf, firstOf } from './attempt';
import { measuredOfOne } from './measured';
import { judgedBy } from './said';

/** One hand-in with all its attempts, and its neighbours on the rack for "next" and "previous". */
export async function tableOf(house: House, teacher: Teacher, handInId: string) {
  const own = await handInFor(house, teacher, handInId);
  const rows = await attemptsAt(house.db, [handInId]);
  const siblings = await house.db
    .select({ id: handIns.id, number: students.number, state: handIns.state })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(eq(handIns.exerciseId, own.exercise.id))
    .orderBy(asc(students.number));
  const at = siblings.findIndex((s) => s.id === handInId);
  const allowed = await allowanceOf(house, own.exercise.id, own.student.id);
  return {
    ...own,
    date: dateStanding(own.exercise.dueAt, allowed, firstOf(rows), new Date()),
    attempts: await attemptViews(house, rows, judgedBy(own)),
    currentId: currentOf(rows)?.id ?? rows.at(-1)?.id ?? null,
    previous: siblings[at - 1]?.id ?? null,
    next: siblings[at + 1]?.id ?? null,
    position: at + 1,
    total: siblings.length,
  };
}

/** What a painting was measured against; null of what was not measured against anything. */
async function againstOf(house: House, attemptId: string) {
  const measured = await measuredOfOne(house, attemptId);
  return measured && 'against' in measured ? measured.against : null;
}

/** Whether what was measured against a picture still stands; null of what was not. */
export async function standingOf(house: House, teacher: Teacher, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  const against = await againstOf(house, attemptId);
  const told = against && (await standing(house, own.handIn.id, own.exercise, against));
  // What was asked of masses that nobody has shown yet can change as it likes.
  return told === 'other-set-up' && own.attempt.masses === null ? 'as-it-is' : told;
}

/** PNG of a painting as it lies on what was wanted of it, of that, or of how they differ; null where it was not laid on it. */
export async function paintingPictureOf(
  house: House,
  teacher: Teacher,
  attemptId: string,
  which: PaintingPicture,
): Promise<Uint8Array | null> {
  const { exercise } = await attemptFor(house, teacher, attemptId);
  if (which !== 'colours') return greyPaintingOf(house, attemptId, which);
  const picture = (await laidFiles(house, attemptId)) && (await referenceOfExercise(house, exercise.referenceId));
  return picture && (await house.pool.run({ task: 'reference-in-colour', reference: await prepared(house, picture) }));
}

/** Files of what was wanted of a painting and of it as it was laid on that; null where it was not. */
async function laidFiles(house: House, attemptId: string) {
  const measured = await measuredOfOne(house, attemptId);
  if (measured?.kind !== 'painting' || !measured.against?.lightness) return null;
  const { planes, lightness } = measured.against;
  return { wanted: await house.files.local(planes), laid: await house.files.local(lightness) };
}

/** The same of those that are made of greys alone, for whoever has seen who asks. */
export async function greyPaintingOf(house: House, attemptId: string, which: GreyPainting): Promise<Uint8Array | null> {
  const files = await laidFiles(house, attemptId);
  return files && (await house.pool.run({ task: 'painting-picture', ...files, which }));
}

/** PNG of an attempt's tones, as wanted or as drawn, in the exercise's greys; null where none were read. */
export async function tonesOfAttempt(
  house: House,
  teacher: Teacher,
  attemptId: string,
  which: 'wanted' | 'drawn',
): Promise<Uint8Array | null> {
  const own = await attemptFor(house, teacher, attemptId);
  const measured = await measuredOfOne(house, attemptId);
  const against = measured?.kind === 'notan' ? measured.against : null;
  const greys = valuesOf(own.attempt.terms ?? own.exercise.terms);
  if (!against) return null;
  const planes = await house.files.local(against.planes);
  return house.pool.run({ task: 'tones-picture', planes, which, greys });
}

/** Bytes of one of an attempt's pictures. The straightened strip shows readings, so a student sees it with the letter only. */
export async function pictureOf(
  house: House,
  actor: Actor,
  attemptId: string,
  kind: 'preview' | 'strip',
): Promise<Buffer | null> {
  const { attempt } = await attemptFor(house, actor, attemptId);
  if (actor.role === 'student' && kind === 'strip') {
    const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
    if (!critique?.sentAt) return null;
  }
  const hash = kind === 'preview' ? attempt.previewHash : attempt.stripHash;
  return hash ? house.files.read(hash) : null;
}
