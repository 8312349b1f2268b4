/** Printing for a class of sixty: how long it takes, and how long it keeps the server from anything else. */
import { defaultTerms } from '@/core/kinds/table';
import { openPrinter } from '@/workers/printing/printer';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { row } from './tally';

const CLASS = 60;
const LIMIT_MS = { one: 300, all: 5000, stop: 50 } as const;
const NANO = 1e6;

/** Returns whether every limit is kept. */
export async function benchPrinting(): Promise<boolean> {
  const printer = openPrinter();
  const terms = defaultTerms('scale');
  const words = (k: number) => ({
    title: 'Nine greys from white to black',
    className: 'Tidewell Evening Studio',
    name: `Student ${k}`,
    labels: Array.from({ length: 9 }, (_, step) => String(step + 1)),
    due: 'Thursday 3 December',
    care: 'Wash your hands.',
    careInShort: 'Wash your hands.',
    exercise: 'abcdefghjkmnpqrs',
    student: `abcdefghjkmnp${String(k).padStart(3, '2')}`,
    figures: {},
  });
  const timed = async (people: number) => {
    const start = performance.now();
    let bytes = 0;
    const job = { kind: 'exercise', terms, for: Array.from({ length: people }, (_, k) => words(k)) } as const;
    for await (const piece of await printer.print(job)) bytes += piece.length;
    return { ms: performance.now() - start, bytes };
  };
  const first = await timed(1);
  const loop = monitorEventLoopDelay({ resolution: 1 });
  loop.enable();
  const one = await timed(1);
  const all = await timed(CLASS);
  loop.disable();
  await printer.close();
  const stop = loop.max / NANO;
  console.log('\nSheets of an exercise: ms');
  row('', 'one at first', 'one', `${CLASS}`, 'longest stop');
  row('', first.ms, one.ms, all.ms, stop);
  return one.ms <= LIMIT_MS.one && all.ms <= LIMIT_MS.all && stop <= LIMIT_MS.stop;
}
