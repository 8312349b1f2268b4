/**
 * Tables. People are few words: a teacher has an e-mail, a student a display name and a code. What was
 * measured (measurements) is kept apart from what is said (critique items), and each decision is a row.
 */
import { relations, sql } from 'drizzle-orm';
import { boolean, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex } from 'drizzle-orm/pg-core';
import type { ScaleExercise } from '@/core/exercise/scale';
import type { NumberingId } from '@/core/exercise/numbering';
import type { Finding } from '@/core/critique/finding';
import type { ScaleResult } from '@/core/scale/result';

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
const created = () => at('created_at').notNull().defaultNow();

// Sign-in. The shapes of these four are the sign-in library's.
export const user = pgTable('user', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
  username: text('username').unique(),
  displayUsername: text('display_username'),
  role: text('role', { enum: ['teacher', 'student'] }).notNull().default('student'),
});

export const session = pgTable(
  'session',
  {
    id: text('id').primaryKey(),
    expiresAt: at('expires_at').notNull(),
    token: text('token').notNull().unique(),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [index('session_user').on(t.userId)],
);

export const account = pgTable(
  'account',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: at('access_token_expires_at'),
    refreshTokenExpiresAt: at('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
  },
  (t) => [index('account_user').on(t.userId)],
);

export const verification = pgTable('verification', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const settings = pgTable('settings', { key: text('key').primaryKey(), value: text('value').notNull() });

export const classes = pgTable(
  'classes',
  {
    id: text('id').primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    numbering: text('numbering').$type<NumberingId>().notNull(),
    code: text('code').notNull().unique(),
    createdAt: created(),
  },
  (t) => [index('classes_teacher').on(t.teacherId)],
);

export const students = pgTable(
  'students',
  {
    id: text('id').primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    userId: text('user_id')
      .notNull()
      .unique()
      .references(() => user.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    name: text('name').notNull(),
    createdAt: created(),
  },
  (t) => [uniqueIndex('students_class_number').on(t.classId, t.number)],
);

export const exercises = pgTable(
  'exercises',
  {
    id: text('id').primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    title: text('title').notNull(),
    note: text('note').notNull().default(''),
    terms: jsonb('terms').$type<ScaleExercise>().notNull(),
    dueAt: at('due_at'),
    createdAt: created(),
  },
  (t) => [index('exercises_class').on(t.classId)],
);

export const HAND_IN_STATES = ['open', 'waiting', 'again', 'passed'] as const;
export type HandInState = (typeof HAND_IN_STATES)[number];

export const handIns = pgTable(
  'hand_ins',
  {
    id: text('id').primaryKey(),
    exerciseId: text('exercise_id')
      .notNull()
      .references(() => exercises.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => students.id, { onDelete: 'cascade' }),
    state: text('state', { enum: HAND_IN_STATES }).notNull().default('open'),
    createdAt: created(),
  },
  (t) => [uniqueIndex('hand_ins_exercise_student').on(t.exerciseId, t.studentId), index('hand_ins_student').on(t.studentId)],
);

/** Files by content: the hash is of the stored bytes, and rows that name it keep it. */
export const files = pgTable('files', {
  hash: text('hash').primaryKey(),
  bytes: integer('bytes').notNull(),
  type: text('type').notNull(),
  createdAt: created(),
});

export const ATTEMPT_STATES = ['received', 'queued', 'measuring', 'measured', 'refused', 'failed', 'cancelled'] as const;
export type AttemptState = (typeof ATTEMPT_STATES)[number];

export const attempts = pgTable(
  'attempts',
  {
    id: text('id').primaryKey(),
    handInId: text('hand_in_id')
      .notNull()
      .references(() => handIns.id, { onDelete: 'cascade' }),
    /** Counted among those that were not refused; null until it counts. */
    number: integer('number'),
    state: text('state', { enum: ATTEMPT_STATES }).notNull(),
    photoHash: text('photo_hash')
      .notNull()
      .references(() => files.hash),
    orientation: integer('orientation').notNull(),
    /** The student's word with a photograph that was refused and sent on all the same. */
    plea: text('plea'),
    previewHash: text('preview_hash').references(() => files.hash),
    stripHash: text('strip_hash').references(() => files.hash),
    /** One sentence for the person, when it failed. */
    trouble: text('trouble'),
    createdAt: created(),
    changedAt: at('changed_at').notNull().defaultNow(),
  },
  (t) => [uniqueIndex('attempts_same_file').on(t.handInId, t.photoHash), index('attempts_state').on(t.state)],
);

export const measurements = pgTable(
  'measurements',
  {
    id: text('id').primaryKey(),
    attemptId: text('attempt_id')
      .notNull()
      .references(() => attempts.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    result: jsonb('result').$type<ScaleResult>().notNull(),
    createdAt: created(),
  },
  (t) => [uniqueIndex('measurements_attempt').on(t.attemptId)],
);

export const critiques = pgTable('critiques', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  /** The teacher's own words, beside the findings. */
  word: text('word').notNull().default(''),
  sentAt: at('sent_at'),
  createdAt: created(),
});

export const critiqueItems = pgTable(
  'critique_items',
  {
    attemptId: text('attempt_id')
      .notNull()
      .references(() => critiques.attemptId, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    /** As it was drafted; never changed. */
    original: jsonb('original').$type<Finding>().notNull(),
    /** The teacher's edit; null keeps the original. */
    say: text('say'),
    action: text('action'),
    dropped: boolean('dropped').notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.position] })],
);

export const VERDICTS = ['pass', 'again'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const decisions = pgTable(
  'decisions',
  {
    id: text('id').primaryKey(),
    handInId: text('hand_in_id')
      .notNull()
      .references(() => handIns.id, { onDelete: 'cascade' }),
    attemptId: text('attempt_id')
      .notNull()
      .references(() => attempts.id, { onDelete: 'cascade' }),
    verdict: text('verdict', { enum: VERDICTS }).notNull(),
    createdAt: created(),
    withdrawnAt: at('withdrawn_at'),
  },
  (t) => [
    uniqueIndex('decisions_standing').on(t.attemptId).where(sql`withdrawn_at is null`),
    index('decisions_hand_in').on(t.handInId),
  ],
);

export const classRelations = relations(classes, ({ many }) => ({ students: many(students), exercises: many(exercises) }));
export const studentRelations = relations(students, ({ one, many }) => ({
  class: one(classes, { fields: [students.classId], references: [classes.id] }),
  handIns: many(handIns),
}));
export const exerciseRelations = relations(exercises, ({ one, many }) => ({
  class: one(classes, { fields: [exercises.classId], references: [classes.id] }),
  handIns: many(handIns),
}));
export const handInRelations = relations(handIns, ({ one, many }) => ({
  exercise: one(exercises, { fields: [handIns.exerciseId], references: [exercises.id] }),
  student: one(students, { fields: [handIns.studentId], references: [students.id] }),
  attempts: many(attempts),
  decisions: many(decisions),
}));
export const attemptRelations = relations(attempts, ({ one }) => ({
  handIn: one(handIns, { fields: [attempts.handInId], references: [handIns.id] }),
  measurement: one(measurements, { fields: [attempts.id], references: [measurements.attemptId] }),
  critique: one(critiques, { fields: [attempts.id], references: [critiques.attemptId] }),
}));
export const critiqueRelations = relations(critiques, ({ many }) => ({ items: many(critiqueItems) }));
export const critiqueItemRelations = relations(critiqueItems, ({ one }) => ({
  critique: one(critiques, { fields: [critiqueItems.attemptId], references: [critiques.attemptId] }),
}));
export const decisionRelations = relations(decisions, ({ one }) => ({
  handIn: one(handIns, { fields: [decisions.handInId], references: [handIns.id] }),
}));
