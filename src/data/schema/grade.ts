/** Tables of what a teacher keeps of students by themselves: notes, and marks by the scheme of the class. */
import { doublePrecision, index, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { students } from './class';
import { at, belongsTo, created, written } from './columns';
import { attempts } from './hand-in';
import { user } from './sign-in';

/** What those who teach a student remember of them; students do not see it. */
export const studentNotes = pgTable(
  'student_notes',
  {
    id: text('id').primaryKey(),
    studentId: belongsTo('student_id', () => students.id),
    text: text('text').notNull(),
    writtenBy: text('written_by').references(() => user.id, { onDelete: 'set null' }),
    written: written(),
    createdAt: created(),
  },
  (t) => [index('student_notes_student').on(t.studentId)],
);

/** Marks that were given, each with what was measured at that time: it stays as it was when the scheme or a measurement changes. */
export const grades = pgTable(
  'grades',
  {
    attemptId: belongsTo('attempt_id', () => attempts.id),
    /** The criterion's key in the scheme, and what it was called then. */
    criterion: text('criterion').notNull(),
    name: text('name').notNull(),
    points: doublePrecision('points'),
    most: doublePrecision('most'),
    level: text('level'),
    /** The figure that stood beside it, as it was kept; null where there was none. */
    figure: text('figure'),
    figureValue: doublePrecision('figure_value'),
    /** When that was measured; null where nothing was. */
    measuredAt: at('measured_at'),
    givenBy: text('given_by').references(() => user.id, { onDelete: 'set null' }),
    givenAt: at('given_at').notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.criterion] })],
);
