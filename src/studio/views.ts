/** What each screen shows, as plain data. A student's view holds no reading and no draft before the decision. */
import type { CaptureIssue } from '@/core/capture/gate';
import type { Finding } from '@/core/critique/finding';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { valuesOf } from '@/core/kinds/kinds';
import type { NotanResult } from '@/core/notan/result';
import type { MassEdit } from '@/core/reference/set-up';
import type { ScaleResult } from '@/core/scale/result';
import {
  attempts,
  critiqueItems,
  critiques,
  decisions,
  exercises,
  handIns,
  measurements,
  students,
  type AttemptState,
  type HandInState,
  type Verdict,
} from '@/data/schema/tables';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { attemptFor, classOf, exerciseFor, handInFor, type Actor, type Student, type Teacher } from './access/actor';
import { classesOf, studentsOf } from './class/people';
import { currentAttempt } from './critique/critiquing';
import { setUpOfExercise, standing } from './hand-in/notan-hand-ins';
import type { House } from './house';
import { measuredResultSchema } from './measured-result';
import { exercisesOfStudent, exercisesOfTeacher, labelsOf, safetyOf } from './plan/exercises';

/** What was measured of an attempt: one of the two, or neither. Stored JSON is data from outside: an unknown version is told, not guessed at. */
interface Read {
  readonly result: ScaleResult | null;
  readonly notan: NotanResult | null;
  readonly against: (typeof measurements.$inferSelect)['against'];
}

async function readingOf(house: House, attemptId: string): Promise<Read> {
  const [row] = await house.db.select().from(measurements).where(eq(measurements.attemptId, attemptId));
  const measured = row ? measuredResultSchema.parse(row.result) : null;
  return {
    result: measured?.kind === 'scale' ? measured : null,
    notan: measured?.kind === 'notan' ? measured : null,
    against: row?.against ?? null,
  };
}

export interface SaidItem {
  readonly position: number;
  readonly original: Finding;
  readonly say: string | null;
  readonly action: string | null;
  readonly dropped: boolean;
}

export interface AttemptView {
  readonly id: string;
  readonly number: number | null;
  readonly state: AttemptState;
  readonly plea: string | null;
  readonly trouble: string | null;
  readonly createdAt: Date;
  readonly hasPreview: boolean;
  readonly hasStrip: boolean;
  /** The exercise as it stood when this was handed in; null in old rows. */
  readonly terms: ExerciseTerms | null;
  readonly result: ScaleResult | null;
  readonly notan: NotanResult | null;
  /** From life: where masses were painted on it. */
  readonly masses: readonly MassEdit[];
  readonly critique: {
    readonly word: string;
    readonly sentAt: Date | null;
    readonly items: readonly SaidItem[];
  } | null;
  readonly verdict: Verdict | null;
}

async function attemptView(house: House, row: typeof attempts.$inferSelect): Promise<AttemptView> {
  const { result, notan } = await readingOf(house, row.id);
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, row.id));
  const items = await house.db
    .select()
    .from(critiqueItems)
    .where(eq(critiqueItems.attemptId, row.id))
    .orderBy(asc(critiqueItems.position));
  const [decision] = await house.db
    .select()
    .from(decisions)
    .where(and(eq(decisions.attemptId, row.id), isNull(decisions.withdrawnAt)));
  return {
    id: row.id,
    number: row.number,
    state: row.state,
    plea: row.plea,
    trouble: row.trouble,
    createdAt: row.createdAt,
    hasPreview: row.previewHash !== null,
    hasStrip: row.stripHash !== null,
    terms: row.terms,
    result,
    notan,
    masses: row.masses?.edits ?? [],
    critique: critique ? { word: critique.word, sentAt: critique.sentAt, items } : null,
    verdict: decision?.verdict ?? null,
  };
}

