/** What a student sees: no reading and no draft before the decision. */
import type { Mark } from '@/core/critique/marks';
import type { FindingKind } from '@/core/critique/finding';
import type { Why } from '@/core/critique/why';
import type { CaptureIssue } from '@/core/capture/gate';
import type { Verdict } from '@/core/critique/verdict';
import { gradeWords } from '@/core/grading/scheme';
import { type AttemptState, classes, handIns } from '@/data/schema/tables';
import { and, eq, inArray } from 'drizzle-orm';
import { handInStagesOf, labelsOf } from '../../core/kinds/table';
import { exerciseOfMine, placesOf, type Student } from '../access/actor';
import { setUpOfExercise } from '../hand-in/notan-hand-ins';
import { nextStage } from '../hand-in/stages';
import { shownToStudent } from '../hand-in/states';
import type { House } from '../house';
import { announcementsOf } from '../post/mailing';
import { allowanceOf } from '../plan/allowances';
import { exercisesOfStudent, safetyOf } from '../plan/exercises';
import { attemptsAt, type AttemptView, attemptViews, type Reply } from './attempt';
import { gradesOf } from './grading';
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

/** What a class was told stays with its students' work for so long. */
const TOLD_DAYS = 28;
const DAY_MS = 86_400_000;

type Group = typeof classes.$inferSelect;

async function workIn(house: House, { id, name, meetings }: Group, studentId: string, now: Date) {
  const [work, told] = await Promise.all([exercisesOfStudent(house, studentId, id), announcementsOf(house, id)]);
  const since = now.getTime() - TOLD_DAYS * DAY_MS;
  return { studentId, name, meetings, work, told: told.filter(({ at }) => at.getTime() > since) };
}

/** What is set to a student and what they were told, class by class. */
export async function myWork(house: House, student: Student, now = new Date()) {
  const places = placesOf(student);
  const ids = places.map((p) => p.classId);
  const groups = await house.db.select().from(classes).where(inArray(classes.id, ids));
  const mine = places.flatMap(({ studentId, classId }) => {
    const own = groups.find((g) => g.id === classId);
    return own ? [{ own, studentId }] : [];
  });
  return Promise.all(mine.map(({ own, studentId }) => workIn(house, own, studentId, now)));
}

/** Grades of tries that were given back, where the class shows them: by try. */
async function gradesShown(house: House, { scheme }: Group, views: readonly AttemptView[]) {
  const back = scheme?.shown ? views.filter((v) => v.critique?.sentAt).map((v) => v.id) : [];
  const given = await gradesOf(house, back);
  return (attemptId: string) =>
    given.filter((g) => g.attemptId === attemptId).map((g) => ({ name: g.name, words: gradeWords(g) }));
}

export async function myExercise(house: House, student: Student, exerciseId: string) {
  const own = await exerciseOfMine(house, student, exerciseId);
  const [handIn] = await house.db
    .select()
    .from(handIns)
    .where(and(eq(handIns.exerciseId, exerciseId), eq(handIns.studentId, own.me.studentId)));
  const { numbering } = own.class;
  const { terms } = own.exercise;
  const setUp = await setUpOfExercise(house, own.exercise);
  const rows = await attemptsAt(house.db, handIn ? [handIn.id] : []);
  const stages = handInStagesOf(terms);
  const allowed = await allowanceOf(house, exerciseId, own.me.studentId);
  const views = await attemptViews(house, rows, judgedBy({ ...own, handIn: handIn ?? null }));
  const gradesAt = await gradesShown(house, own.class, views);
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
    attempts: views.map((view) => ({ ...studentAttempt(view), grades: gradesAt(view.id) })),
  };
}
