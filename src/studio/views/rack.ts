/** A class at a glance: students by exercises. */
import { handIns, type HandInState } from '@/data/schema/tables';
import { inArray } from 'drizzle-orm';
import { classOf, type Teacher } from '../access/actor';
import { studentsOf } from '../class/people';
import type { House } from '../house';
import { exercisesOfTeacher } from '../plan/exercises';
import { attemptsAt, currentOf } from './attempt';
import { type Measured, measuredOfAll } from './measured';

export interface RackCell {
  readonly handInId: string | null;
  readonly studentId: string;
  readonly exerciseId: string;
  readonly state: HandInState;
  /** Number of the attempt that counts. */
  readonly attempt: number | null;
  readonly measured: Measured | null;
  readonly refused: boolean;
  /** The attempt to show. */
  readonly attemptId: string | null;
  readonly hasPreview: boolean;
}

/** Students by exercises, each hand-in with what was measured of it. As many queries for one hand-in as for all. */
export async function rackOf(house: House, teacher: Teacher, classId: string) {
  const own = await classOf(house, teacher, classId);
  const people = await studentsOf(house, teacher, classId);
  const work = (await exercisesOfTeacher(house, teacher)).filter((e) => e.class.id === classId).map((e) => e.exercise);
  const ids = work.map((e) => e.id);
  const rows = ids.length === 0 ? [] : await house.db.select().from(handIns).where(inArray(handIns.exerciseId, ids));
  const tries = new Map<string, Awaited<ReturnType<typeof attemptsAt>>>();
  for (const attempt of await attemptsAt(
    house.db,
    rows.map((r) => r.id),
  ))
    tries.set(attempt.handInId, [...(tries.get(attempt.handInId) ?? []), attempt]);
  const currents = rows.flatMap((r) => currentOf(tries.get(r.id) ?? []) ?? []);
  const measured = await measuredOfAll(
    house,
    currents.map((a) => a.id),
  );
  const cells = rows.map((handIn): RackCell => {
    const all = tries.get(handIn.id) ?? [];
    const current = currentOf(all);
    const last = all.at(-1);
    return {
      handInId: handIn.id,
      studentId: handIn.studentId,
      exerciseId: handIn.exerciseId,
      state: handIn.state,
      attempt: current?.number ?? null,
      attemptId: current?.id ?? null,
      hasPreview: (current?.previewHash ?? null) !== null,
      measured: current ? (measured.get(current.id) ?? null) : null,
      refused: last?.state === 'refused' && last.plea === null,
    };
  });
  return { class: own, students: people, exercises: work, cells };
}
