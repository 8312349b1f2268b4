/** Thirty photographs measured against decoding them alone, on two workers, in a process of its own so that its memory is its own. */
import { USABLE } from '@/devices/condition-names';
import { planFor } from '@/devices/paint-conditions';
import { fork } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import serverFlags from '../scripts/node-flags.json';
import type { SpeedReport, SpeedRequest } from './speed-process';
import { jpegOf, paintedSheet } from './stage';
import { row } from './tally';

export const LIMIT = { ratio: 1.8, megabytes: 1200 } as const;
/** Quality of the files: as phones write them, noise and all. */
const QUALITY = 92;

/** Photographs of the usable conditions, read in a process of their own. */
export async function measureSpeed(seed: number): Promise<SpeedReport> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-bench-'));
  const files: string[] = [];
  for (const [i, camera] of USABLE.entries()) {
    const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed + i), seed + i);
    const file = path.join(folder, `${camera}.jpg`);
    writeFileSync(
      file,
      await jpegOf(sheet, camera, seed + i, 12, { orientation: i % 2 === 0 ? 6 : 1, location: true }, QUALITY),
    );
    files.push(file);
  }
  const report = await inOwnProcess({ files, reference: null });
  rmSync(folder, { recursive: true });
  return report;
}

/** Reads photographs in a process of their own. */
export async function inOwnProcess(request: SpeedRequest): Promise<SpeedReport> {
  const child = fork(path.resolve('dist/bench-speed.mjs'), [JSON.stringify(request)], { execArgv: serverFlags });
  const [report] = (await once(child, 'message')) as [SpeedReport];
  await once(child, 'exit');
  return report;
}

/** Returns whether the time and memory stay within their limits. */
export async function benchSpeed(seed: number): Promise<boolean> {
  const report = await measureSpeed(seed);
  console.log(`\n${report.photographs} photographs of 12 megapixels, quality ${QUALITY}, two warm workers`);
  row('', 'ms', 'ratio');
  row('decoding alone', report.decodeMs, 1);
  row('measuring, decoding too', report.measureMs, report.measureMs / report.decodeMs);
  row('most memory held, MB', report.megabytes);
  return report.measureMs / report.decodeMs <= LIMIT.ratio && report.megabytes <= LIMIT.megabytes;
}
