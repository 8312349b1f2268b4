/** What a student sees: no reading and no draft before the decision. */
import type { Mark } from '@/core/critique/marks';
import type { FindingKind } from '@/core/critique/finding';
import type { Why } from '@/core/critique/why';
import type { CaptureIssue } from '@/core/capture/gate';
import type { Verdict } from '@/core/critique/verdict';
import { type AttemptState, classes, handIns } from '@/data/schema/tables';
import { and, eq } from 'drizzle-orm';
import { handInStagesOf, labelsOf } from '../../core/kinds/table';
import { exerciseFor, type Student } from '../access/actor';
import { setUpOfExercise } from '../hand-in/notan-hand-ins';
import { nextStage } from '../hand-in/stages';
import { shownToStudent } from '../hand-in/states';
import type { House } from '../house';
import { allowanceOf } from '../plan/allowances';
import { exercisesOfStudent, safetyOf } from '../plan/exercises';
import { attemptsAt, type AttemptView, attemptViews, type Reply } from './attempt';
import { type Measured } from './measured';
import { judgedBy } from './said';

/** One thing that a letter says. */
export interface LetterItem {
  readonly key: string;
  readonly kind: FindingKind;
  readonly say: string;
  readonly action: string | null;
  /** What stands behind it, to be unfolded; nothing of what the teacher said by themselves. */
  readonly numbers: Why['numbers'];
}

/** What a student may see of an attempt: the gate always, the letter once it was sent. */
export interface StudentAttempt {
  readonly id: string;
  readonly number: number | null;
  readonly state: AttemptState;
  /** Of what is built up in stages: the name of the one that it shows. */
  readonly stage: string | null;
  readonly trouble: string | null;
  readonly plea: string | null;
  readonly createdAt: Date;
  readonly hasPreview: boolean;
  readonly issues: readonly CaptureIssue[];
  readonly letter: {
    readonly verdict: Verdict;
    readonly word: string;
    readonly items: readonly LetterItem[];
    readonly reply: Reply | null;
    /** What was drawn on its pictures. */
    readonly marks: readonly Mark[];
    /** The correction that came with it, and how often it had been written; null where there was none. */
    readonly correction: { readonly id: string; readonly written: number } | null;
    readonly measured: Measured | null;
    readonly hasStrip: boolean;
  } | null;
}

function letterOf({
  critique,
  verdict,
  measured,
  hasStrip,
  reply,
  marks,
  corrections,
}: AttemptView): StudentAttempt['letter'] {
  if (!critique?.sentAt || !verdict) return null;
  const shown = corrections.find((c) => c.withLetter);
  return {
    verdict,
    word: critique.word,
    items: critique.items
      .filter((i) => !i.dropped)
      .map(({ original, say, action }) => ({
        ...{ key: original.key, kind: original.kind },
        ...{ say: say ?? original.say, action: action ?? original.do },
        numbers: critique.whys[original.key]?.numbers ?? [],
      })),
    reply,
    marks: marks.map((m) => m.mark),
    correction: shown ? { id: shown.id, written: shown.written } : null,
    measured,
    hasStrip,
  };
}

const studentAttempt = (view: AttemptView): StudentAttempt => ({
  id: view.id,
  number: view.number,
  state: view.state,
  stage: view.stage,
  trouble: view.trouble,
  plea: view.plea,
  createdAt: view.createdAt,
  hasPreview: view.hasPreview,
  issues: view.measured?.result.capture.issues ?? [],
  letter: letterOf(view),
});

export async function myWork(house: House, student: Student) {
  const [own] = await house.db.select().from(classes).where(eq(classes.id, student.classId));
  const work = await exercisesOfStudent(house, student.studentId, student.classId);
  return { work, meetings: own?.meetings ?? null };
}

export async function myExercise(house: House, student: Student, exerciseId: string) {
  const own = await exerciseFor(house, student, exerciseId);
  const [handIn] = await house.db
    .select()
    .from(handIns)
    .where(and(eq(handIns.exerciseId, exerciseId), eq(handIns.studentId, student.studentId)));
  const { numbering } = own.class;
  const { terms } = own.exercise;
  const setUp = await setUpOfExercise(house, own.exercise);
  const rows = await attemptsAt(house.db, handIn ? [handIn.id] : []);
  const stages = handInStagesOf(terms);
  const allowed = await allowanceOf(house, exerciseId, student.studentId);
  return {
    dueAt: allowed?.dueAt ?? own.exercise.dueAt,
    excused: allowed?.excused ?? false,
    exercise: own.exercise,
    class: { name: own.class.name, numbering, meetings: own.class.meetings },
    labels: labelsOf(terms, numbering),
    safety: safetyOf(own.class, terms),
    /** What is painted from life, so that a student finds it. */
    setUp: setUp && { title: setUp.title, note: setUp.note },
    /** What it is handed in as, stage by stage, and which of them comes next; none where it is handed in once. */
    stages: stages.map(({ id, name }) => ({ id, name })),
    nextStage: nextStage(stages, rows)?.id ?? null,
    state: shownToStudent(handIn?.state ?? 'open'),
    attempts: (await attemptViews(house, rows, judgedBy({ ...own, handIn: handIn ?? null }))).map(studentAttempt),
  };
}
