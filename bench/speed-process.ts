/** The process whose time and memory the bench reads: measures the photograph that it is given, many times. */
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { defaultScale } from '@/core/exercise/scale';
import { measureScaleFile } from '@/workers/measure-task';
import { quantile } from './tally';

export interface SpeedReport {
  readonly decodeMs: number;
  readonly measureMs: number;
  /** Largest resident size of the whole process, programs and all. */
  readonly megabytes: number;
}

const WARM = 3;
const TIMES = 11;
const file = process.argv[2] ?? '';

async function milliseconds(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

const decode = () => sharp(file).toColourspace('srgb').raw().toBuffer();
const measure = () =>
  measureScaleFile({
    task: 'measure-scale',
    file,
    orientation: null,
    terms: defaultScale('gouache', 9),
    numbering: 'white-is-one',
    expected: { exercise: 'ex1', student: 'st1' },
  });

/** The kernel's own high-water mark. That of getrusage is of no use: a child starts with its parent's. */
function mostMemory(): number {
  const line = /^VmHWM:\s+(\d+) kB$/m.exec(readFileSync('/proc/self/status', 'utf8'));
  return Number(line?.[1]) / 1024;
}

const times: { decode: number[]; measure: number[] } = { decode: [], measure: [] };
for (let i = 0; i < WARM + TIMES; i++) {
  // By turns, so that whatever else the machine does falls on both.
  const [d, m] = [await milliseconds(decode), await milliseconds(measure)];
  if (i < WARM) continue;
  times.decode.push(d);
  times.measure.push(m);
}
const report: SpeedReport = {
  decodeMs: quantile(times.decode, 0.5),
  measureMs: quantile(times.measure, 0.5),
  megabytes: mostMemory(),
};
process.send?.(report);
