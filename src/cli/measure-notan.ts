/** `measure notan`: reads a photograph of a painting in few tones against its reference. */
import { WrongCard } from '@/core/capture/card-profile';
import { BadCorners } from '@/core/capture/open-corners';
import { critiqueTones } from '@/core/critique/tones/critique';
import { UnusablePicture } from '@/workers/decoding/decode';
import { measureNotanFile } from '@/workers/tasks/notan';
import { z } from 'zod';
import {
  BadArguments,
  callerPath,
  check,
  endsOption,
  needed,
  readOptions,
  thresholdsOption,
  tonesOption,
} from './arguments';
import { cardFrom, readable } from './files';
import { targetFrom } from './target';

/** `args` begin after the word `notan`. */
export async function measureNotanVerb(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'measure notan');
  if (positionals.length !== 1)
    throw new BadArguments(`measure notan needs one photograph, got ${positionals.length}.`);
  const tones = check(tonesOption, values['tones'], '--tones');
  const ends = check(endsOption, values['ends'] ?? '96,20', '--ends');
  const darkEnd = check(
    z.enum(['paint', 'frame'], 'paint, or frame for a frame that was painted round the picture'),
    values['dark-end'] ?? 'paint',
    '--dark-end',
  );
  const thresholds =
    values['thresholds'] === undefined ? null : check(thresholdsOption, values['thresholds'], '--thresholds');
  if (thresholds && thresholds.length !== tones - 1)
    throw new BadArguments(`--thresholds: ${tones} tones need ${tones - 1}, got ${thresholds.length}.`);
  const map = typeof values['map'] === 'string' ? values['map'] : null;
  if (map !== null && (tones !== 2 || thresholds))
    throw new BadArguments('--map gives light and shadow: it goes with --tones 2 and without --thresholds.');
  const named = {
    file: positionals[0] ?? '',
    reference: needed(values['reference'], '--reference'),
    ...(map !== null && { map }),
  };
  for (const file of Object.values(named)) await readable(callerPath(file), file);
  const card = typeof values['profile'] === 'string' ? await cardFrom(values['profile']) : null;
  const target = targetFrom(values);
  try {
    const result = await measureNotanFile(
      {
        file: callerPath(named.file),
        reference: callerPath(named.reference),
        ...(named.map !== undefined && { map: callerPath(named.map) }),
        tones,
        ends,
        target,
        frameIsDark: darkEnd === 'frame',
        ...(thresholds && { thresholds }),
        ...(card && { card }),
      },
      (stage) => process.stderr.write(`${stage}\n`),
    );
    return { ...result, findings: critiqueTones(result, ends) };
  } catch (error) {
    if (error instanceof UnusablePicture || error instanceof BadCorners || error instanceof WrongCard)
      throw new BadArguments(error.message);
    throw error;
  }
}
