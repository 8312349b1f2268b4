/** Brings the schema of the PostgreSQL server up to date. */
import { migrateServer } from './database/server';
import { readSettings } from './settings';

try {
  const { databaseUrl } = readSettings();
  if (databaseUrl === null)
    console.log('The embedded database brings itself up to date when it is opened: there is nothing to do.');
  else {
    await migrateServer(databaseUrl);
    console.log('The database is up to date.');
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
