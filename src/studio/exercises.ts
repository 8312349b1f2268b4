/** Setting exercises and printing their sheets. */
import { and, desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { MEDIA } from '@/core/exercise/media';
import { stepLabels } from '@/core/exercise/numbering';
import { orderOfWork } from '@/core/exercise/order-of-work';
import { type ScaleExercise, scaleExerciseSchema } from '@/core/exercise/scale';
import { drawScaleSheet, type SheetDrawing } from '@/core/sheet/drawing';
import { scaleLayout } from '@/core/sheet/scale-layout';
import { newId } from '@/data/ids';
import { classes, exercises, handIns, students } from '@/data/schema';
import { canPrint } from '@/print/fonts';
import { type Actor, classOf, exerciseFor, type Teacher } from './actor';
import type { House } from './house';
import { nameSchema, textSchema } from './words';

export const newExerciseSchema = z.object({
  title: nameSchema,
  note: textSchema,
  dueAt: z.date().nullable(),
  terms: scaleExerciseSchema,
});
export type NewExercise = z.infer<typeof newExerciseSchema>;

/** Sets an exercise; every student of the class gets an open hand-in when they first send something. */
export async function setExercise(house: House, teacher: Teacher, classId: string, given: NewExercise): Promise<string> {
  await classOf(house, teacher, classId);
  const { title, note, dueAt, terms } = newExerciseSchema.parse(given);
  const id = newId();
  await house.db.insert(exercises).values({ id, classId, title, note, dueAt, terms });
  return id;
}

export async function exercisesOfTeacher(house: House, teacher: Teacher) {
  return house.db
    .select({ exercise: exercises, class: classes })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(eq(classes.teacherId, teacher.userId))
    .orderBy(desc(exercises.createdAt));
}

export async function exercisesOfStudent(house: House, studentId: string, classId: string) {
  return house.db
    .select({ exercise: exercises, handIn: handIns })
    .from(exercises)
    .leftJoin(handIns, and(eq(handIns.exerciseId, exercises.id), eq(handIns.studentId, studentId)))
    .where(eq(exercises.classId, classId))
    .orderBy(desc(exercises.createdAt));
}

/** Labels of an exercise's steps in its class's numbering. */
export function labelsOf(terms: ScaleExercise, numbering: (typeof classes.$inferSelect)['numbering']): string[] {
  return stepLabels(numbering, terms);
}

/** A sheet as it is drawn for one student, or for nobody in particular. */
export function sheetOf(
  own: { exercise: typeof exercises.$inferSelect | null; class: Pick<typeof classes.$inferSelect, 'name' | 'numbering'> },
  title: string,
  terms: ScaleExercise,
  student: typeof students.$inferSelect | null,
): SheetDrawing {
  const labels = labelsOf(terms, own.class.numbering);
  const name = student ? (canPrint(student.name, 'strong') ? student.name : `Student ${student.number}`) : '';
  return drawScaleSheet(scaleLayout(terms.steps, terms.paper), {
    title,
    subtitle: `${own.class.name} · ${terms.steps} steps in ${MEDIA[terms.medium].name}`,
    name,
    labels,
    work: orderOfWork(terms.steps, terms.order, terms.workOrder, labels),
    medium: terms.medium,
    exercise: own.exercise?.id ?? null,
    student: student?.id ?? null,
  });
}

/** The sheets of an exercise: one student's own, or for a teacher one for each student of the class. */
export async function sheetsFor(house: House, actor: Actor, exerciseId: string, studentId: string | null): Promise<SheetDrawing[]> {
  const own = await exerciseFor(house, actor, exerciseId);
  const all = await house.db.select().from(students).where(eq(students.classId, own.class.id)).orderBy(students.number);
  const wanted = actor.role === 'student' ? actor.studentId : studentId;
  const mine = all.filter((s) => wanted === null || s.id === wanted);
  return (mine.length > 0 ? mine : [null]).map((s) => sheetOf(own, own.exercise.title, own.exercise.terms, s));
}
