/** `measure scale`: reads a photograph of a worksheet, of a board with corner pieces, or between marked corners. */
import { WrongCard } from '@/core/capture/card-profile';
import { BadCorners } from '@/core/capture/open-corners';
import { BadFlat } from '@/core/capture/open-sheet';
import { defaultScale, READING_ORDERS, SPACINGS } from '@/core/exercise/scale';
import type { Target } from '@/core/scale/measure';
import { UnusablePicture } from '@/workers/decode';
import { measureScaleFile } from '@/workers/measure-task';
import { BadArguments, callerPath, check, cornersOption, depthOption, endsOption, oneOf, readOptions, stepsOption } from './arguments';
import { cardFrom, readable } from './files';

function targetFrom(values: Readonly<Record<string, string | boolean | undefined>>): Target {
  const expect = values['expect'] === undefined ? null : oneOf(['sheet', 'brackets'], values['expect'], '--expect');
  const depthMm = check(depthOption, values['depth'] ?? '0', '--depth');
  if (values['corners'] !== undefined) {
    if (expect !== null) throw new BadArguments('Give --corners or --expect, not both.');
    return { kind: 'corners', corners: check(cornersOption, values['corners'], '--corners') };
  }
  if (expect === 'sheet') return { kind: 'sheet' };
  return expect === 'brackets' || depthMm > 0 ? { kind: 'brackets', depthMm } : { kind: 'unsaid' };
}

export async function measure(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, ['steps', 'order', 'spacing', 'ends', 'expect', 'corners', 'depth', 'profile', 'flat'], ['json', 'hue']);
  if (positionals[0] !== 'scale') throw new BadArguments(`measure knows "scale", got "${positionals[0] ?? ''}".`);
  if (positionals.length !== 2) throw new BadArguments(`measure scale needs one photograph, got ${positionals.length - 1}.`);
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
    return await measureScaleFile(
      {
        task: 'measure-scale',
        file,
        orientation: null,
        terms,
        numbering: 'white-is-one',
        expected: { exercise: null, student: null },
        target,
        hue: values['hue'] === true,
        ...(card && { card }),
        ...(flat !== null && { flat }),
      },
      (stage) => process.stderr.write(`${stage}\n`),
    );
  } catch (error) {
    if (error instanceof UnusablePicture || error instanceof BadCorners || error instanceof WrongCard || error instanceof BadFlat) throw new BadArguments(error.message);
    throw error;
  }
}
