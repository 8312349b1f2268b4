'use server';
import { exerciseTermsSchema } from '@/core/kinds/table';
import { dueOn, zoneOf } from '@/core/planning/meetings';
import type { Placing } from '@/core/planning/timetable';
import { sheetToSvg } from '@/print/sheet-svg';
import { classOf, exerciseFor } from '@/studio/access/actor';
import { draftSheet, duplicateExercise, reviseExercise, setExercise } from '@/studio/plan/exercises';
import { placeStages } from '@/studio/plan/timetables';
import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const planFormSchema = z.object({
  classId: z.string().max(40),
  title: z.string(),
  note: z.string(),
  due: z.union([z.literal(''), z.iso.date({ error: 'Give the date as year, month, day.' })]),
  overrideReason: z.string(),
  terms: exerciseTermsSchema,
  referenceId: z.string().max(40),
  setUpId: z.string().max(40),
});
export type PlanForm = z.infer<typeof planFormSchema>;

/** What a form asks for; the day that it is due is a day of its class. */
function asked(form: PlanForm, own: Awaited<ReturnType<typeof classOf>>) {
  const { title, note, due, overrideReason, terms, referenceId, setUpId } = form;
  return {
    title,
    note,
    dueAt: due === '' ? null : dueOn(due, zoneOf(own.meetings)),
    terms,
    overrideReason,
    referenceId: referenceId || null,
    setUpId: setUpId || null,
  };
}

/** The live picture of a sheet that is not set yet. */
export async function drawSheet(form: PlanForm): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(async () => {
    const { classId, title, terms } = planFormSchema.parse(form);
    return sheetToSvg(draftSheet(await classOf(house, teacher, classId), title.slice(0, 80) || 'Exercise', terms));
  });
}

export async function saveNew(form: PlanForm): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const made = await outcome(async () => {
    const given = planFormSchema.parse(form);
    const own = await classOf(house, teacher, given.classId);
    const exercise = asked(given, own);
    if (exercise.dueAt && exercise.dueAt < new Date())
      throw new z.ZodError([
        {
          code: 'custom',
          path: ['due'],
          message: 'This date is past: choose one that is still to come, or none.',
          input: form.due,
        },
      ]);
    return setExercise(house, teacher, own.id, exercise);
  });
  if (!made.ok) return made;
  redirect(`/plan/${made.value}`);
}

export async function saveRevision(exerciseId: string, form: PlanForm): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const made = await outcome(async () => {
    const { class: own } = await exerciseFor(house, teacher, exerciseId);
    return reviseExercise(house, teacher, exerciseId, asked(planFormSchema.parse(form), own));
  });
  if (!made.ok) return made;
  redirect(`/plan/${exerciseId}`);
}

export async function keepPlacing(exerciseId: string, placing: Placing): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await placeStages(house, teacher, exerciseId, placing);
    return null;
  });
  revalidatePath(`/plan/${exerciseId}`);
  return done;
}

export async function duplicate(exerciseId: string, classId: string): Promise<void> {
  const { house, teacher } = await teacherOnly();
  const made = await outcome(() => duplicateExercise(house, teacher, exerciseId, classId));
  if (made.ok) redirect(`/plan/${made.value}/revise`);
}
