/** The record of a class: tables of what was measured over a term, from rows alone. */
import { FIGURE_WORDS } from '@/core/kinds/figure-words';
import { labelsOf } from '@/core/kinds/table';
import { colourBiasOf } from '@/core/record/colour-bias';
import { courseOf } from '@/core/record/course';
import { passesOf } from '@/core/record/passes';
import { stepMapOf } from '@/core/record/step-map';
import type { RecordTable } from '@/core/record/table';
import { type CourseKey, firstAndLast } from '@/core/record/tried';
import { attempts, chipFigures, exercises, handIns, stepFigures } from '@/data/schema/tables';
import { asc, eq, inArray } from 'drizzle-orm';
import { classOf, type Teacher } from '../access/actor';
import { studentsOf } from '../class/people';
import { writeDown } from '../staff/chronicle';
import type { House } from '../house';
import { triesOfClass } from './tried';

export const COURSE_WORDS: Readonly<Record<CourseKey, string>> = {
  ...(Object.fromEntries(
    Object.entries(FIGURE_WORDS).map(([key, { label, unit }]) => [key, unit === '' ? label : `${label}, ${unit}`]),
  ) as Record<keyof typeof FIGURE_WORDS, string>),
  // As they are kept, they are shares.
  agreement: 'agreement with the reference, share',
  drawing: 'things out of place, share of the width',
  range: 'range from darkest to lightest, L*',
};
export const COURSE_KEYS = [
  ...(['error', 'evenness', 'bias', 'darkest', 'range', 'agreement', 'drawing', 'edges'] as const),
] satisfies readonly CourseKey[];

interface Ask {
  readonly key: CourseKey;
  /** One student beside the class; null for the class alone. */
  readonly studentId: string | null;
  /** The scale whose steps are mapped; the newest if it is none of the class. */
  readonly exerciseId: string | null;
}

export interface ClassRecord {
  readonly course: RecordTable;
  readonly passes: RecordTable;
  readonly steps: RecordTable;
  readonly colours: RecordTable;
}

/** The tables of a class: as many queries for one hand-in as for all of a year. */
export async function recordOf(house: House, teacher: Teacher, classId: string, { key, studentId, exerciseId }: Ask) {
  const own = await classOf(house, teacher, classId);
  await writeDown(house.db, teacher, 'looked-at-record', { classId });
  const students = await studentsOf(house, teacher, classId);
  const work = await house.db
    .select()
    .from(exercises)
    .where(eq(exercises.classId, classId))
    .orderBy(asc(exercises.createdAt), asc(exercises.id));
  const tried = await triesOfClass(house, classId);
  const scales = work.filter((e) => tried.some((t) => t.exerciseId === e.id && t.kind === 'scale'));
  const mapped = scales.find((e) => e.id === exerciseId) ?? scales.at(-1) ?? null;
  const lastOnes = firstAndLast(tried).map(({ last }) => last as (typeof tried)[number]);
  const ofMapped = lastOnes.filter((t) => t.exerciseId === mapped?.id);
  const ids = ofMapped.map((t) => t.attemptId);
  const steps = await house.db
    .select({ attemptId: stepFigures.attemptId, step: stepFigures.step, error: stepFigures.error })
    .from(stepFigures)
    .where(inArray(stepFigures.attemptId, [...ids, '']));
  const chips = await house.db
    .select({ what: chipFigures.what, error: chipFigures.error })
    .from(chipFigures)
    .innerJoin(attempts, eq(chipFigures.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(eq(exercises.classId, classId));
  const whose = new Map(ofMapped.map((t) => [t.attemptId, t.studentId]));
  const student = students.find((s) => s.id === studentId) ?? null;
  const record: ClassRecord = {
    course: courseOf(tried, work, key, COURSE_WORDS[key], student),
    passes: passesOf(tried, work),
    steps: stepMapOf(
      steps.map(({ attemptId, step, error }) => ({ studentId: whose.get(attemptId) ?? '', step, error })),
      students,
      mapped ? labelsOf(mapped.terms, own.numbering) : [],
    ),
    colours: colourBiasOf(chips),
  };
  return { class: own, students, scales, mapped, student, key, record };
}
