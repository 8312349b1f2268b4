/** What a teacher allows one student of an exercise: more time, or to leave it out. */
import { sql } from 'drizzle-orm';
import { boolean, check, index, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { exercises, students } from './class';
import { at, belongsTo, created } from './columns';

export const allowances = pgTable(
  'allowances',
  {
    exerciseId: belongsTo('exercise_id', () => exercises.id),
    studentId: belongsTo('student_id', () => students.id),
    /** Until when they have time; null as everybody. */
    dueAt: at('due_at'),
    /** Whether they need not hand it in. */
    excused: boolean('excused').notNull().default(false),
    /** Why, for the teacher to remember; often empty. */
    word: text('word').notNull().default(''),
    createdAt: created(),
  },
  (t) => [
    primaryKey({ columns: [t.exerciseId, t.studentId] }),
    index('allowances_student').on(t.studentId),
    check('allowances_something', sql`${t.dueAt} is not null or ${t.excused}`),
  ],
);