export interface RackCell {
  readonly handInId: string | null;
  readonly studentId: string;
  readonly exerciseId: string;
  readonly state: HandInState;
  readonly attempt: number | null;
  readonly result: ScaleResult | null;
  readonly notan: NotanResult | null;
  readonly refused: boolean;
  /** The attempt to show. */
  readonly attemptId: string | null;
}

/** A class: students by exercises, each hand-in with the measurement its strip is drawn from. */
export async function rackOf(house: House, teacher: Teacher, classId: string) {
  const own = await classOf(house, teacher, classId);
  const people = await studentsOf(house, teacher, classId);
  const work = (await exercisesOfTeacher(house, teacher)).filter((e) => e.class.id === classId).map((e) => e.exercise);
  const rows =
    work.length === 0
      ? []
      : await house.db
          .select()
          .from(handIns)
          .where(
            inArray(
              handIns.exerciseId,
              work.map((e) => e.id),
            ),
          );
  const cells: RackCell[] = [];
  for (const handIn of rows) {
    const all = await house.db
      .select()
      .from(attempts)
      .where(eq(attempts.handInId, handIn.id))
      .orderBy(asc(attempts.createdAt));
    const current = await currentAttempt(house, handIn.id);
    const { result, notan } = current ? await readingOf(house, current.id) : { result: null, notan: null };
    const lastRefused = all.at(-1)?.state === 'refused' && all.at(-1)?.plea === null;
    cells.push({
      handInId: handIn.id,
      studentId: handIn.studentId,
      exerciseId: handIn.exerciseId,
      state: handIn.state,
      attempt: current?.number ?? null,
      attemptId: current?.id ?? null,
      result,
      notan,
      refused: lastRefused,
    });
  }
  return { class: own, students: people, exercises: work, cells };
}

/** Hand-ins that wait for the teacher, oldest first, over all classes. */
export async function waitingOf(house: House, teacher: Teacher) {
  const groups = await classesOf(house, teacher);
  if (groups.length === 0) return [];
  const rows = await house.db
    .select({ handIn: handIns, student: students, exercise: exercises })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(
      and(
        eq(handIns.state, 'waiting'),
        inArray(
          students.classId,
          groups.map((g) => g.id),
        ),
      ),
    )
    .orderBy(asc(students.number));
  const list = [];
  for (const row of rows) {
    const current = await currentAttempt(house, row.handIn.id);
    if (current) list.push({ ...row, attempt: current, ...(await readingOf(house, current.id)) });
  }
  return list.sort((a, b) => a.attempt.createdAt.getTime() - b.attempt.createdAt.getTime());
}

/** One hand-in under critique, with its neighbours on the rack for "next" and "previous". */
export async function tableOf(house: House, teacher: Teacher, handInId: string) {
  const own = await handInFor(house, teacher, handInId);
  const rows = await house.db
    .select()
    .from(attempts)
    .where(eq(attempts.handInId, handInId))
    .orderBy(asc(attempts.createdAt));
  const current = await currentAttempt(house, handInId);
  const siblings = await house.db
    .select({ id: handIns.id, number: students.number, state: handIns.state })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(eq(handIns.exerciseId, own.exercise.id))
    .orderBy(asc(students.number));
  const at = siblings.findIndex((s) => s.id === handInId);
  return {
    ...own,
    attempts: await Promise.all(rows.map((r) => attemptView(house, r))),
    currentId: current?.id ?? rows.at(-1)?.id ?? null,
    previous: siblings[at - 1]?.id ?? null,
    next: siblings[at + 1]?.id ?? null,
    position: at + 1,
    total: siblings.length,
  };
}

/** Whether what was measured against a picture still stands; null of what was not. */
export async function standingOf(house: House, teacher: Teacher, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  const { against } = await readingOf(house, attemptId);
  const told = against && (await standing(house, own.handIn.id, own.exercise, against));
  // What was asked of masses that nobody has shown yet can change as it likes.
  return told === 'other-set-up' && own.attempt.masses === null ? 'as-it-is' : told;
}

