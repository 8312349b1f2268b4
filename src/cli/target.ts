/** What the command line says is in a photograph: `--expect`, `--corners`, `--scan`, `--depth`. */
import type { Target } from '@/core/capture/target';
import { BadArguments, check, cornersOption, depthOption, oneOf } from './arguments';

export function targetFrom(values: Readonly<Record<string, string | boolean | undefined>>): Target {
  const expect = values['expect'] === undefined ? null : oneOf(['sheet', 'brackets'], values['expect'], '--expect');
  const depthMm = check(depthOption, values['depth'] ?? '0', '--depth');
  if (values['scan'] === true) {
    if (expect !== null || values['corners'] !== undefined)
      throw new BadArguments('Give one of --scan, --corners and --expect.');
    return { kind: 'scan' };
  }
  if (values['corners'] !== undefined) {
    if (expect !== null) throw new BadArguments('Give --corners or --expect, not both.');
    return { kind: 'corners', corners: check(cornersOption, values['corners'], '--corners') };
  }
  if (expect === 'sheet') return { kind: 'sheet' };
  return expect === 'brackets' || depthMm > 0 ? { kind: 'brackets', depthMm } : { kind: 'unsaid' };
}
