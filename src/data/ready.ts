/** Looks, before anything is served, whether a process could start here; ends with 1 and a sentence where it could not. */
import { accessSync, constants, mkdirSync } from 'node:fs';
import { openDatabase } from './database/database';
import { lockFolder } from './database/lock';
import { readSettings } from './settings';

try {
  const settings = readSettings();
  const { folder } = settings;
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK | constants.X_OK);
  } catch {
    throw new Error(
      `The folder ${folder} can’t be written: give it to whoever runs Fair Grey, or name another one in FAIR_GREY_DATA.`,
    );
  }
  if (settings.databaseUrl || settings.role !== 'all') await (await openDatabase(settings)).close();
  // Given back at once: the server takes it for itself.
  else lockFolder(folder)();
  process.exit(0);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
