'use server';
import { redirect } from 'next/navigation';
import { scaleExerciseSchema } from '@/core/exercise/scale';
import { setExercise, sheetOf } from '@/studio/exercises';
import { classOf } from '@/studio/actor';
import { sheetToSvg } from '@/print/sheet-svg';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export interface PlanForm {
  readonly classId: string;
  readonly title: string;
  readonly note: string;
  /** ISO day or empty. */
  readonly due: string;
  readonly terms: unknown;
}

/** The live picture of a sheet that is not set yet. */
export async function drawSheet(form: PlanForm): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(async () => {
    const own = await classOf(house, teacher, form.classId);
    return sheetToSvg(sheetOf({ exercise: null, class: own }, form.title.slice(0, 80) || 'Value scale', scaleExerciseSchema.parse(form.terms), null));
  });
}

export async function setScale(form: PlanForm): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const made = await outcome(() =>
    setExercise(house, teacher, form.classId, {
      title: form.title,
      note: form.note,
      dueAt: form.due === '' ? null : new Date(`${form.due}T20:00:00`),
      terms: scaleExerciseSchema.parse(form.terms),
    }),
  );
  if (!made.ok) return made;
  redirect(`/plan/${made.value}`);
}
