/** `measure painting`: reads a photograph of a painting against the picture that it was painted from. */
import { WrongCard } from '@/core/capture/card-profile';
import { BadCorners } from '@/core/capture/open-corners';
import { KEYS } from '@/core/exercise/judging';
import { UnusablePicture } from '@/workers/decoding/decode';
import { measurePaintingFile } from '@/workers/tasks/painting';
import { BadArguments, callerPath, check, endsOption, needed, oneOf, pushOption, readOptions } from './arguments';
import { cardFrom, readable } from './files';
import { targetFrom } from './target';

/** `args` begin after the word `painting`. */
export async function measurePaintingVerb(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'measure painting');
  if (positionals.length !== 1)
    throw new BadArguments(`measure painting needs one photograph, got ${positionals.length}.`);
  const ends = check(endsOption, values['ends'] ?? '96,20', '--ends');
  const shapes = typeof values['shapes'] === 'string' ? values['shapes'] : null;
  const named = {
    file: positionals[0] ?? '',
    reference: needed(values['reference'], '--reference'),
    ...(shapes !== null && { shapes }),
  };
  for (const file of Object.values(named)) await readable(callerPath(file), file);
  const card = typeof values['profile'] === 'string' ? await cardFrom(values['profile']) : null;
  try {
    return await measurePaintingFile(
      {
        file: callerPath(named.file),
        reference: callerPath(named.reference),
        ...(shapes !== null && { shapes: callerPath(shapes) }),
        ends,
        key: oneOf(KEYS, values['key'], '--key', 'full'),
        pushPercent: check(pushOption, values['push'] ?? '0', '--push'),
        target: targetFrom(values),
        ...(card && { card }),
      },
      (stage) => process.stderr.write(`${stage}\n`),
    );
  } catch (error) {
    if (error instanceof UnusablePicture || error instanceof BadCorners || error instanceof WrongCard)
      throw new BadArguments(error.message);
    throw error;
  }
}
