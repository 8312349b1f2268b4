/** Tables of what a teacher sets up: classes and who is in them, the cupboard, paints, exercises. People are few words: a display name and a code. */
import { FINDING_KINDS } from '@/core/critique/finding';
import { REGISTERS } from '@/core/critique/voice';
import type { MediumId } from '@/core/exercise/media';
import type { NumberingId } from '@/core/exercise/numbering';
import type { StoredId } from '@/core/planning/quantities';
import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, pgTable, primaryKey, real, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { at, belongsTo, created, oneOf, written } from './columns';
import {
  exerciseTerms,
  gradingScheme,
  knownCard,
  loggedMix,
  meetingRule,
  ownFigures,
  paintFit,
  paintList,
  placing,
  printerReadings,
  shelfItem,
} from './json-columns';
import { referencePictures, setUps } from './reference';
import { user } from './sign-in';

export const settings = pgTable('settings', { key: text('key').primaryKey(), value: text('value').notNull() });

export const classes = pgTable(
  'classes',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    name: text('name').notNull(),
    numbering: text('numbering').$type<NumberingId>().notNull(),
    code: text('code').notNull().unique(),
    /** Whom its letters are written for. */
    register: text('register', { enum: REGISTERS }).notNull().default('beginners'),
    underSixteen: boolean('under_sixteen').notNull().default(false),
    school: boolean('school').notNull().default(false),
    /** Three letters, for estimates of cost. */
    currency: text('currency').notNull().default('EUR'),
    /** What is known of the class's printed cards; null: nothing, they are taken to be nominal. */
    card: knownCard('card'),
    /** Length on paper of the line that its printed corner pieces call 100 mm; null until somebody measured it. */
    pieceLineMm: real('piece_line_mm'),
    /** For how many days after its last picture a hand-in is kept; null until somebody deletes it. */
    keepDays: integer('keep_days'),
    /** By what its hand-ins are marked besides passing; null where they only pass or come again. */
    scheme: gradingScheme('scheme'),
    /** When it meets; null until the teacher says. */
    meetings: meetingRule('meetings'),
    createdAt: created(),
  },
  (t) => [index('classes_teacher').on(t.teacherId), check('classes_register', oneOf(t.register, REGISTERS))],
);

/** Remarks of a teacher's own that no rule makes, each found by a key. */
export const remarks = pgTable(
  'remarks',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    key: text('key').notNull(),
    kind: text('kind', { enum: FINDING_KINDS }).notNull(),
    say: text('say').notNull(),
    /** What to do; empty where there is nothing to do. */
    action: text('action').notNull().default(''),
    createdAt: created(),
  },
  (t) => [uniqueIndex('remarks_key').on(t.teacherId, t.key), check('remarks_kind', oneOf(t.kind, FINDING_KINDS))],
);

/** A teacher's cupboard: what of each paint there is, in which packs, at which price. */
export const shelf = pgTable(
  'shelf',
  {
    teacherId: belongsTo('teacher_id', () => user.id),
    /** A paint or another supply. */
    paint: text('paint').$type<StoredId>().notNull(),
    item: shelfItem('item').notNull(),
  },
  (t) => [primaryKey({ columns: [t.teacherId, t.paint] })],
);

/** Printers that value finders are made for, with all that was read of their charts and bars. */
export const printers = pgTable(
  'printers',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    name: text('name').notNull(),
    readings: printerReadings('readings').notNull(),
    createdAt: created(),
  },
  (t) => [index('printers_teacher').on(t.teacherId)],
);

/** The paints of a class in a medium: its own figures, and what its logged mixes made of them. */
export const palettes = pgTable(
  'palettes',
  {
    classId: belongsTo('class_id', () => classes.id),
    medium: text('medium').$type<MediumId>().notNull(),
    paints: paintList('paints').notNull(),
    /** What the teacher set in place of the catalogue's figures. */
    figures: ownFigures('figures').notNull(),
    /** Null until a mix was logged. */
    fit: paintFit('fit'),
    written: written(),
  },
  (t) => [primaryKey({ columns: [t.classId, t.medium] })],
);

const MIX_SOURCES = ['hand', 'photograph'] as const;

/** Mixes that were made and read. */
export const mixes = pgTable(
  'mixes',
  {
    id: text('id').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    medium: text('medium').$type<MediumId>().notNull(),
    mix: loggedMix('mix').notNull(),
    source: text('source', { enum: MIX_SOURCES }).notNull(),
    createdAt: created(),
  },
  (t) => [index('mixes_class').on(t.classId, t.medium), check('mixes_source', oneOf(t.source, MIX_SOURCES))],
);

export const students = pgTable(
  'students',
  {
    id: text('id').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    /** Somebody may be in several classes: they sign in once for all of them. */
    userId: belongsTo('user_id', () => user.id),
    number: integer('number').notNull(),
    name: text('name').notNull(),
    createdAt: created(),
  },
  (t) => [
    uniqueIndex('students_class_number').on(t.classId, t.number),
    uniqueIndex('students_user_class').on(t.userId, t.classId),
  ],
);

export const exercises = pgTable(
  'exercises',
  {
    id: text('id').primaryKey(),
    classId: belongsTo('class_id', () => classes.id),
    title: text('title').notNull(),
    note: text('note').notNull().default(''),
    terms: exerciseTerms('terms').notNull(),
    dueAt: at('due_at'),
    /** How often the terms were changed; what was handed in keeps the terms it was handed in under. */
    revision: integer('revision').notNull().default(1),
    /** Why materials were set that the class's age would forbid. */
    overrideReason: text('override_reason'),
    /** What it is painted from, and measured against. */
    referenceId: text('reference_id').references(() => referencePictures.id, { onDelete: 'set null' }),
    /** Or the set-up that it is painted from in life. */
    setUpId: text('set_up_id').references(() => setUps.id, { onDelete: 'set null' }),
    /** In which meeting each stage begins; null until it is placed. */
    placing: placing('placing'),
    createdAt: created(),
  },
  (t) => [
    index('exercises_class').on(t.classId),
    index('exercises_reference').on(t.referenceId),
    index('exercises_set_up').on(t.setUpId),
    check('exercises_painted_from_one', sql`${t.referenceId} is null or ${t.setUpId} is null`),
  ],
);
