/** What a class paints from: pictures, with where each is from, who may use it and how it was prepared; and set-ups from life. */
import { index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { belongsTo, created, written } from './columns';
import { files } from './file';
import { preparation, setUp } from './json-columns';
import { user } from './sign-in';

export const referencePictures = pgTable(
  'reference_pictures',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    title: text('title').notNull(),
    /** Where it is from, and who may use it for what. */
    source: text('source').notNull(),
    licence: text('licence').notNull(),
    note: text('note').notNull().default(''),
    /** As it came, without what was hidden in it. */
    pictureHash: text('picture_hash')
      .notNull()
      .references(() => files.hash),
    /** What is worked on: upright, sRGB, about two megapixels, without loss. */
    workingHash: text('working_hash')
      .notNull()
      .references(() => files.hash),
    smallHash: text('small_hash')
      .notNull()
      .references(() => files.hash),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    preparation: preparation('preparation').notNull(),
    /** How often it was prepared anew; what was measured says against which. */
    revision: integer('revision').notNull().default(1),
    createdAt: created(),
  },
  (t) => [
    index('reference_pictures_teacher').on(t.teacherId),
    index('reference_pictures_picture').on(t.pictureHash),
    index('reference_pictures_working').on(t.workingHash),
    index('reference_pictures_small').on(t.smallHash),
  ],
);

/** A scene that a class paints from life: nothing of it is kept but what its masses are called and what is asked of them. */
export const setUps = pgTable(
  'set_ups',
  {
    id: text('id').primaryKey(),
    teacherId: belongsTo('teacher_id', () => user.id),
    title: text('title').notNull(),
    /** Where it stands and how it is lit, so that it can be put up again. */
    note: text('note').notNull().default(''),
    setUp: setUp('set_up').notNull(),
    written: written(),
    /** How often it was changed; what was measured says against which. */
    revision: integer('revision').notNull().default(1),
    createdAt: created(),
  },
  (t) => [index('set_ups_teacher').on(t.teacherId)],
);
