/** Setting exercises and printing their sheets. */
import { DoesNotFit } from '@/core/bands/motifs';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { drawExerciseSheet, type ExerciseWords } from '@/core/handout/exercise-sheet';
import type { PaintedFrom } from '@/core/kinds/table';
import { exerciseTermsSchema, kindOf, labelsOf } from '@/core/kinds/table';
import type { Figures } from '@/core/mixing/paint-model';
import { cautionsInShort, cautionText, maySet, type SafetyPlan } from '@/core/planning/cautions';
import { zoneOf } from '@/core/planning/meetings';
import type { SheetDrawing } from '@/core/sheet/drawing';
import { newId } from '@/data/schema/ids';
import { allowances, attempts, classes, exercises, handIns, students } from '@/data/schema/tables';
import { canPrint } from '@/print/fonts';
import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { z } from 'zod';
import {
  type Actor,
  classToChange,
  exerciseFor,
  exerciseToChange,
  inClass,
  isTaughtBy,
  Refused,
  type Teacher,
} from '../access/actor';
import type { SheetJob } from '@/workers/printing/job';
import type { House } from '../house';
import { shownToStudent } from '../hand-in/states';
import { figuresFor } from '../mixing/palettes';
import { referenceFor } from '../reference/references';
import { setUpFor } from '../reference/set-ups';
import { writeDown } from '../staff/chronicle';
import { nameSchema, textSchema } from '../words';

export const newExerciseSchema = z
  .object({
    title: nameSchema,
    note: textSchema,
    dueAt: z.date().nullable(),
    terms: exerciseTermsSchema,
    /** Why materials are set that the class's age would forbid; empty for none. */
    overrideReason: textSchema.default(''),
    /** The picture, or the set-up, that it is painted from; both null for what is not kept here, or for kinds without either. */
    referenceId: z.string().max(40).nullable().default(null),
    setUpId: z.string().max(40).nullable().default(null),
  })
  .refine(
    (e) => e.referenceId === null || e.setUpId === null,
    'An exercise is painted from a picture or from a set-up, not from both.',
  );
export type NewExercise = z.input<typeof newExerciseSchema>;

export type OwnClass = typeof classes.$inferSelect;

export const safetyOf = (own: OwnClass, terms: ExerciseTerms): SafetyPlan => ({
  medium: terms.medium,
  materials: terms.materials,
  underSixteen: own.underSixteen,
});

/** The checked exercise. Throws Refused where the class may not be set its materials, or its sheet can't be drawn. */
function checked(own: OwnClass, given: NewExercise) {
  const exercise = newExerciseSchema.parse(given);
  const permission = maySet(safetyOf(own, exercise.terms), own.school);
  if (permission.kind === 'never' || (permission.kind === 'needs-reason' && exercise.overrideReason === ''))
    throw new Refused(permission.say);
  try {
    kindOf(exercise.terms).areas(exercise.terms);
  } catch (error) {
    if (error instanceof DoesNotFit) throw new Refused(error.message);
    throw error;
  }
  return { ...exercise, overrideReason: permission.kind === 'needs-reason' ? exercise.overrideReason : null };
}

/** What an exercise is painted from is the teacher's own. Throws NotFound otherwise. */
async function checkPaintedFrom(house: House, teacher: Teacher, { referenceId, setUpId }: PaintedFrom): Promise<void> {
  if (referenceId !== null) await referenceFor(house, teacher, referenceId);
  if (setUpId !== null) await setUpFor(house, teacher, setUpId);
}

/** Sets an exercise; every student of the class gets an open hand-in when they first send something. */
export async function setExercise(
  house: House,
  teacher: Teacher,
  classId: string,
  given: NewExercise,
): Promise<string> {
  const own = await classToChange(house, teacher, classId);
  const id = newId();
  const exercise = checked(own, given);
  await checkPaintedFrom(house, teacher, exercise);
  await house.db.insert(exercises).values({ id, classId, ...exercise });
  await writeDown(house.db, teacher, 'set-exercise', { classId, exerciseId: id });
  return id;
}

/** Changes an exercise from now on. What was handed in before keeps the terms it was handed in under. */
export async function reviseExercise(
  house: House,
  teacher: Teacher,
  exerciseId: string,
  given: NewExercise,
): Promise<void> {
  const own = await exerciseToChange(house, teacher, exerciseId);
  const next = checked(own.class, given);
  await checkPaintedFrom(house, teacher, next);
  if (next.terms.kind !== own.exercise.terms.kind)
    throw new Refused('A revision keeps its kind: set a new exercise instead.');
  await house.db.transaction(async (tx) => {
    const ins = tx.select({ id: handIns.id }).from(handIns).where(eq(handIns.exerciseId, exerciseId));
    await tx
      .update(attempts)
      .set({ terms: own.exercise.terms })
      .where(and(inArray(attempts.handInId, ins), isNull(attempts.terms)));
    await tx
      .update(exercises)
      .set({ ...next, revision: own.exercise.revision + 1 })
      .where(eq(exercises.id, exerciseId));
    await writeDown(tx, teacher, 'revised-exercise', { classId: own.class.id, exerciseId });
  });
}

