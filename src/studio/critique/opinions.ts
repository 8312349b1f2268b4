/** A second opinion: a hand-in is laid before another teacher before it is sent, and both words are kept. */
import { newId } from '@/data/schema/ids';
import { VERDICTS } from '@/core/critique/verdict';
import { attempts, critiques, exercises, handIns, opinions, students, user } from '@/data/schema/tables';
import { and, asc, eq, isNotNull, isNull, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import { attemptFor, NotFound, Refused, type Teacher } from '../access/actor';
import { colleaguesOf } from '../staff/colleagues';
import type { House } from '../house';
import { attemptViews } from '../views/attempt';
import { judgedBy } from '../views/said';
import { aboutHandIn, writeDown } from '../staff/chronicle';
import { letterTextSchema } from '../words';
import { openCritique } from './critiquing';
import { noteDeed } from './noting';

const askSchema = z.object({ of: z.string().max(60), hidesName: z.boolean(), question: letterTextSchema });
const saidSchema = z.object({
  word: letterTextSchema.refine((s) => s !== '', 'Say what you think of it.'),
  verdict: z.enum(VERDICTS).nullable(),
});

/**
 * Lays a hand-in before another teacher, who sees its picture and its draft from then on.
 *
 * @throws Refused where it was sent, or where they were asked already; NotFound where there is no such teacher.
 */
export async function askOpinion(house: House, teacher: Teacher, attemptId: string, given: unknown): Promise<void> {
  const own = await attemptFor(house, teacher, attemptId);
  await openCritique(house, teacher, attemptId);
  const { of, hidesName, question } = askSchema.parse(given);
  if (!(await colleaguesOf(house, teacher)).some((c) => c.id === of)) throw new NotFound();
  await house.db.transaction(async (tx) => {
    const [made] = await tx
      .insert(opinions)
      .values({ id: newId(), attemptId, askedBy: teacher.userId, of, hidesName, question })
      .onConflictDoNothing()
      .returning({ id: opinions.id });
    if (!made) throw new Refused('They were asked about this one already.');
    await noteDeed(tx, teacher, own, { did: 'asked', id: made.id });
  });
}

/** Takes a question back that nobody has answered. */
export async function takeQuestionBack(house: House, teacher: Teacher, attemptId: string, id: string): Promise<void> {
  await openCritique(house, teacher, attemptId);
  const gone = await house.db
    .delete(opinions)
    .where(and(eq(opinions.id, id), eq(opinions.attemptId, attemptId), isNull(opinions.answeredAt)))
    .returning({ id: opinions.id });
  if (gone.length === 0) throw new NotFound();
}

/** A question to a teacher, with the attempt that it is about. Throws NotFound where it is not theirs. */
async function askedOf(house: House, teacher: Teacher, id: string) {
  const [row] = await house.db
    .select({ opinion: opinions, asker: user.name, standing: user.standing, sentAt: critiques.sentAt })
    .from(opinions)
    .innerJoin(user, eq(opinions.askedBy, user.id))
    .innerJoin(critiques, eq(opinions.attemptId, critiques.attemptId))
    .where(and(eq(opinions.id, id), eq(opinions.of, teacher.userId)));
  if (!row) throw new NotFound();
  // Whoever asked may see it, and lends that to whoever was asked.
  const standing = row.standing ?? 'assistant';
  const asker: Teacher = { role: 'teacher', standing, userId: row.opinion.askedBy, name: row.asker };
  return { ...row, own: await attemptFor(house, asker, row.opinion.attemptId) };
}

/** Says what a teacher thinks of a hand-in that was laid before them. Throws Refused where it was sent meanwhile. */
export async function giveOpinion(house: House, teacher: Teacher, id: string, given: unknown): Promise<void> {
  const { sentAt } = await askedOf(house, teacher, id);
  if (sentAt) throw new Refused('It was given back meanwhile. What you said before is kept as it is.');
  const { word, verdict } = saidSchema.parse(given);
  await house.db.update(opinions).set({ word, verdict, answeredAt: new Date() }).where(eq(opinions.id, id));
}

/** A hand-in as a teacher sees it who was asked about it: whose it is only where that is not hidden. */
export async function lookAtAsked(house: House, teacher: Teacher, id: string) {
  const { opinion, asker, sentAt, own } = await askedOf(house, teacher, id);
  await writeDown(house.db, teacher, 'looked', aboutHandIn(own));
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  if (!view) throw new NotFound();
  const { hidesName, question, word, verdict } = opinion;
  return {
    ...{ id, asker, question, word, verdict },
    isSent: sentAt !== null,
    student: hidesName ? null : own.student.name,
    title: own.exercise.title,
    marks: view.marks.filter((m) => m.mark.on === 'painting').map((m) => m.mark),
    items: (view.critique?.items ?? [])
      .filter((i) => !i.dropped)
      .map(({ original, say, action }) => ({
        ...{ key: original.key, kind: original.kind, say: say ?? original.say, action: action ?? original.do },
      })),
  };
}

/** The picture of a hand-in that a teacher was asked about; null where it is not made yet. */
export async function pictureOfAsked(house: House, teacher: Teacher, id: string): Promise<Buffer | null> {
  const { own } = await askedOf(house, teacher, id);
  const hash = own.attempt.stripHash ?? own.attempt.previewHash;
  return hash ? house.files.read(hash) : null;
}

/** Questions on hand-ins that were not sent, with what they are about and the name of whoever is on the other side. */
const questions = (house: House, otherSide: typeof opinions.askedBy | typeof opinions.of, which: SQL | undefined) =>
  house.db
    .select({
      ...{ id: opinions.id, other: user.name, question: opinions.question, word: opinions.word },
      ...{ handInId: handIns.id, attemptId: attempts.id, student: students.name, title: exercises.title },
    })
    .from(opinions)
    .innerJoin(user, eq(otherSide, user.id))
    .innerJoin(critiques, eq(opinions.attemptId, critiques.attemptId))
    .innerJoin(attempts, eq(opinions.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(which, isNull(critiques.sentAt)));

/** What others asked a teacher and is not answered, the oldest first: never whose it is. */
export async function askedOfTeacher(house: House, teacher: Teacher) {
  const mine = and(eq(opinions.of, teacher.userId), isNull(opinions.answeredAt));
  const rows = await questions(house, opinions.askedBy, mine).orderBy(asc(opinions.createdAt));
  return rows.map(({ id, other, title, question }) => ({ id, asker: other, title, question }));
}

/** What came back to a teacher of hand-ins that were not sent yet. */
export async function answersToTeacher(house: House, teacher: Teacher) {
  const mine = and(eq(opinions.askedBy, teacher.userId), isNotNull(opinions.answeredAt));
  const rows = await questions(house, opinions.of, mine).orderBy(asc(opinions.answeredAt));
  return rows.map(({ other, question: _, ...row }) => ({ ...row, by: other }));
}
