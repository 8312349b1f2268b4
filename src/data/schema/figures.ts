/**
 * Tables of what counts of a measurement, a row a thing: what racks, ledgers and groups are made of, so that nobody digs it out of
 * measured JSON. All of it follows from the measurement and can be made anew from it.
 */
import { FINDING_KINDS } from '@/core/critique/finding';
import type { MeasuredKind } from '@/core/kinds/measured-result';
import type { MeasuredChip } from '@/core/scale/result';
import { doublePrecision, index, integer, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { belongsTo } from './columns';
import { attempts } from './hand-in';

/** One row an attempt. Null is what its family has no such figure of, or what was not read. */
export const attemptFigures = pgTable('attempt_figures', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  version: integer('version').notNull(),
  /** The family that it is of. */
  kind: text('kind').$type<MeasuredKind>().notNull(),
  /** Mean distance from what was wanted, the largest one, and the mean with its sign (above 0 too light), steps. */
  error: doublePrecision('error'),
  worst: doublePrecision('worst'),
  bias: doublePrecision('bias'),
  /** How uneven the gaps between steps are: 0 where all are alike, whatever their contrast. */
  evenness: doublePrecision('evenness'),
  /** The darkest and the lightest of it, L*. */
  darkest: doublePrecision('darkest'),
  lightest: doublePrecision('lightest'),
  /** Share that agrees with its reference. */
  agreement: doublePrecision('agreement'),
  /** Mean distance of what stands elsewhere, shares of the picture's width. */
  drawing: doublePrecision('drawing'),
  /** Thin lines and reaches that are not as they were wanted. */
  edges: integer('edges'),
  /** What there is to mend, by weight. */
  need: doublePrecision('need').notNull(),
});

/** What is told of an attempt, in the order in which it is told. */
export const attemptFindings = pgTable(
  'attempt_findings',
  {
    attemptId: belongsTo('attempt_id', () => attempts.id),
    place: integer('place').notNull(),
    kind: text('kind', { enum: FINDING_KINDS }).notNull(),
    code: text('code').notNull(),
    weight: doublePrecision('weight').notNull(),
    /** Steps that it is said of, from 1; of two it is the gap between them. */
    steps: integer('steps').array().notNull(),
    /** The named shape that it is said of; null of none. */
    shape: text('shape'),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.place] }), index('attempt_findings_code').on(t.code)],
);

/** Every step of a scale as it was read. */
export const stepFigures = pgTable(
  'step_figures',
  {
    attemptId: belongsTo('attempt_id', () => attempts.id),
    step: integer('step').notNull(),
    lightness: doublePrecision('lightness').notNull(),
    target: doublePrecision('target').notNull(),
    /** Steps; above 0 too light. */
    error: doublePrecision('error').notNull(),
    /** Its colour, CIE a* and b*; null where it was not read. */
    a: doublePrecision('a'),
    b: doublePrecision('b'),
    flags: text('flags').array().notNull(),
    /** Of the gap to the next step. */
    gapFlags: text('gap_flags').array().notNull(),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.step] })],
);

/** Chips of colour that were laid beside a scale, each where it was laid and where it belongs. */
export const chipFigures = pgTable(
  'chip_figures',
  {
    attemptId: belongsTo('attempt_id', () => attempts.id),
    place: integer('place').notNull(),
    what: text('what').$type<MeasuredChip['what']>().notNull(),
    /** Steps that it was laid too light by; below 0 too dark. */
    error: doublePrecision('error').notNull(),
  },
  (t) => [primaryKey({ columns: [t.attemptId, t.place] })],
);