/** Sets the same exercise once more, for the same or another class, with no date. */
export async function duplicateExercise(
  house: House,
  teacher: Teacher,
  exerciseId: string,
  classId: string,
): Promise<string> {
  const { exercise } = await exerciseFor(house, teacher, exerciseId);
  const { title, note, terms, overrideReason, referenceId, setUpId } = exercise;
  return setExercise(house, teacher, classId, {
    title,
    note,
    terms,
    dueAt: null,
    overrideReason: overrideReason ?? '',
    referenceId,
    setUpId,
  });
}

export async function exercisesOfTeacher(house: House, teacher: Teacher) {
  return house.db
    .select({ exercise: exercises, class: classes })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(isTaughtBy(teacher))
    .orderBy(desc(exercises.createdAt));
}

export async function exercisesOfStudent(house: House, studentId: string, classId: string) {
  const rows = await house.db
    .select({
      exercise: exercises,
      state: handIns.state,
      until: allowances.dueAt,
      excused: allowances.excused,
    })
    .from(exercises)
    .leftJoin(handIns, and(eq(handIns.exerciseId, exercises.id), eq(handIns.studentId, studentId)))
    .leftJoin(allowances, and(eq(allowances.exerciseId, exercises.id), eq(allowances.studentId, studentId)))
    .where(eq(exercises.classId, classId))
    .orderBy(desc(exercises.createdAt));
  return rows.map(({ exercise, state, until, excused }) => ({
    exercise,
    state: shownToStudent(state ?? 'open'),
    dueAt: until ?? exercise.dueAt,
    excused: excused ?? false,
  }));
}

const sayDue = (due: Date, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone }).format(due);

/** What is printed about an exercise, for one student or for nobody in particular. */
function wordsOf(
  own: OwnClass,
  exercise: Pick<typeof exercises.$inferSelect, 'title' | 'dueAt' | 'terms'> & { id: string | null },
  student: typeof students.$inferSelect | null,
  figures: Figures = {},
): ExerciseWords {
  return {
    title: exercise.title,
    className: own.name,
    name: student ? (canPrint(student.name, 'strong') ? student.name : `Student ${student.number}`) : '',
    labels: labelsOf(exercise.terms, own.numbering),
    due: exercise.dueAt ? sayDue(exercise.dueAt, zoneOf(own.meetings)) : '',
    care: cautionText(safetyOf(own, exercise.terms)),
    careInShort: cautionsInShort(safetyOf(own, exercise.terms)),
    exercise: exercise.id,
    student: student?.id ?? null,
    figures,
  };
}

/** The sheet of an exercise that is not set yet, to look at while it is being chosen. Throws Refused. */
export function draftSheet(own: OwnClass, title: string, terms: ExerciseTerms): SheetDrawing {
  try {
    return drawExerciseSheet(terms, wordsOf(own, { id: null, title, dueAt: null, terms }, null));
  } catch (error) {
    if (error instanceof DoesNotFit) throw new Refused(error.message);
    throw error;
  }
}

/** The sheet that one student paints on. */
export function sheetOf(
  own: { exercise: typeof exercises.$inferSelect; class: OwnClass },
  student: typeof students.$inferSelect | null,
): SheetDrawing {
  return drawExerciseSheet(own.exercise.terms, wordsOf(own.class, own.exercise, student));
}

/** The pages of an exercise, a sheet, its handout and its mixes each: one student's own, or for a teacher those of every student of the class. */
export async function pagesToPrint(
  house: House,
  actor: Actor,
  exerciseId: string,
  studentId: string | null,
): Promise<SheetJob> {
  const own = await exerciseFor(house, actor, exerciseId);
  const all = await house.db.select().from(students).where(eq(students.classId, own.class.id)).orderBy(students.number);
  const wanted = actor.role === 'student' ? inClass(actor, own.class.id).studentId : studentId;
  const mine = all.filter((s) => wanted === null || s.id === wanted);
  const { terms } = own.exercise;
  const figures = await figuresFor(house, own.class.id, terms.medium);
  const whom = mine.length > 0 ? mine : [null];
  return { kind: 'exercise', terms, for: whom.map((s) => wordsOf(own.class, own.exercise, s, figures)) };
}
