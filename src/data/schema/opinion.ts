/** Tables of a studio with several teachers: who was invited, and what one says to another about a hand-in before it is sent. */
import { VERDICTS } from '@/core/critique/verdict';
import { sql } from 'drizzle-orm';
import { boolean, check, index, pgTable, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { at, belongsTo, created, oneOf } from './columns';
import { critiques } from './critique';
import { STANDINGS, user } from './sign-in';

/** Codes by which somebody may become a teacher here, each once. Only their marks are kept, never the codes. */
export const invitations = pgTable('invitations', {
  mark: text('mark').primaryKey(),
  invitedBy: belongsTo('invited_by', () => user.id),
  /** What whoever brings it becomes. */
  standing: text('standing', { enum: STANDINGS }).notNull().default('teacher'),
  usedAt: at('used_at'),
  createdAt: created(),
});

/** A hand-in that was laid before another teacher: what was asked, and what they say. */
export const opinions = pgTable(
  'opinions',
  {
    id: text('id').primaryKey(),
    attemptId: belongsTo('attempt_id', () => critiques.attemptId),
    askedBy: belongsTo('asked_by', () => user.id),
    of: belongsTo('of_teacher', () => user.id),
    /** Whether whoever is asked is not told whose it is. */
    hidesName: boolean('hides_name').notNull().default(true),
    question: text('question').notNull(),
    /** Their word and what they would decide; null until they have said it. */
    word: text('word'),
    verdict: text('verdict', { enum: VERDICTS }),
    createdAt: created(),
    answeredAt: at('answered_at'),
  },
  (t) => [
    uniqueIndex('opinions_once').on(t.attemptId, t.of),
    index('opinions_of').on(t.of),
    index('opinions_asked_by').on(t.askedBy),
    check('opinions_verdict', sql`${t.verdict} is null or ${oneOf(t.verdict, VERDICTS)}`),
  ],
);
