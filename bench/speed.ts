/** Measuring against decoding alone, on one photograph, in a process of its own so that its memory is its own. */
import { fork } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { planFor } from '@/devices/paint-conditions';
import type { SpeedReport } from './speed-process';
import { jpegOf, paintedSheet } from './stage';
import { row } from './tally';

export const LIMIT = { ratio: 3, megabytes: 600 } as const;

/** Returns whether the time and memory stay within their limits. */
export async function benchSpeed(seed: number): Promise<boolean> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-bench-'));
  const file = path.join(folder, 'photograph.jpg');
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed);
  writeFileSync(file, await jpegOf(sheet, 'window', seed, 12, { orientation: 6, location: true }));
  const child = fork(path.resolve('dist/bench-speed.mjs'), [file]);
  const [report] = (await once(child, 'message')) as [SpeedReport];
  rmSync(folder, { recursive: true });
  console.log('\nOne photograph of 12 megapixels, stored on its side, warm worker');
  row('', 'ms', 'ratio');
  row('decoding alone', report.decodeMs, 1);
  row('measuring, decoding too', report.measureMs, report.measureMs / report.decodeMs);
  row('most memory held, MB', report.megabytes);
  return report.measureMs / report.decodeMs <= LIMIT.ratio && report.megabytes <= LIMIT.megabytes;
}
