/** Students who are in several classes of a studio: they sign in as before and find all of their work together. */
import { newId } from '@/data/schema/ids';
import { classes, students } from '@/data/schema/tables';
import { and, asc, eq, max, ne, notInArray } from 'drizzle-orm';
import { classToChange, isTaughtBy, Refused, studentFor, type Teacher } from '../access/actor';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';

/** Students of a teacher's other classes who are not in this one. */
export async function studentsElsewhere(house: House, teacher: Teacher, classId: string) {
  const here = house.db.select({ id: students.userId }).from(students).where(eq(students.classId, classId));
  return house.db
    .select({ id: students.id, name: students.name, className: classes.name })
    .from(students)
    .innerJoin(classes, eq(students.classId, classes.id))
    .where(and(isTaughtBy(teacher), ne(students.classId, classId), notInArray(students.userId, here)))
    .orderBy(asc(classes.name), asc(students.number));
}

/** Brings a student of another class into this one as well. Throws Refused where they are in it. */
export async function bringAlong(house: House, teacher: Teacher, classId: string, studentId: string): Promise<void> {
  await classToChange(house, teacher, classId);
  const { student } = await studentFor(house, teacher, studentId);
  await house.db.transaction(async (tx) => {
    const here = eq(students.classId, classId);
    if ((await tx.$count(students, and(here, eq(students.userId, student.userId)))) > 0)
      throw new Refused(`${student.name} is in this class already.`);
    const [last] = await tx
      .select({ n: max(students.number) })
      .from(students)
      .where(here);
    const { name, userId } = student;
    const id = newId();
    await tx.insert(students).values({ id, classId, userId, name, number: (last?.n ?? 0) + 1 });
    await writeDown(tx, teacher, 'enrolled', { classId, studentId: id });
  });
}
