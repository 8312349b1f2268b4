'use server';
import type { MeetingRule } from '@/core/planning/meetings';
import { bringInCard, forgetCard } from '@/studio/class/cards';
import {
  addStudent,
  enrolList,
  changeClass,
  type ClassSettings,
  createClass,
  reissueCode,
} from '@/studio/class/people';
import { deleteClass, deleteStudent } from '@/studio/class/deleting';
import type { Receipt } from '@/studio/views/receipt';
import { setMeetings } from '@/studio/plan/timetables';
import { numberingSchema } from '@/studio/words';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

export async function makeClass(name: string, numbering: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await createClass(house, teacher, name, numberingSchema.parse(numbering));
    return '';
  });
  revalidatePath('/ledger');
  return done;
}

export async function setClass(classId: string, settings: ClassSettings): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await changeClass(house, teacher, classId, settings);
    return null;
  });
  revalidatePath(`/ledger/${classId}`);
  return done;
}

export async function bringInClassCard(classId: string, text: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await bringInCard(house, teacher, classId, text);
    return null;
  });
  revalidatePath(`/ledger/${classId}`);
  return done;
}

export async function forgetClassCard(classId: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await forgetCard(house, teacher, classId);
    return null;
  });
  revalidatePath(`/ledger/${classId}`);
  return done;
}

export async function keepMeetings(classId: string, rule: MeetingRule): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => {
    await setMeetings(house, teacher, classId, rule);
    return null;
  });
  revalidatePath(`/ledger/${classId}`);
  return done;
}

/** Answers with the personal code; it is shown this once. */
export async function enrol(classId: string, name: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const done = await outcome(async () => `${name}: ${(await addStudent(house, teacher, classId, name)).code}`);
  revalidatePath(`/ledger/${classId}`);
  return done;
}

/** Some of a list, one after the other; the page is made anew when all of it was gone through. */
export async function enrolSome(classId: string, names: unknown): Promise<Outcome<{ name: string; code: string }[]>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => enrolList(house, teacher, classId, names));
}

export async function newCode(studentId: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => reissueCode(house, teacher, studentId));
}

/** The row stays with its receipt until the page is made anew. */
export async function removeStudent(studentId: string): Promise<Outcome<Receipt>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => deleteStudent(house, teacher, studentId));
}

export async function removeClass(classId: string, name: string): Promise<Outcome<Receipt>> {
  const { house, teacher } = await teacherOnly();
  return outcome(() => deleteClass(house, teacher, classId, z.string().max(400).parse(name)));
}
