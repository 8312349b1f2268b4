/** Pictures that a class paints from: where each is from, who may use it, and how it was prepared. */
import { index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { created } from './columns';
import { files } from './file-schema';
import { preparation } from './json-columns';
import { user } from './sign-in-schema';

export const referencePictures = pgTable(
  'reference_pictures',
  {
    id: text('id').primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
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
  (t) => [index('reference_pictures_teacher').on(t.teacherId)],
);
