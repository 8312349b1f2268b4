/** `measure painting`: reads a photograph of a painting against the picture that it was painted from. */
import { WrongCard } from '@/core/capture/card-profile';
import { BadCorners } from '@/core/capture/open-corners';
import { critiquePainting } from '@/core/critique/painting/critique';
import { KEYS } from '@/core/exercise/judging';
import { UnusablePicture } from '@/workers/decoding/decode';
import { measurePaintingFile, TOLERANCE_STEPS } from '@/workers/tasks/painting';
import { BadArguments, callerPath, check, endsOption, oneOf, pushOption, readOptions } from './arguments';
import { cardFrom, readable } from './files';
import { targetFrom } from './target';

/** `args` begin after the word `painting`. */
export async function measurePaintingVerb(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'measure painting');
  if (positionals.length !== 1)
    throw new BadArguments(`measure painting needs one photograph, got ${positionals.length}.`);
  const ends = check(endsOption, values['ends'] ?? '96,20', '--ends');
  const file = positionals[0] ?? '';
  const fileOf = (option: string) => (typeof values[option] === 'string' ? values[option] : undefined);
  const [reference, shapes, before] = [fileOf('reference'), fileOf('shapes'), fileOf('before')];
  for (const given of [file, reference, shapes, before])
    if (given !== undefined) await readable(callerPath(given), given);
  const card = typeof values['profile'] === 'string' ? await cardFrom(values['profile']) : null;
  try {
    const result = await measurePaintingFile(
      {
        file: callerPath(file),
        ...(reference !== undefined && { reference: callerPath(reference) }),
        ...(shapes !== undefined && { shapes: callerPath(shapes) }),
        ...(before !== undefined && { before: callerPath(before) }),
        ends,
        key: oneOf(KEYS, values['key'], '--key', 'full'),
        pushPercent: check(pushOption, values['push'] ?? '0', '--push'),
        coloured: values['colour'] === true,
        ...(values['one-hue'] === true && { accent: 'told' as const }),
        target: targetFrom(values),
        ...(card && { card }),
      },
      (stage) => process.stderr.write(`${stage}\n`),
    );
    return { ...result, findings: critiquePainting(result, TOLERANCE_STEPS) };
  } catch (error) {
    if (error instanceof UnusablePicture || error instanceof BadCorners || error instanceof WrongCard)
      throw new BadArguments(error.message);
    throw error;
  }
}
