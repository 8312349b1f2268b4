/** What a class has in common at an exercise, with hand-ins that show it; and a few hand-ins laid side by side. */
import { type InCommon, inCommon, sayInCommon, type Told } from '@/core/critique/group/in-common';
import { labelsOf } from '@/core/kinds/table';
import { attemptFindings, attempts, classes, exercises, handIns, students } from '@/data/schema/tables';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { exerciseFor, isTaughtBy, NotFound, type Teacher } from '../access/actor';
import type { House } from '../house';
import { type Glance, glancesAt, withSteps } from './glances';

/** A hand-in that shows it, and whose it is. */
export interface Shown {
  readonly glance: Glance;
  readonly student: string;
}

export interface SharedThing {
  readonly kind: InCommon['kind'];
  readonly say: string;
  readonly shown: readonly Shown[];
}

/** Hand-ins that show a thing, at the most. */
const SHOWN = 5;

/** Hand-ins in an order that says nothing of whose they are or how good, and that is the same whenever it is looked at. */
function shuffled(all: readonly Shown[], seed: string): Shown[] {
  const place = ({ glance }: Shown) => createHash('sha256').update(`${seed} ${glance.handInId}`).digest('hex');
  return all.toSorted((a, b) => (place(a) < place(b) ? -1 : 1));
}

/** What the hand-ins of an exercise have in common: as many queries for two as for all. */
export async function exerciseInCommon(house: House, teacher: Teacher, exerciseId: string) {
  const { exercise, class: own } = await exerciseFor(house, teacher, exerciseId);
  const glances = (await glancesAt(house, eq(exercises.id, exerciseId))).filter((g) => g.figures !== null);
  const ids = glances.map((g) => g.attemptId).filter((id) => id !== null);
  const rows =
    ids.length === 0
      ? []
      : await house.db
          .select()
          .from(attemptFindings)
          .where(inArray(attemptFindings.attemptId, ids))
          .orderBy(asc(attemptFindings.place));
  const findings = new Map<string, Told & { findings: Told['findings'][number][] }>(
    ids.map((attemptId) => [attemptId, { attemptId, findings: [] }]),
  );
  for (const { attemptId, ...finding } of rows) findings.get(attemptId)?.findings.push(finding);
  const shared = inCommon([...findings.values()]);
  const labels = labelsOf(exercise.terms, own.numbering);
  const seen = await withSteps(
    house,
    glances.filter((g) => shared.some(({ of }) => of.slice(0, SHOWN).includes(g.attemptId ?? ''))),
  );
  const names = await house.db
    .select({ id: students.id, name: students.name })
    .from(students)
    .where(eq(students.classId, own.id));
  const nameOf = new Map(names.map((n) => [n.id, n.name]));
  const things = shared.map((one): SharedThing => {
    const shown = one.of.slice(0, SHOWN).flatMap((attemptId): Shown[] => {
      const glance = seen.find((g) => g.attemptId === attemptId);
      return glance ? [{ glance, student: nameOf.get(glance.studentId) ?? '' }] : [];
    });
    return {
      kind: one.kind,
      say: sayInCommon(one, ids.length, labels),
      shown: shuffled(shown, `${exerciseId} ${one.code} ${one.steps.join()}`),
    };
  });
  return { exercise, class: own, total: ids.length, labels, things };
}

/**
 * Hand-ins laid side by side, in the order in which they were asked for. Throws NotFound where none of them is the teacher's, or
 * of the class.
 */
export async function sideBySide(house: House, teacher: Teacher, classId: string, attemptIds: readonly string[]) {
  const rows = await house.db
    .select({
      attemptId: attempts.id,
      handInId: handIns.id,
      student: students.name,
      exercise: exercises,
      class: classes,
    })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(inArray(attempts.id, [...attemptIds, '']), eq(classes.id, classId), isTaughtBy(teacher)));
  if (rows.length === 0) throw new NotFound();
  const handInIds = rows.map((r) => r.handInId);
  const glances = await withSteps(house, await glancesAt(house, inArray(handIns.id, handInIds)));
  return attemptIds.flatMap((id) => {
    const row = rows.find((r) => r.attemptId === id);
    const glance = glances.find((g) => g.handInId === row?.handInId);
    if (!row || !glance) return [];
    return [
      {
        glance,
        student: row.student,
        title: row.exercise.title,
        labels: labelsOf(row.exercise.terms, row.class.numbering),
      },
    ];
  });
}
