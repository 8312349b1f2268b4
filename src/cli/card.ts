/** `card`: carries the readings of a known print over to a new one, from a photograph of both side by side. */
import { formatCardCsv } from '@/core/formats/card-csv';
import { formatCgats } from '@/core/formats/cgats';
import { UnusablePicture } from '@/workers/decoding/decode';
import { carryFile } from '@/workers/tasks/carry';
import { writeFile } from 'node:fs/promises';
import { BadArguments, callerPath, needed, oneOf, readOptions } from './arguments';
import { cardFrom, readable } from './files';

export async function card(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'card');
  if (positionals.length !== 1)
    throw new BadArguments(`card needs one photograph of two sheets side by side, got ${positionals.length}.`);
  const [named = ''] = positionals;
  const known = oneOf(['left', 'right'], values['known'], '--known', 'left');
  const profile = needed(values['profile'], '--profile');
  const out = callerPath(needed(values['out'], '--out'));
  await readable(callerPath(named), named);
  try {
    const readings = await carryFile({ task: 'carry', file: callerPath(named), card: await cardFrom(profile), known });
    await writeFile(out, out.toLowerCase().endsWith('.csv') ? formatCardCsv(readings) : formatCgats(readings));
    return {
      paper: readings.paper,
      patches: [...readings.patches].map(([patch, [lightness, a, b]]) => ({ patch, lightness, a, b })),
    };
  } catch (error) {
    if (error instanceof UnusablePicture) throw new BadArguments(error.message);
    throw error;
  }
}
