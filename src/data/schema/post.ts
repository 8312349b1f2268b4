/** Tables of what goes out of the studio by hand: letters as e-mail, announcements, and calendars that others subscribe to. */
import { sql } from 'drizzle-orm';
import { index, pgTable, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { classes, students } from './class';
import { belongsTo, created } from './columns';
import { attempts } from './hand-in';
import { user } from './sign-in';

/** Where a student's letters go, where a teacher gave that: most have none. */
export const addresses = pgTable('addresses', {
  studentId: text('student_id')
    .primaryKey()
    .references(() => students.id, { onDelete: 'cascade' }),
  address: text('address').notNull(),
});

/** Letters that were taken out as e-mail. */
export const posted = pgTable('posted', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  createdAt: created(),
});

/** What a teacher told a whole class. */
export const announcements = pgTable(
  'announcements',
  {
    id: text('id').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    title: text('title').notNull(),
    text: text('text').notNull(),
    writtenBy: text('written_by').references(() => user.id, { onDelete: 'set null' }),
    createdAt: created(),
  },
  (t) => [index('announcements_class').on(t.classId)],
);

/** Calendars by a secret address: of a class, or of one student. Only the mark of the secret is kept. */
export const feeds = pgTable(
  'feeds',
  {
    mark: text('mark').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    studentId: text('student_id').references(() => students.id, { onDelete: 'cascade' }),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('feeds_class')
      .on(t.classId)
      .where(sql`student_id is null`),
    uniqueIndex('feeds_student').on(t.studentId),
  ],
);
