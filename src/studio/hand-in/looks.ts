/** Looks in mid-work: a student's own, one an exercise at a time, never counted and shown to nobody else. */
import type { StoredTarget } from '@/core/capture/stored-target';
import type { SteppedTerms } from '@/core/exercise/terms';
import { kindOf, labelsOf } from '@/core/kinds/table';
import { judgeLook } from '@/core/look/judge-look';
import { sayMark, sayMissed } from '@/core/look/look-words';
import { type LookCell, type LookMark, lookMarksSchema } from '@/core/look/stored-look';
import { newId } from '@/data/schema/ids';
import { looks } from '@/data/schema/tables';
import { inspectPicture } from '@/workers/decoding/decode';
import { and, eq, inArray } from 'drizzle-orm';
import { exerciseOfMine, NotFound, placesOf, Refused, type Student } from '../access/actor';
import { knownPrint } from '../class/cards';
import type { House } from '../house';
import { removeUnused } from '../unused-files';
import { knownPaints } from './gather';
import { checkRoom, keepFile } from './receive';

const LIMIT_MS = 60_000;

async function rowOf(house: House, student: Student, exerciseId: string) {
  const [row] = await house.db
    .select()
    .from(looks)
    .where(
      and(
        eq(looks.exerciseId, exerciseId),
        inArray(
          looks.studentId,
          placesOf(student).map((p) => p.studentId),
        ),
      ),
    );
  return row ?? null;
}

/**
 * Takes a look; it replaces the last. Throws UnusablePicture, or Refused with what to do where the picture can't be
 * used, and the last look stays.
 */
export async function takeLook(
  house: House,
  student: Student,
  exerciseId: string,
  file: string,
  target: StoredTarget | null = null,
): Promise<void> {
  const { exercise, class: own, me } = await exerciseOfMine(house, student, exerciseId);
  const { terms } = exercise;
  if (!kindOf(terms).looks)
    throw new Refused(
      'This exercise is looked at by your teacher: there is nothing yet that a look could compare it with.',
    );
  await checkRoom(house);
  const { orientation } = await inspectPicture(file);
  const expected = { exercise: exerciseId, student: me.studentId };
  const known = { ...(await knownPaints(house, own.id, terms)), ...knownPrint(own) };
  const { look, issues, picture } = await house.pool.run(
    {
      task: 'look',
      file,
      orientation: orientation ?? null,
      terms: terms as SteppedTerms,
      target,
      expected,
      ...known,
    },
    { limitMs: LIMIT_MS },
  );
  if (!look || !picture)
    throw new Refused(issues[0]?.say ?? 'What is painted could not be found in this picture: take it once more.');
  const before = await rowOf(house, student, exerciseId);
  const pictureHash = await keepFile(house, picture, 'image/jpeg');
  const fresh = { id: newId(), pictureHash, look, marks: null, createdAt: new Date() };
  await house.db
    .insert(looks)
    .values({ exerciseId, studentId: me.studentId, ...fresh })
    .onConflictDoUpdate({ target: [looks.exerciseId, looks.studentId], set: fresh });
  if (before && before.pictureHash !== pictureHash) await removeUnused(house, before.pictureHash);
}

/** Keeps what the student marked; once the measurement has answered, the marks stay as they are. */
export async function markLook(
  house: House,
  student: Student,
  exerciseId: string,
  marks: readonly LookMark[],
): Promise<void> {
  const given = lookMarksSchema.parse(marks);
  const row = await rowOf(house, student, exerciseId);
  if (!row) throw new NotFound();
  if (row.marks) throw new Refused('You have asked already: take another look to mark again.');
  await house.db.update(looks).set({ marks: given }).where(eq(looks.id, row.id));
}

export interface LookView {
  /** Changes with each look. */
  readonly id: string;
  readonly createdAt: Date;
  readonly aspect: number;
  readonly relative: boolean;
  /** What is wanted of each step and where it lies: the reference to hold beside. */
  readonly wanted: readonly { readonly cell: LookCell; readonly lightness: number }[];
  /** Null until the student has asked: no reading is shown before. */
  readonly told: {
    readonly marks: readonly (LookMark & { readonly say: string; readonly seen: boolean })[];
    readonly rest: string;
  } | null;
}

export async function myLook(house: House, student: Student, exerciseId: string): Promise<LookView | null> {
  const row = await rowOf(house, student, exerciseId);
  if (!row) return null;
  const { exercise, class: own } = await exerciseOfMine(house, student, exerciseId);
  const labels = labelsOf(exercise.terms, own.numbering);
  const nameOf = (step: number) => `Step ${labels[step - 1] ?? step}`;
  const { look, marks } = row;
  const judged = marks && judgeLook(look, marks);
  return {
    id: row.id,
    createdAt: row.createdAt,
    aspect: look.aspect,
    relative: look.relative,
    wanted: look.cells.map((cell) => ({ cell, lightness: look.steps.find((s) => s.step === cell.step)?.target ?? 50 })),
    told: judged && {
      marks: marks.map((m, i) => {
        const step = judged.marks[i] ?? null;
        return { ...m, say: sayMark(step, step ? nameOf(step.step) : '', look.stepSize), seen: step?.word === 'off' };
      }),
      rest: sayMissed(judged.missed, nameOf, look.stepSize),
    },
  };
}

/** Bytes of the student's own look, JPEG. */
export async function lookPicture(house: House, student: Student, exerciseId: string): Promise<Buffer> {
  const row = await rowOf(house, student, exerciseId);
  if (!row) throw new NotFound();
  return house.files.read(row.pictureHash);
}
