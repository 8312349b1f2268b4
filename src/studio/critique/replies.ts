/** A student's answer to a letter, or their one question about it, and what the teacher says to that. */
import { classes, critiques, exercises, handIns, replies, students, attempts } from '@/data/schema/tables';
import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm';
import {
  attemptFor,
  isTaughtBy,
  NotFound,
  refuseAssistant,
  Refused,
  type Student,
  type Teacher,
} from '../access/actor';
import type { House } from '../house';
import { letterTextSchema, textSchema } from '../words';
import { noteDeed } from './noting';

/**
 * Answers a remark of a letter, or asks about all of it where `about` is null. It may be written over until the teacher has looked at it.
 *
 * @throws NotFound where there is no such letter or remark; Refused where it was looked at already.
 */
export async function replyTo(
  house: House,
  student: Student,
  attemptId: string,
  given: { readonly about: string | null; readonly text: string },
): Promise<void> {
  await attemptFor(house, student, attemptId);
  const text = textSchema.parse(given.text);
  if (text === '') throw new Refused('Write your answer or your question first.');
  await house.db.transaction(async (tx) => {
    const [critique] = await tx.select().from(critiques).where(eq(critiques.attemptId, attemptId)).for('update');
    const items = critique?.sentAt ? (critique.letter?.items ?? []) : null;
    const isSaid = (key: string) => items?.some((item) => !item.dropped && item.original.key === key);
    if (!items || (given.about !== null && !isSaid(given.about))) throw new NotFound();
    const [own] = await tx.select().from(replies).where(eq(replies.attemptId, attemptId));
    if (own?.answeredAt)
      throw new Refused('Your teacher has looked at what you wrote. Bring what else there is to the next meeting.');
    const reply = { about: given.about, text, createdAt: new Date() };
    await tx
      .insert(replies)
      .values({ attemptId, ...reply })
      .onConflictDoUpdate({ target: replies.attemptId, set: reply });
  });
}

/** What students wrote that the teacher has not looked at, the oldest first; over all classes. */
export const repliesTo = (house: House, teacher: Teacher) =>
  house.db
    .select({
      attemptId: replies.attemptId,
      handInId: handIns.id,
      student: students.name,
      title: exercises.title,
      text: replies.text,
      isQuestion: isNull(replies.about).mapWith(Boolean),
    })
    .from(replies)
    .innerJoin(attempts, eq(replies.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(isTaughtBy(teacher), isNull(replies.answeredAt)))
    .orderBy(asc(replies.createdAt));

/** Says something to it, or only that it was looked at, where nothing is said. Throws NotFound where nothing was written. */
export async function answerReply(house: House, teacher: Teacher, attemptId: string, given: string): Promise<void> {
  refuseAssistant(teacher);
  const own = await attemptFor(house, teacher, attemptId);
  const answer = letterTextSchema.parse(given);
  await house.db.transaction(async (tx) => {
    const answered = await tx
      .update(replies)
      .set({ answer, answeredAt: new Date() })
      .where(eq(replies.attemptId, attemptId))
      .returning({ id: replies.attemptId });
    if (answered.length === 0) throw new NotFound();
    await noteDeed(tx, teacher, own, { did: 'answered' });
  });
}

/** Takes an answer back: what the student wrote waits again. Throws NotFound where there is none. */
export async function takeAnswerBack(house: House, teacher: Teacher, attemptId: string): Promise<void> {
  refuseAssistant(teacher);
  await attemptFor(house, teacher, attemptId);
  const back = await house.db
    .update(replies)
    .set({ answer: null, answeredAt: null })
    .where(and(eq(replies.attemptId, attemptId), isNotNull(replies.answeredAt)))
    .returning({ id: replies.attemptId });
  if (back.length === 0) throw new NotFound();
}
