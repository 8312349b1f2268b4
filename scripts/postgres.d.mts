/** Where the programs of the newest PostgreSQL are that is installed; null where there is none. */
export function postgresPrograms(): string | null;
/** Starts a server of its own on a free port. */
export function startPostgres(): Promise<{ readonly url: string; stop(): Promise<void> }>;
