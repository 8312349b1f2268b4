/**
 * `measure scale`, and the way to `measure notan` and `measure painting`: reads a photograph of a worksheet, of a board with
 * corner pieces, or between marked corners.
 */
import { WrongCard } from '@/core/capture/card-profile';
import { BadCorners } from '@/core/capture/open-corners';
import { BadFlat } from '@/core/capture/open-sheet';
import { critiqueScale } from '@/core/critique/scale/critique';
import { defaultScale, READING_ORDERS, SPACINGS } from '@/core/exercise/scale';
import { UnusablePicture } from '@/workers/decoding/decode';
import { measureScaleFile } from '@/workers/tasks/measure';
import { BadArguments, callerPath, check, endsOption, oneOf, readOptions, stepsOption } from './arguments';
import { cardFrom, readable } from './files';
import { targetFrom } from './target';

export async function measure(args: readonly string[]): Promise<unknown> {
  if (args[0] === 'notan') return (await import('./measure-notan')).measureNotanVerb(args.slice(1));
  if (args[0] === 'painting') return (await import('./measure-painting')).measurePaintingVerb(args.slice(1));
  const { values, positionals } = readOptions(args, 'measure scale');
  if (positionals[0] !== 'scale')
    throw new BadArguments(`measure knows "scale", "notan" and "painting", got "${positionals[0] ?? ''}".`);
  if (positionals.length !== 2)
    throw new BadArguments(`measure scale needs one photograph, got ${positionals.length - 1}.`);
  const steps = check(stepsOption, values['steps'], '--steps');
  const file = callerPath(positionals[1] ?? '');
  const usual = defaultScale('gouache', steps);
  const terms = {
    ...usual,
    order: oneOf(READING_ORDERS, values['order'], '--order', 'light-first'),
    spacing: oneOf(SPACINGS, values['spacing'], '--spacing', 'lightness'),
    ends: check(endsOption, values['ends'] ?? '96,20', '--ends'),
  };
  await readable(file, positionals[1] ?? '');
  const target = targetFrom(values);
  const card = typeof values['profile'] === 'string' ? await cardFrom(values['profile']) : null;
  const flat = typeof values['flat'] === 'string' ? callerPath(values['flat']) : null;
  if (flat !== null) await readable(flat, String(values['flat']));
  try {
    const result = await measureScaleFile(
      {
        task: 'measure-scale',
        file,
        orientation: null,
        terms,
        expected: { exercise: null, student: null },
        target,
        hue: values['hue'] === true,
        ...(card && { card }),
        ...(flat !== null && { flat }),
      },
      (stage) => process.stderr.write(`${stage}\n`),
    );
    return { ...result, findings: critiqueScale(result, terms, 'white-is-one') };
  } catch (error) {
    if (
      error instanceof UnusablePicture ||
      error instanceof BadCorners ||
      error instanceof WrongCard ||
      error instanceof BadFlat
    )
      throw new BadArguments(error.message);
    throw error;
  }
}