/** PNG of an attempt's tones, as wanted or as drawn, in the exercise's greys; null where none were read. */
export async function tonesOfAttempt(
  house: House,
  teacher: Teacher,
  attemptId: string,
  which: 'wanted' | 'drawn',
): Promise<Uint8Array | null> {
  const own = await attemptFor(house, teacher, attemptId);
  const { against } = await readingOf(house, attemptId);
  const greys = valuesOf(own.attempt.terms ?? own.exercise.terms);
  return against && house.pool.run({ task: 'tones-picture', planes: house.files.path(against.planes), which, greys });
}

/** What a student may see of an attempt: the gate always, the letter once it was sent. */
export interface StudentAttempt {
  readonly id: string;
  readonly number: number | null;
  readonly state: AttemptState;
  readonly trouble: string | null;
  readonly plea: string | null;
  readonly createdAt: Date;
  readonly hasPreview: boolean;
  readonly issues: readonly CaptureIssue[];
  readonly letter: {
    readonly verdict: Verdict;
    readonly word: string;
    readonly items: readonly { readonly kind: 'works' | 'fix'; readonly say: string; readonly action: string | null }[];
    readonly result: ScaleResult | null;
    /** Whether it was measured against a picture, and can be looked at straightened. */
    readonly compared: boolean;
  } | null;
}

function studentAttempt(v: AttemptView): StudentAttempt {
  const sent = v.critique?.sentAt && v.verdict;
  return {
    id: v.id,
    number: v.number,
    state: v.state,
    trouble: v.trouble,
    plea: v.plea,
    createdAt: v.createdAt,
    hasPreview: v.hasPreview,
    issues: (v.result ?? v.notan)?.capture.issues ?? [],
    letter:
      sent && v.critique && v.verdict
        ? {
            verdict: v.verdict,
            word: v.critique.word,
            items: v.critique.items
              .filter((i) => !i.dropped)
              .map((i) => ({ kind: i.original.kind, say: i.say ?? i.original.say, action: i.action ?? i.original.do })),
            result: v.result,
            compared: v.notan !== null && v.hasStrip,
          }
        : null,
  };
}

export async function myWork(house: House, student: Student) {
  return exercisesOfStudent(house, student.studentId, student.classId);
}

export async function myExercise(house: House, student: Student, exerciseId: string) {
  const own = await exerciseFor(house, student, exerciseId);
  const [handIn] = await house.db
    .select()
    .from(handIns)
    .where(and(eq(handIns.exerciseId, exerciseId), eq(handIns.studentId, student.studentId)));
  const rows = handIn
    ? await house.db.select().from(attempts).where(eq(attempts.handInId, handIn.id)).orderBy(asc(attempts.createdAt))
    : [];
  const views = await Promise.all(rows.map((r) => attemptView(house, r)));
  const setUp = await setUpOfExercise(house, own.exercise);
  return {
    exercise: own.exercise,
    class: { name: own.class.name, numbering: own.class.numbering },
    labels: labelsOf(own.exercise.terms, own.class.numbering),
    safety: safetyOf(own.class, own.exercise.terms),
    /** What is painted from life, so that a student finds it. */
    setUp: setUp && { title: setUp.title, note: setUp.note },
    state: handIn?.state ?? ('open' as HandInState),
    attempts: views.map(studentAttempt),
  };
}

/** Bytes of one of an attempt's pictures. The straightened strip shows readings, so a student sees it with the letter only. */
export async function pictureOf(
  house: House,
  actor: Actor,
  attemptId: string,
  kind: 'preview' | 'strip',
): Promise<Buffer | null> {
  const { attempt } = await attemptFor(house, actor, attemptId);
  if (actor.role === 'student' && kind === 'strip') {
    const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
    if (!critique?.sentAt) return null;
  }
  const hash = kind === 'preview' ? attempt.previewHash : attempt.stripHash;
  return hash ? house.files.read(hash) : null;
}
