/** What the door remembers: tries by what they were for and where from, never the codes themselves. */
import { integer, pgTable, text } from 'drizzle-orm/pg-core';
import { at } from './columns';

export const doorTries = pgTable('door_tries', {
  key: text('key').primaryKey(),
  points: integer('points').notNull(),
  expire: at('expire'),
});
