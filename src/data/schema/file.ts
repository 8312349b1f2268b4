/** Files by content: the hash is of the stored bytes, and rows that name it keep it. */
import { integer, pgTable, text } from 'drizzle-orm/pg-core';
import { created } from './columns';

export const files = pgTable('files', {
  hash: text('hash').primaryKey(),
  bytes: integer('bytes').notNull(),
  type: text('type').notNull(),
  createdAt: created(),
});
