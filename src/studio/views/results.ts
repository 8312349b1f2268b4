/** The results and grades of a class, as they are looked over and taken out: as many queries for one hand-in as for a term. */
import { bookOf, type Graded, gradesInFull, inShort } from '@/core/grading/book';
import { FIGURE_KEYS } from '@/core/kinds/figure-words';
import { dateStanding } from '@/core/planning/deadline';
import type { RecordTable } from '@/core/record/table';
import { resultsOf, type ResultRow } from '@/core/record/results';
import { allowances, attempts, exercises, grades, handIns, type HandInState, students } from '@/data/schema/tables';
import { asc, eq } from 'drizzle-orm';
import { classOf, type Teacher } from '../access/actor';
import { studentsOf } from '../class/people';
import type { House } from '../house';
import { sayFigure } from './grading';
import { handedInBy, type TriedHere, triesOfClass } from './tried';

const DAY_MS = 86_400_000;

const exercisesOf = (house: House, classId: string) =>
  house.db
    .select()
    .from(exercises)
    .where(eq(exercises.classId, classId))
    .orderBy(asc(exercises.createdAt), asc(exercises.id));

/** Every try of a class, or of one student in it, that was graded, with its grades: one query. */
async function gradedOf(house: House, classId: string, studentId: string | null = null): Promise<Graded[]> {
  const rows = await house.db
    .select({
      ...{ attemptId: attempts.id, number: attempts.number },
      ...{ studentId: handIns.studentId, exerciseId: handIns.exerciseId, grade: grades },
    })
    .from(grades)
    .innerJoin(attempts, eq(grades.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(handedInBy(classId, studentId))
    .orderBy(asc(attempts.seq), asc(grades.criterion));
  const found = new Map<string, Graded & { grades: Graded['grades'][number][] }>();
  for (const { attemptId, number, studentId, exerciseId, grade } of rows) {
    const own = found.get(attemptId) ?? { studentId, exerciseId, number: number ?? 1, grades: [] };
    const key = FIGURE_KEYS.find((k) => k === grade.figure);
    const measured = key && grade.figureValue !== null ? sayFigure(key, grade.figureValue) : null;
    own.grades.push({ ...grade, measured });
    found.set(attemptId, own);
  }
  return [...found.values()];
}

/** The grades of a class, to look over and in full. */
export async function gradeBook(house: House, teacher: Teacher, classId: string) {
  const own = await classOf(house, teacher, classId);
  const [people, work, graded] = await Promise.all([
    studentsOf(house, teacher, classId),
    exercisesOf(house, classId),
    gradedOf(house, classId),
  ]);
  const some = work.filter((e) => graded.some((g) => g.exerciseId === e.id));
  return { class: own, book: bookOf(graded, people, some), full: gradesInFull(graded, people, work) };
}

const STATES: Readonly<Record<HandInState, ResultRow['state']>> = {
  open: 'nothing yet',
  waiting: 'waits',
  held: 'waits',
  again: 'once more',
  passed: 'passed',
};

/** Every student at every exercise, or one of them. */
export async function resultRows(
  house: House,
  teacher: Teacher,
  classId: string,
  { now = new Date(), studentId = null }: { readonly now?: Date; readonly studentId?: string | null } = {},
): Promise<ResultRow[]> {
  await classOf(house, teacher, classId);
  const [people, work, tried, graded, ins, allowed] = await Promise.all([
    studentsOf(house, teacher, classId),
    exercisesOf(house, classId),
    triesOfClass(house, classId, studentId),
    gradedOf(house, classId, studentId),
    house.db
      .select({ studentId: handIns.studentId, exerciseId: handIns.exerciseId, state: handIns.state })
      .from(handIns)
      .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
      .where(handedInBy(classId, studentId)),
    house.db
      .select({ allowance: allowances })
      .from(allowances)
      .innerJoin(students, eq(allowances.studentId, students.id))
      .where(eq(students.classId, classId)),
  ]);
  const at = <T extends { readonly studentId: string; readonly exerciseId: string }>(rows: readonly T[]) => {
    const found = new Map<string, T[]>();
    for (const row of rows) {
      const key = `${row.studentId} ${row.exerciseId}`;
      found.set(key, [...(found.get(key) ?? []), row]);
    }
    return (studentId: string, exerciseId: string): readonly T[] => found.get(`${studentId} ${exerciseId}`) ?? [];
  };
  const [triesAt, gradesAt, inAt] = [at<TriedHere>(tried), at(graded), at(ins)];
  const allowedAt = at(allowed.map((a) => a.allowance));
  const shown = people.filter((p) => studentId === null || p.id === studentId);
  return shown.flatMap((person) =>
    work.map((exercise): ResultRow => {
      const tries = triesAt(person.id, exercise.id);
      const [allowance] = allowedAt(person.id, exercise.id);
      const date = dateStanding(exercise.dueAt, allowance ?? null, tries[0]?.cameAt ?? null, now);
      const last = gradesAt(person.id, exercise.id).at(-1);
      return {
        ...{ student: person.name, exercise: exercise.title },
        state: STATES[inAt(person.id, exercise.id)[0]?.state ?? 'open'],
        date: date.kind,
        daysLate: Math.ceil(date.lateMs / DAY_MS),
        tries: tries.length,
        figures: tries.at(-1)?.figures ?? null,
        grades: last ? inShort(last.grades) : null,
      };
    }),
  );
}

export const classResults = async (house: House, teacher: Teacher, classId: string): Promise<RecordTable> =>
  resultsOf(await resultRows(house, teacher, classId));
