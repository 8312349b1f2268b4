/** Files that are named on the command line. */
import type { KnownCard } from '@/core/capture/open-sheet';
import { BadCard } from '@/core/formats/card-csv';
import { parseCardFile } from '@/core/formats/card-file';
import { access, readFile } from 'node:fs/promises';
import { BadArguments, callerPath } from './arguments';

export async function readable(file: string, named: string): Promise<void> {
  await access(file).catch(() => {
    throw new BadArguments(`There is no file ${named} that can be read.`);
  });
}

/** Readings of a card, for `--profile`. */
export async function cardFrom(named: string): Promise<KnownCard> {
  const text = await readFile(callerPath(named), 'utf8').catch(() => {
    throw new BadArguments(`There is no file ${named} that can be read.`);
  });
  try {
    return { basis: 'measured', readings: parseCardFile(text) };
  } catch (error) {
    if (error instanceof BadCard) throw new BadArguments(`--profile ${named}: ${error.message}`);
    throw error;
  }
}
