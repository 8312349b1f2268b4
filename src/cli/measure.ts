/** `measure scale`: reads a photograph of a worksheet. */
import { access } from 'node:fs/promises';
import { defaultScale, READING_ORDERS, SPACINGS } from '@/core/exercise/scale';
import { UnusablePicture } from '@/workers/decode';
import { measureScaleFile } from '@/workers/measure-task';
import { BadArguments, callerPath, check, endsOption, oneOf, readOptions, stepsOption } from './arguments';

export async function measure(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, ['steps', 'order', 'spacing', 'ends', 'expect']);
  if (positionals[0] !== 'scale') throw new BadArguments(`measure knows "scale", got "${positionals[0] ?? ''}".`);
  if (positionals.length !== 2) throw new BadArguments(`measure scale needs one photograph, got ${positionals.length - 1}.`);
  oneOf(['sheet'], values['expect'], '--expect', 'sheet');
  const steps = check(stepsOption, values['steps'], '--steps');
  const file = callerPath(positionals[1] ?? '');
  const usual = defaultScale('gouache', steps);
  const terms = {
    ...usual,
    order: oneOf(READING_ORDERS, values['order'], '--order', 'light-first'),
    spacing: oneOf(SPACINGS, values['spacing'], '--spacing', 'lightness'),
    ends: check(endsOption, values['ends'] ?? '96,20', '--ends'),
  };
  await access(file).catch(() => {
    throw new BadArguments(`There is no file ${positionals[1]} that can be read.`);
  });
  try {
    return await measureScaleFile(
      { task: 'measure-scale', file, orientation: null, terms, numbering: 'white-is-one', expected: { exercise: null, student: null } },
      (stage) => process.stderr.write(`${stage}\n`),
    );
  } catch (error) {
    if (error instanceof UnusablePicture) throw new BadArguments(error.message);
    throw error;
  }
}
