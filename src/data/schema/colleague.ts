/** Tables of who else teaches a class, and of who saw or changed what. */
import { check, index, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { at, belongsTo, oneOf } from './columns';
import { classes, exercises, students } from './class';
import { user } from './sign-in';

/** With whom a class is shared: they teach it too, or draft for whoever does. */
export const classTeachers = pgTable(
  'class_teachers',
  {
    classId: belongsTo('class_id', () => classes.id),
    teacherId: belongsTo('teacher_id', () => user.id),
  },
  (t) => [primaryKey({ columns: [t.classId, t.teacherId] }), index('class_teachers_teacher').on(t.teacherId)],
);

/** What is written down of whoever teaches. Looking and drafting count once an hour. */
export const CHRONICLED = [
  'looked',
  'looked-at-record',
  'took-out-student',
  'took-out-class',
  'took-out-results',
  'took-out-post',
  'announced',
  'drafted',
  'decided',
  'withdrew',
  'sent',
  'fetched-back',
  'answered',
  'set-exercise',
  'revised-exercise',
  'allowed',
  'noted',
  'graded',
  'enrolled',
  'new-code',
  'deleted-student',
  'changed-class',
  'shared-class',
  'unshared-class',
  'opened-calendar',
  'closed-calendar',
] as const;
export type Chronicled = (typeof CHRONICLED)[number];

/** Who saw or changed what in a class: kept for as long as is written down where it is read. */
export const chronicle = pgTable(
  'chronicle',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    did: text('did', { enum: CHRONICLED }).notNull(),
    classId: belongsTo('class_id', () => classes.id),
    /** Whose it is; null of what concerns the class. */
    studentId: text('student_id').references(() => students.id, { onDelete: 'cascade' }),
    exerciseId: text('exercise_id').references(() => exercises.id, { onDelete: 'cascade' }),
    at: at('at').notNull().defaultNow(),
  },
  (t) => [
    index('chronicle_class').on(t.classId, t.at),
    index('chronicle_student').on(t.studentId),
    index('chronicle_exercise').on(t.exerciseId),
    check('chronicle_did', oneOf(t.did, CHRONICLED)),
  ],
);
