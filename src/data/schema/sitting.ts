/** Tables of an evening at the Table: where a teacher is, and what they did there, so that it can be taken back. */
import { boolean, index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { at, belongsTo, created } from './columns';
import { attempts, handIns } from './hand-in';
import { doneDeed } from './json-columns';
import { user } from './sign-in';

export const sittings = pgTable('sittings', {
  teacherId: text('teacher_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  /** Whether letters are held until they are sent together. */
  holds: boolean('holds').notNull().default(true),
  /** The hand-in that lies on the Table, or lay there last. */
  handInId: text('hand_in_id').references(() => handIns.id, { onDelete: 'set null' }),
  begunAt: at('begun_at').notNull().defaultNow(),
  lastAt: at('last_at').notNull().defaultNow(),
});

export const deeds = pgTable(
  'deeds',
  {
    id: text('id').primaryKey(),
    /** The order in which they were done: clocks may be set back. */
    seq: integer('seq').notNull().generatedByDefaultAsIdentity(),
    teacherId: belongsTo('teacher_id', () => user.id),
    handInId: belongsTo('hand_in_id', () => handIns.id),
    /** The attempt that it was done to; null of what concerns all of them. */
    attemptId: text('attempt_id').references(() => attempts.id, { onDelete: 'cascade' }),
    deed: doneDeed('deed').notNull(),
    createdAt: created(),
    takenBackAt: at('taken_back_at'),
  },
  (t) => [
    index('deeds_teacher').on(t.teacherId, t.seq),
    index('deeds_hand_in').on(t.handInId),
    index('deeds_attempt').on(t.attemptId),
  ],
);
