/** How far an evening at the Table has come, what is next, and what is held to be sent. */
import { minutesLeft } from '@/core/planning/pace';
import type { Verdict } from '@/core/critique/verdict';
import {
  attempts,
  classes,
  critiques,
  decisions,
  deeds,
  exercises,
  handIns,
  measurements,
  students,
  user,
} from '@/data/schema/tables';
import { and, asc, count, desc, eq, gte, isNull, sql } from 'drizzle-orm';
import { isTaughtBy, type Teacher } from '../access/actor';
import { holdsIn, sittingNow } from '../critique/sitting';
import { lastDeed } from '../critique/taking-back';
import type { House } from '../house';
import { counts } from './glances';

export interface SittingView {
  /** Decided in this sitting; all that waits; all that is decided and held. */
  readonly decided: number;
  readonly waiting: number;
  readonly held: number;
  /** About how long the rest takes; null where that can't be said yet. */
  readonly minutes: number | null;
  readonly holds: boolean;
  /** What can be taken back next; null where nothing. */
  readonly last: { readonly id: string; readonly handInId: string; readonly say: string } | null;
  /** The hand-in that follows, and addresses of the pictures it begins with; null where nothing else waits. */
  readonly next: { readonly handInId: string; readonly student: string; readonly pictures: readonly string[] } | null;
}

/** A place in the line: by exercise, then by student. */
interface InLine {
  readonly handInId: string;
  readonly classId: string;
  readonly exerciseId: string;
  readonly number: number;
  readonly student: string;
}

/** What waits, in the order in which it is worked through: one exercise after the other, students by number. */
const waitingInLine = (house: House, teacher: Teacher) =>
  house.db
    .select({
      handInId: handIns.id,
      classId: exercises.classId,
      exerciseId: exercises.id,
      number: students.number,
      student: students.name,
    })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(handIns.state, 'waiting'), isTaughtBy(teacher)))
    .orderBy(asc(exercises.createdAt), asc(exercises.id), asc(students.number));

/** What follows on a hand-in: the rest of its exercise and round to its beginning, then the rest of its class, then all else. */
export function nextInLine(line: readonly InLine[], at: Omit<InLine, 'student'>): InLine | null {
  const others = line.filter((w) => w.handInId !== at.handInId);
  const same = others.filter((w) => w.exerciseId === at.exerciseId);
  return (
    same.find((w) => w.number > at.number) ??
    same[0] ??
    others.find((w) => w.classId === at.classId) ??
    others[0] ??
    null
  );
}

/** Addresses of the pictures that a hand-in is first seen by, by what it was read as. */
const FIRST_SEEN: Readonly<Record<string, readonly string[]>> = {
  scale: ['picture/*/strip'],
  notan: ['picture/*/strip', 'tones/*/drawn', 'tones/*/wanted'],
  painting: ['picture/*/strip'],
  /** Laid on the picture that it is painted from. */
  'painting picture': ['laid/*/drawn', 'laid/*/wanted'],
};

async function picturesOf(house: House, handInId: string): Promise<string[]> {
  const [shown] = await house.db
    .select({
      id: attempts.id,
      strip: attempts.stripHash,
      kind: sql<string | null>`${measurements.result}->>'kind'`,
      against: sql<string | null>`${measurements.against}->>'kind'`,
    })
    .from(attempts)
    .leftJoin(measurements, eq(measurements.attemptId, attempts.id))
    .where(and(eq(attempts.handInId, handInId), counts))
    .orderBy(desc(attempts.seq))
    .limit(1);
  if (!shown) return [];
  const { kind, against } = shown;
  const known = shown.strip ? (FIRST_SEEN[`${kind} ${against}`] ?? FIRST_SEEN[kind ?? '']) : null;
  const seen = known ?? ['picture/*/preview'];
  return seen.map((address) => `/${address.replace('*', shown.id)}`);
}

async function placeOf(house: House, handInId: string) {
  const [at] = await house.db
    .select({ handInId: handIns.id, classId: exercises.classId, exerciseId: exercises.id, number: students.number })
    .from(handIns)
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(eq(handIns.id, handInId));
  return at ?? null;
}

/** The sitting as seen from a hand-in: a handful of queries, however much waits. */
export async function sittingAt(house: House, teacher: Teacher, handInId: string): Promise<SittingView> {
  const [row, line, at, last, [held]] = await Promise.all([
    sittingNow(house, teacher),
    waitingInLine(house, teacher),
    placeOf(house, handInId),
    lastDeed(house, teacher),
    house.db
      .select({ n: count() })
      .from(handIns)
      .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
      .innerJoin(classes, eq(exercises.classId, classes.id))
      .where(and(eq(handIns.state, 'held'), isTaughtBy(teacher))),
  ]);
  const decided = await house.db
    .select({ at: deeds.createdAt })
    .from(deeds)
    .where(
      and(
        eq(deeds.teacherId, teacher.userId),
        isNull(deeds.takenBackAt),
        gte(deeds.createdAt, row?.begunAt ?? new Date()),
        sql`${deeds.deed}->>'did' = 'decided'`,
      ),
    );
  const next = at && nextInLine(line, at);
  return {
    decided: decided.length,
    waiting: line.length,
    held: held?.n ?? 0,
    minutes: minutesLeft(
      decided.map((d) => d.at.getTime()),
      line.length,
    ),
    holds: holdsIn(teacher, row),
    last,
    next: next && { handInId: next.handInId, student: next.student, pictures: await picturesOf(house, next.handInId) },
  };
}

export interface HeldLetter {
  readonly attemptId: string;
  readonly handInId: string;
  readonly student: string;
  readonly title: string;
  readonly className: string;
  readonly verdict: Verdict;
  /** The colleague who decided it; null where that was whoever looks. */
  readonly by: string | null;
}

/** Letters that are held, by class, exercise and student. */
export async function heldLetters(house: House, teacher: Teacher): Promise<HeldLetter[]> {
  const rows = await house.db
    .select({
      by: user.name,
      decidedBy: decisions.decidedBy,
      attemptId: decisions.attemptId,
      handInId: handIns.id,
      student: students.name,
      title: exercises.title,
      className: classes.name,
      verdict: decisions.verdict,
    })
    .from(handIns)
    .innerJoin(decisions, eq(decisions.handInId, handIns.id))
    .innerJoin(critiques, eq(critiques.attemptId, decisions.attemptId))
    .leftJoin(user, eq(decisions.decidedBy, user.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(handIns.state, 'held'), isNull(decisions.withdrawnAt), isNull(critiques.sentAt), isTaughtBy(teacher)))
    .orderBy(asc(classes.name), asc(exercises.createdAt), asc(students.number));
  return rows.map(({ decidedBy, by, ...letter }) => ({ ...letter, by: decidedBy === teacher.userId ? null : by }));
}
