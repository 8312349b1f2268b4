/** What the application knows of its database, whichever it is: rows, the queue's statements, and news to other processes. */
import type { ExtractTablesWithRelations } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT, PgTransaction } from 'drizzle-orm/pg-core';
import type * as schema from '../schema/tables';

type Schema = typeof schema;
export type Database = PgDatabase<PgQueryResultHKT, Schema>;
export type Transaction = PgTransaction<PgQueryResultHKT, Schema, ExtractTablesWithRelations<Schema>>;

/** Runs statements as they are written: several at once where there are no values. */
export interface Statements {
  executeSql(text: string, values?: unknown[]): Promise<{ rows: unknown[]; rowCount: number }>;
}

export interface OpenDatabase {
  readonly db: Database;
  readonly statements: Statements;
  /** Whether no other process can be at work on it: what is under way when it is opened belonged to one that ended. */
  readonly alone: boolean;
  /** Tells all who listen on a channel, in this process and in others; at most some thousand letters. */
  notify(channel: string, message: string): Promise<void>;
  /** Hears what is told on a channel from now on until the database is closed. */
  listen(channel: string, hear: (message: string) => void): Promise<void>;
  /**
   * Takes what was deleted out of the database's own files. A server does that in its own time, beside those who use it, and keeps
   * it in its backups as long as they are kept: there it does nothing.
   */
  forget(): Promise<void>;
  /**
   * Copies the database's own files into a folder that is not there yet, as they are at one moment; it opens as after a kill.
   * Throws CanNotCopy of a server: there `pg_dump` does so.
   */
  copyTo(folder: string): Promise<void>;
  close(): Promise<void>;
}

/** The database has no files of its own here. */
export class CanNotCopy extends Error {
  override readonly name = 'CanNotCopy';
  constructor() {
    super('This studio’s rows are on a PostgreSQL server: back it up with pg_dump, and its bucket after it.');
  }
}
