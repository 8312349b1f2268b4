/** Columns that many tables have. */
import { type SQL, sql } from 'drizzle-orm';
import { type AnyPgColumn, text, timestamp } from 'drizzle-orm/pg-core';

export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
export const created = () => at('created_at').notNull().defaultNow();

/** What a row belongs to: it goes when that goes. */
export const belongsTo = <Name extends string>(name: Name, whole: () => AnyPgColumn) =>
  text(name).notNull().references(whole, { onDelete: 'cascade' });

/** A check that a column of words holds one of those that there are. */
export const oneOf = (column: AnyPgColumn, words: readonly string[]): SQL =>
  sql`${column} in (${sql.raw(words.map((word) => `'${word}'`).join(', '))})`;
