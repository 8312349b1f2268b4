/** The process whose time and memory the bench reads: decodes, and measures, the photographs that it is given on two workers. */
import { defaultScale } from '@/core/exercise/scale';
import { defaultTerms, kindsOnSheetOf } from '@/core/kinds/table';
import { openPool } from '@/workers/pool';
import type { MeasureScaleTask } from '@/workers/tasks/measure';
import type { PaintingHandInTask } from '@/workers/tasks/painting-hand-in';
import type { PreparedReference } from '@/workers/tasks/prepared-plane';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { Piscina } from 'piscina';
import { quantile } from './tally';

export interface SpeedReport {
  readonly photographs: number;
  readonly decodeMs: number;
  readonly measureMs: number;
  /** Largest resident size of the whole process, programs and all. */
  readonly megabytes: number;
}

const PHOTOGRAPHS = 30;
const ROUNDS = 5;
/** What is to be read: photographs of scales, or of paintings of a picture. */
export interface SpeedRequest {
  readonly files: readonly string[];
  readonly reference: PreparedReference | null;
}
const { files, reference } = JSON.parse(process.argv[2] ?? '') as SpeedRequest;
const pile = Array.from({ length: PHOTOGRAPHS }, (_, i) => files[i % files.length] ?? '');

async function milliseconds(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

const decoders = new Piscina({ filename: path.resolve('dist/bench-decode.mjs'), minThreads: 2, maxThreads: 2 });
const readers = openPool(path.resolve('dist/workers/entry.mjs'));
const expected = { exercise: null, student: null };
const ofScale = (file: string): MeasureScaleTask => ({
  task: 'measure-scale',
  file,
  orientation: null,
  terms: defaultScale('gouache', 9),
  expected,
});
const ofPainting = (file: string, of: PreparedReference): PaintingHandInTask => ({
  task: 'measure-painting',
  file,
  orientation: null,
  reference: of,
  toleranceSteps: 0.5,
  ruleWins: false,
  coloured: false,
  sheetKinds: kindsOnSheetOf(defaultTerms('monochrome-painting')),
  expected,
});
const task = (file: string) => (reference ? ofPainting(file, reference) : ofScale(file));
const decode = () => Promise.all(pile.map((file) => decoders.run(file) as Promise<number>));
const measure = () => Promise.all(pile.map((file) => readers.run(task(file), { limitMs: 300_000 })));

/** The kernel's own high-water mark. That of getrusage is of no use: a child starts with its parent's. */
function mostMemory(): number {
  const line = /^VmHWM:\s+(\d+) kB$/m.exec(readFileSync('/proc/self/status', 'utf8'));
  return Number(line?.[1]) / 1024;
}

// Both pools have been through the pile once before anything is timed; by turns, so that whatever else the machine does
// falls on both.
await decode();
await measure();
const times: { decode: number[]; measure: number[] } = { decode: [], measure: [] };
for (let i = 0; i < ROUNDS; i++) {
  times.decode.push(await milliseconds(decode));
  times.measure.push(await milliseconds(measure));
}
const report: SpeedReport = {
  photographs: PHOTOGRAPHS,
  decodeMs: quantile(times.decode, 0.5),
  measureMs: quantile(times.measure, 0.5),
  megabytes: mostMemory(),
};
process.send?.(report);
await decoders.destroy();
await readers.close();
