/**
 * Tables of what is handed in. What was measured (measurements) is kept apart from what is said of it.
 */
import { REGISTERS } from '@/core/critique/voice';
import { sql } from 'drizzle-orm';
import { boolean, check, doublePrecision, index, integer, pgTable, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { classes, exercises, students } from './class';
import { at, belongsTo, created, oneOf } from './columns';
import { files } from './file';
import {
  captureTarget,
  exerciseTerms,
  lookMarks,
  measuredAgainst,
  measuredResult,
  paintedMasses,
  storedLook,
} from './json-columns';

export const HAND_IN_STATES = ['open', 'waiting', 'held', 'again', 'passed'] as const;
export type HandInState = (typeof HAND_IN_STATES)[number];

export const handIns = pgTable(
  'hand_ins',
  {
    id: text('id').primaryKey(),
    exerciseId: belongsTo('exercise_id', () => exercises.id),
    studentId: belongsTo('student_id', () => students.id),
    state: text('state', { enum: HAND_IN_STATES }).notNull().default('open'),
    /** Whom its letter is written for, where that is not as in its class. */
    register: text('register', { enum: REGISTERS }),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('hand_ins_exercise_student').on(t.exerciseId, t.studentId),
    index('hand_ins_student').on(t.studentId),
    check('hand_ins_state', oneOf(t.state, HAND_IN_STATES)),
    check('hand_ins_register', oneOf(t.register, REGISTERS)),
  ],
);

/** Pictures of a pile that could not be sorted: they wait to be given to a student by hand. */
export const tray = pgTable(
  'tray',
  {
    id: text('id').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    photoHash: text('photo_hash')
      .notNull()
      .references(() => files.hash),
    smallHash: text('small_hash')
      .notNull()
      .references(() => files.hash),
    orientation: integer('orientation').notNull(),
    /** What the file was called, for the teacher to recognise it by. */
    name: text('name').notNull(),
    /** Why it could not be sorted. */
    reason: text('reason').notNull(),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('tray_same_file').on(t.classId, t.photoHash),
    index('tray_photo').on(t.photoHash),
    index('tray_small').on(t.smallHash),
  ],
);

export const ATTEMPT_STATES = [
  'received',
  'queued',
  'measuring',
  'measured',
  'refused',
  'failed',
  'cancelled',
] as const;
export type AttemptState = (typeof ATTEMPT_STATES)[number];

export const attempts = pgTable(
  'attempts',
  {
    id: text('id').primaryKey(),
    handInId: belongsTo('hand_in_id', () => handIns.id),
    /** The order in which they came: clocks may be set back. */
    seq: integer('seq').notNull().generatedByDefaultAsIdentity(),
    /** How often it was taken to be measured: whoever took it before the last time has it no longer. */
    turn: integer('turn').notNull().default(0),
    /** Counted among those that were not refused; null until it counts. */
    number: integer('number'),
    state: text('state', { enum: ATTEMPT_STATES }).notNull(),
    photoHash: text('photo_hash')
      .notNull()
      .references(() => files.hash),
    orientation: integer('orientation').notNull(),
    /** The exercise as it stood then; null in rows from before exercises could be revised. */
    terms: exerciseTerms('terms'),
    /** How the painting is framed; null: by its worksheet. */
    target: captureTarget('target'),
    /** From life: where the masses of the set-up lie on this picture; null until somebody painted them. */
    masses: paintedMasses('masses'),
    /** Of what is built up in stages: which of them it shows. */
    stage: text('stage'),
    /** Whether a frame that was painted round the picture stands for the dark end. */
    frameIsDark: boolean('frame_is_dark').notNull().default(false),
    /** The student's word with a photograph that was refused and sent on all the same. */
    plea: text('plea'),
    previewHash: text('preview_hash').references(() => files.hash),
    stripHash: text('strip_hash').references(() => files.hash),
    /** One sentence for the person, when it failed. */
    trouble: text('trouble'),
    createdAt: created(),
    changedAt: at('changed_at').notNull().defaultNow(),
  },
  (t) => [
    uniqueIndex('attempts_same_file').on(t.handInId, t.photoHash),
    uniqueIndex('attempts_number').on(t.handInId, t.number),
    index('attempts_state').on(t.state),
    index('attempts_photo').on(t.photoHash),
    index('attempts_preview').on(t.previewHash),
    index('attempts_strip').on(t.stripHash),
    check('attempts_state', oneOf(t.state, ATTEMPT_STATES)),
  ],
);

/** Dabs that a student photographed on the way to a step. The photographs themselves are not kept. */
export const dabChecks = pgTable(
  'dab_checks',
  {
    id: text('id').primaryKey(),
    exerciseId: belongsTo('exercise_id', () => exercises.id),
    studentId: belongsTo('student_id', () => students.id),
    step: integer('step').notNull(),
    /** As read, L*, a*, b*. */
    lightness: doublePrecision('lightness').notNull(),
    a: doublePrecision('a').notNull(),
    b: doublePrecision('b').notNull(),
    uncertainty: doublePrecision('uncertainty').notNull(),
    wet: boolean('wet').notNull(),
    createdAt: created(),
  },
  (t) => [index('dab_checks_student').on(t.exerciseId, t.studentId)],
);

/** A student's newest look at an exercise in mid-work. It is no attempt: it is never counted, and no teacher sees it. */
export const looks = pgTable(
  'looks',
  {
    id: text('id').primaryKey(),
    exerciseId: belongsTo('exercise_id', () => exercises.id),
    studentId: belongsTo('student_id', () => students.id),
    /** What was painted by then, straightened and in greys; the photograph itself is not kept. */
    pictureHash: text('picture_hash')
      .notNull()
      .references(() => files.hash),
    look: storedLook('look').notNull(),
    /** The places that the student marked; null until the measurement was asked. */
    marks: lookMarks('marks'),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('looks_exercise_student').on(t.exerciseId, t.studentId),
    index('looks_picture').on(t.pictureHash),
  ],
);

export const measurements = pgTable(
  'measurements',
  {
    id: text('id').primaryKey(),
    attemptId: belongsTo('attempt_id', () => attempts.id),
    version: integer('version').notNull(),
    result: measuredResult('result').notNull(),
    /** Null of what has no reference. */
    against: measuredAgainst('against'),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('measurements_attempt').on(t.attemptId),
    index('measurements_planes').on(sql`(${t.against}->>'planes')`),
    index('measurements_lightness').on(sql`(${t.against}->>'lightness')`),
  ],
);

/** A flipped shape that the teacher accepted: it counts as right in this tone, for one hand-in or for everyone from then on. */
export const readings = pgTable(
  'readings',
  {
    id: text('id').primaryKey(),
    exerciseId: belongsTo('exercise_id', () => exercises.id),
    /** Null: for everyone from then on. */
    handInId: text('hand_in_id').references(() => handIns.id, { onDelete: 'cascade' }),
    maskHash: text('mask_hash')
      .notNull()
      .references(() => files.hash),
    tone: integer('tone').notNull(),
    createdAt: created(),
  },
  (t) => [
    index('readings_exercise').on(t.exerciseId),
    index('readings_hand_in').on(t.handInId),
    index('readings_mask').on(t.maskHash),
  ],
);
