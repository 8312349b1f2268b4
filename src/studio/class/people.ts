/** The first teacher, classes, students and their codes. */
import { registerSchema } from '@/core/critique/voice';
import type { NumberingId } from '@/core/exercise/numbering';
import { newClassCode, newId, newPersonalCode } from '@/data/schema/ids';
import { classes, students, user } from '@/data/schema/tables';
import { asc, count, desc, eq, max } from 'drizzle-orm';
import { z } from 'zod';
import {
  classOf,
  classToChange,
  isTaughtBy,
  refuseAssistant,
  Refused,
  studentToChange,
  type Teacher,
} from '../access/actor';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { KEEP_DAYS } from './keeping';
import { emailSchema, nameSchema, numberingSchema, passwordSchema } from '../words';

export async function isNewHouse(house: House): Promise<boolean> {
  const [row] = await house.db.select({ n: count() }).from(user).where(eq(user.role, 'teacher'));
  return (row?.n ?? 0) === 0;
}

/** Makes the first teacher; afterwards this door is closed for good. */
export async function createFirstTeacher(house: House, name: string, email: string, password: string): Promise<string> {
  const first = await house.auth.createFirstTeacher(
    nameSchema.parse(name),
    emailSchema.parse(email),
    passwordSchema.parse(password),
  );
  if (first === null) throw new Refused('There is a teacher already. Sign in instead.');
  return first;
}

export async function createClass(
  house: House,
  teacher: Teacher,
  name: string,
  numbering: NumberingId,
  code = newClassCode(),
): Promise<string> {
  refuseAssistant(teacher);
  const id = newId();
  await house.db
    .insert(classes)
    .values({ id, teacherId: teacher.userId, name: nameSchema.parse(name), numbering, code });
  return id;
}

const LINE = 'The line prints 80 to 120 mm long: measure the one on a corner piece once more.';
export const classSettingsSchema = z.object({
  numbering: numberingSchema,
  register: registerSchema,
  underSixteen: z.boolean(),
  school: z.boolean(),
  currency: z.string().regex(/^[A-Z]{3}$/, 'Give the currency as three capital letters, as EUR.'),
  keepDays: z.union(KEEP_DAYS.map((days) => z.literal(days))).nullable(),
  pieceLineMm: z.number('Give the length of the line in millimetres.').min(80, LINE).max(120, LINE).nullable(),
});
export type ClassSettings = z.infer<typeof classSettingsSchema>;

/** How a class numbers its values, and whether its age or place forbids materials. What is set already stays as it is. */
export async function changeClass(
  house: House,
  teacher: Teacher,
  classId: string,
  settings: ClassSettings,
): Promise<void> {
  await classToChange(house, teacher, classId);
  await house.db.update(classes).set(classSettingsSchema.parse(settings)).where(eq(classes.id, classId));
  await writeDown(house.db, teacher, 'changed-class', { classId });
}

export function classesOf(house: House, teacher: Teacher) {
  return house.db.select().from(classes).where(isTaughtBy(teacher)).orderBy(desc(classes.createdAt));
}

export async function studentsOf(house: House, teacher: Teacher, classId: string) {
  await classOf(house, teacher, classId);
  return house.db.select().from(students).where(eq(students.classId, classId)).orderBy(asc(students.number));
}

/** Adds a student. The code is returned this once and is kept nowhere. */
export async function addStudent(
  house: House,
  teacher: Teacher,
  classId: string,
  name: string,
  code = newPersonalCode(),
) {
  const own = await classToChange(house, teacher, classId);
  const displayName = nameSchema.parse(name);
  const userId = await house.auth.createStudent(displayName, own.code, code);
  const id = newId();
  await house.db.transaction(async (tx) => {
    const [last] = await tx
      .select({ n: max(students.number) })
      .from(students)
      .where(eq(students.classId, classId));
    await tx.insert(students).values({ id, classId, userId, name: displayName, number: (last?.n ?? 0) + 1 });
    await writeDown(tx, teacher, 'enrolled', { classId, studentId: id });
  });
  return { id, code };
}

/** Names that are enrolled with one request. */
const listSchema = z.array(nameSchema).min(1).max(20, 'Enrol up to 20 at once.');

/** Adds students of a list, in its order: all of these names are right, or none is added. */
export async function enrolList(
  house: House,
  teacher: Teacher,
  classId: string,
  given: unknown,
): Promise<{ name: string; code: string }[]> {
  const enrolled: { name: string; code: string }[] = [];
  for (const name of listSchema.parse(given))
    enrolled.push({ name, code: (await addStudent(house, teacher, classId, name)).code });
  return enrolled;
}

/** A new personal code; the old one and all its sessions end. */
export async function reissueCode(house: House, teacher: Teacher, studentId: string): Promise<string> {
  const row = await studentToChange(house, teacher, studentId);
  const code = newPersonalCode();
  await house.auth.reissueCode(row.student.userId, row.class.code, code);
  await writeDown(house.db, teacher, 'new-code', { classId: row.class.id, studentId });
  return code;
}
