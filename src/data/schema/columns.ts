/** Columns that many tables have. */
import { type SQL, sql } from 'drizzle-orm';
import { type AnyPgColumn, integer, text, timestamp } from 'drizzle-orm/pg-core';

export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
export const created = () => at('created_at').notNull().defaultNow();

/** How often it was written: whoever writes over it says which writing was seen. */
export const written = () => integer('written').notNull().default(0);

/** What a row belongs to: it goes when that goes. */
export const belongsTo = <Name extends string>(name: Name, whole: () => AnyPgColumn) =>
  text(name).notNull().references(whole, { onDelete: 'cascade' });

/** A check that a column of words holds one of those that there are. */
export const oneOf = (column: AnyPgColumn, words: readonly string[]): SQL =>
  sql`${column} in (${sql.raw(words.map((word) => `'${word}'`).join(', '))})`;
