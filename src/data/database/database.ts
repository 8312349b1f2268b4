/** Opens the database of a house: a PostgreSQL server where one is named, or else the one that is embedded in its folder. */
import type { Settings } from '../settings';
import { openEmbedded } from './embedded';
import type { OpenDatabase } from './engine';
import { DatabaseUnready, openServer } from './server';

const ALONE =
  'Serving pages and measuring in processes of their own needs a PostgreSQL server: name it in DATABASE_URL, or run "npm start", which does both.';

/** Throws FolderInUse or DatabaseUnready, with words for whoever starts it. */
export async function openDatabase({
  folder,
  databaseUrl = null,
  role = 'all',
}: Pick<Settings, 'folder'> & Partial<Pick<Settings, 'databaseUrl' | 'role'>>): Promise<OpenDatabase> {
  if (databaseUrl) return openServer(databaseUrl);
  if (role !== 'all') throw new DatabaseUnready(ALONE);
  return openEmbedded(folder);
}
