/** Columns that many tables have. */
import { timestamp } from 'drizzle-orm/pg-core';

export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
export const created = () => at('created_at').notNull().defaultNow();
