/** `prepare`: a picture reduced to few tones, as a class paints from it, and what those tones and their shapes are. */
import { UnusablePicture } from '@/workers/decoding/decode';
import { prepareFile } from '@/workers/tasks/prepare';
import { writeFile } from 'node:fs/promises';
import {
  BadArguments,
  callerPath,
  check,
  endsOption,
  needed,
  readOptions,
  squintOption,
  tonesOption,
} from './arguments';
import { readable } from './files';

export async function prepare(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'prepare');
  if (positionals.length !== 1) throw new BadArguments(`prepare needs one picture, got ${positionals.length}.`);
  const tones = check(tonesOption, values['tones'], '--tones');
  const squintPercent = check(squintOption, values['squint'] ?? '0', '--squint');
  const ends = check(endsOption, values['ends'] ?? '96,20', '--ends');
  const out = callerPath(needed(values['out'], '--out'));
  if (!out.toLowerCase().endsWith('.png')) throw new BadArguments('--out must end in .png.');
  const [named = ''] = positionals;
  const file = callerPath(named);
  await readable(file, named);
  try {
    const { prepared, picture } = await prepareFile(file, { tones, squintPercent, ends });
    await writeFile(out, picture);
    return { thresholds: prepared.thresholds, tones: prepared.tones, shapes: prepared.shapes };
  } catch (error) {
    throw error instanceof UnusablePicture ? new BadArguments(error.message) : error;
  }
}
