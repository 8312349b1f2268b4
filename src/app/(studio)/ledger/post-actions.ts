'use server';
/** Where letters go, what a class is told, and calendars by a secret address. */
import { setAddress } from '@/studio/post/addresses';
import { type CalendarOf, closeCalendar, openCalendar } from '@/studio/post/calendars';
import { announce, takeAnnouncementBack } from '@/studio/post/mailing';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(60);
const calendarSchema = z.object({ classId: idSchema, studentId: idSchema.nullable() }) satisfies z.ZodType<CalendarOf>;

async function act<T>(work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>): Promise<Outcome<T>> {
  const at = await teacherOnly();
  const done = await outcome(() => work(at));
  revalidatePath('/ledger', 'layout');
  return done;
}

export async function keepAddress(studentId: string, address: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    setAddress(house, teacher, idSchema.parse(studentId), z.string().max(400).parse(address)),
  );
}
/** Answers with the address of the calendar within the studio; it is shown this once. */
export async function newCalendar(of: unknown): Promise<Outcome<string>> {
  return act(
    async ({ house, teacher }) => `/calendar/${await openCalendar(house, teacher, calendarSchema.parse(of))}.ics`,
  );
}
export async function endCalendar(of: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => closeCalendar(house, teacher, calendarSchema.parse(of)));
}
export async function tellClass(classId: string, given: unknown): Promise<Outcome<string>> {
  return act(({ house, teacher }) => announce(house, teacher, classId, given));
}
export async function untellClass(classId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => takeAnnouncementBack(house, teacher, classId, idSchema.parse(id)));
}
