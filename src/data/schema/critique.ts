/**
 * Tables of what is said of an attempt and decided about it: edits of what was drafted, own words and marks, letters that were sent,
 * and what a student wrote to one.
 */
import { FINDING_KINDS } from '@/core/critique/finding';
import { VERDICTS } from '@/core/critique/verdict';
import { sql } from 'drizzle-orm';
import { boolean, check, index, pgTable, primaryKey, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { at, belongsTo, created, oneOf, written } from './columns';
import { attempts, handIns } from './hand-in';
import { files } from './file';
import { correctionLayers, drawnMark, sentLetter } from './json-columns';
import { user } from './sign-in';

export const critiques = pgTable('critiques', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  /** The teacher's own words, beside the findings. */
  word: text('word').notNull().default(''),
  written: written(),
  sentAt: at('sent_at'),
  /** What was said when it was sent; null while it is a draft, which follows from the measurement whenever it is wanted. */
  letter: sentLetter('letter'),
  createdAt: created(),
});

/** What a teacher changed of a finding. It hangs on the finding's key, so that judging or measuring anew keeps it. */
export const findingEdits = pgTable(
  'finding_edits',
  {
    attemptId: belongsTo('attempt_id', () => critiques.attemptId),
    key: text('key').notNull(),
    /** The teacher's own words; null keeps the draft's. */
    say: text('say'),
    action: text('action'),
    dropped: boolean('dropped').notNull().default(false),
    written: written(),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.key] })],
);

/** What a teacher says of an attempt by themselves; it is edited and dropped as any finding is, by its key. */
export const ownFindings = pgTable(
  'own_findings',
  {
    id: text('id').primaryKey(),
    attemptId: belongsTo('attempt_id', () => critiques.attemptId),
    kind: text('kind', { enum: FINDING_KINDS }).notNull(),
    say: text('say').notNull(),
    action: text('action').notNull().default(''),
    createdAt: created(),
  },
  (t) => [index('own_findings_attempt').on(t.attemptId), check('own_findings_kind', oneOf(t.kind, FINDING_KINDS))],
);

/** What a teacher drew on the pictures of an attempt, stroke by stroke. */
export const marks = pgTable(
  'marks',
  {
    id: text('id').primaryKey(),
    attemptId: belongsTo('attempt_id', () => critiques.attemptId),
    mark: drawnMark('mark').notNull(),
    createdAt: created(),
  },
  (t) => [index('marks_attempt').on(t.attemptId)],
);

/** How a teacher showed what could be better: layers over the student's picture, several ways of it beside one another. */
export const corrections = pgTable(
  'corrections',
  {
    id: text('id').primaryKey(),
    attemptId: belongsTo('attempt_id', () => critiques.attemptId),
    /** The picture that it was drawn on: it stays that one when the painting is measured anew. */
    pictureHash: text('picture_hash')
      .notNull()
      .references(() => files.hash),
    name: text('name').notNull(),
    layers: correctionLayers('layers').notNull(),
    /** Why it was set aside, in a word that may be empty; null of one that was not. */
    setAside: text('set_aside'),
    /** Whether it goes with the letter: one at most. */
    withLetter: boolean('with_letter').notNull().default(false),
    written: written(),
    createdAt: created(),
  },
  (t) => [
    index('corrections_attempt').on(t.attemptId),
    index('corrections_picture').on(t.pictureHash),
    uniqueIndex('corrections_letter')
      .on(t.attemptId)
      .where(sql`with_letter`),
  ],
);

/** What a student answered to a letter, or asked: one a letter. */
export const replies = pgTable('replies', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  /** Key of the remark that it answers; null where it asks something. */
  about: text('about'),
  text: text('text').notNull(),
  createdAt: created(),
  /** What the teacher said to it; null until it was looked at, empty where looking was enough. */
  answer: text('answer'),
  answeredAt: at('answered_at'),
});

export const decisions = pgTable(
  'decisions',
  {
    id: text('id').primaryKey(),
    handInId: belongsTo('hand_in_id', () => handIns.id),
    attemptId: belongsTo('attempt_id', () => attempts.id),
    verdict: text('verdict', { enum: VERDICTS }).notNull(),
    /** Who decided; null in rows from before it was kept. */
    decidedBy: text('decided_by').references(() => user.id, { onDelete: 'set null' }),
    createdAt: created(),
    withdrawnAt: at('withdrawn_at'),
  },
  (t) => [
    uniqueIndex('decisions_standing')
      .on(t.attemptId)
      .where(sql`withdrawn_at is null`),
    index('decisions_hand_in').on(t.handInId),
    check('decisions_verdict', oneOf(t.verdict, VERDICTS)),
  ],
);
