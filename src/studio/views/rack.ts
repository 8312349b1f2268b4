/** A class at a glance: students by exercises. */
import type { Allowance, DateStanding } from '@/core/planning/deadline';
import { dateStanding } from '@/core/planning/deadline';
import { allowances, exercises } from '@/data/schema/tables';
import { desc, eq } from 'drizzle-orm';
import { classOf, type Teacher } from '../access/actor';
import { studentsOf } from '../class/people';
import type { House } from '../house';
import { type Glance, glancesAt, withSteps } from './glances';

type Exercise = typeof exercises.$inferSelect;

/** A student's place for an exercise. */
export interface RackCell {
  readonly studentId: string;
  readonly exerciseId: string;
  /** Null where nothing was handed in. */
  readonly glance: Glance | null;
  readonly allowance: Allowance | null;
  readonly date: DateStanding;
}

/** Which exercise a rack is open at, if nobody says. */
function openAt(all: readonly Exercise[], glances: readonly Glance[]): Exercise | null {
  const waits = (e: Exercise) => glances.some((g) => g.exerciseId === e.id && g.state === 'waiting');
  return all.find(waits) ?? all[0] ?? null;
}

/**
 * Students by exercises, with the steps of one of them. As many queries for one hand-in as for all.
 *
 * @param asked - the exercise to be opened; the newest at which something waits if it is none of this class.
 */
export async function rackOf(
  house: House,
  teacher: Teacher,
  classId: string,
  asked: string | null = null,
  now = new Date(),
) {
  const own = await classOf(house, teacher, classId);
  const people = await studentsOf(house, teacher, classId);
  const work = await house.db
    .select()
    .from(exercises)
    .where(eq(exercises.classId, classId))
    .orderBy(desc(exercises.createdAt), desc(exercises.id));
  const plain = await glancesAt(house, eq(exercises.classId, classId));
  const open = work.find((e) => e.id === asked) ?? openAt(work, plain);
  const [opened, others] = [
    plain.filter((g) => g.exerciseId === open?.id),
    plain.filter((g) => g.exerciseId !== open?.id),
  ];
  const glances = [...others, ...(await withSteps(house, opened))];
  const allowed = await house.db
    .select({ allowance: allowances })
    .from(allowances)
    .innerJoin(exercises, eq(allowances.exerciseId, exercises.id))
    .where(eq(exercises.classId, classId));
  const keyOf = (studentId: string, exerciseId: string) => `${studentId} ${exerciseId}`;
  const glanceOf = new Map(glances.map((g) => [keyOf(g.studentId, g.exerciseId), g]));
  const allowanceOf = new Map(allowed.map(({ allowance: a }) => [keyOf(a.studentId, a.exerciseId), a]));
  const cells = people.flatMap((student) =>
    work.map((exercise): RackCell => {
      const key = keyOf(student.id, exercise.id);
      const glance = glanceOf.get(key) ?? null;
      const allowance = allowanceOf.get(key) ?? null;
      const date = dateStanding(exercise.dueAt, allowance, glance?.firstAt ?? null, now);
      return { studentId: student.id, exerciseId: exercise.id, glance, allowance, date };
    }),
  );
  return { class: own, students: people, exercises: work, open, cells };
}
