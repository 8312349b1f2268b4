/** The commands that make a backup of a studio, running or not, and that restore one. */
import path from 'node:path';
import { parseArgs } from 'node:util';
import { openDatabase } from '../database/database';
import { openFiles } from '../files/open-files';
import { readSettings, type Settings } from '../settings';
import { askForBackup } from './door';
import { makeBackup } from './make';
import type { BackupNote } from './note';
import { restoreBackup } from './restore';

const HOW = `npm run backup -- FOLDER              a backup of the studio in FAIR_GREY_DATA, running or not
npm run restore -- FOLDER [--aside]   that backup into FAIR_GREY_DATA; --aside keeps what is there beside it`;

const resolved = (folder: string): string => path.resolve(/*turbopackIgnore: true*/ folder);

async function ownBackup(settings: Settings, target: string): Promise<BackupNote> {
  const database = await openDatabase(settings);
  try {
    return await makeBackup(database, await openFiles(settings, database.alone), target);
  } finally {
    await database.close();
  }
}

async function run(verb: string, given: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...given],
    options: { aside: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [named] = positionals;
  if (!named || positionals.length > 1) throw new Error(`Name one folder.\n${HOW}`);
  const settings = readSettings();
  if (verb === 'backup') {
    const target = resolved(named);
    const note = (await askForBackup(settings.folder, target)) ?? (await ownBackup(settings, target));
    const megabytes = Math.round(note.bytes / 1e6);
    console.log(`${note.files} files (${megabytes} MB) and all rows are in ${target}. It was opened and compared.`);
    return;
  }
  const { photographs, kept } = await restoreBackup(resolved(named), settings.folder, values.aside);
  console.log(`The studio is in ${settings.folder}, with ${photographs} photographs that were handed in.`);
  if (kept) console.log(`What was there before is in ${kept}.`);
}

const [verb = '', ...rest] = process.argv.slice(2);
try {
  if (verb !== 'backup' && verb !== 'restore') throw new Error(HOW);
  await run(verb, rest);
  process.exit(0);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
