/** A sheet painted with several faults: mending one takes its finding away and no other. On photographs. */
import type { PaintPlan } from '@/devices/painter';
import type { Trial } from './trial-outcome';
import { openTrials } from './trials';

const trials = openTrials();
afterAll(() => trials.close());

/** The bench takes its seeds from the clock; a test fails for the change at hand, not by luck. */
const seed = 4127;
const even = (steps: number) => Array.from({ length: steps }, (_, i) => 95.5 - ((95.5 - 23) * i) / (steps - 1));
const gap = (steps: number) => 72.5 / (steps - 1);

/** A quarter of a phone's: enough to tell these faults, in less time. */
const MEGAPIXELS = 3;

type Named = readonly [finding: string, fault: PaintPlan['faults'][number]];

const SHEETS: readonly { readonly steps: number; readonly faults: readonly Named[] }[] = [
  {
    steps: 9,
    faults: [
      ['streaky: 3', { kind: 'streaks', step: 3, amplitude: 4 }],
      ['too_close: 4 5', { kind: 'shift', step: 5, lightness: 0.75 * gap(9) }],
      ['bare_ground: 7', { kind: 'bare', step: 7, share: 0.1 }],
      ['over_the_line: 8', { kind: 'overflow', step: 8, mm: 1.5 }],
      ['weak_black: 9', { kind: 'shift', step: 9, lightness: 8 }],
    ],
  },
  {
    steps: 5,
    faults: [
      ['weak_white: 1', { kind: 'shift', step: 1, lightness: -8 }],
      ['too_close: 2 3', { kind: 'shift', step: 3, lightness: 0.7 * gap(5) }],
      ['streaky: 4', { kind: 'streaks', step: 4, amplitude: 4 }],
      ['bare_ground: 5', { kind: 'bare', step: 5, share: 0.1 }],
    ],
  },
];

for (const { steps, faults } of SHEETS)
  test(`${steps} steps: each fault has its own finding (seed ${seed})`, async () => {
    const trial = (without: number | null, k: number): Trial => ({
      steps,
      paper: 'a4',
      paint: { lightness: even(steps), faults: faults.flatMap(([, fault], i) => (i === without ? [] : [fault])) },
      camera: k % 2 === 0 ? 'studio' : 'window',
      printer: 'nominal',
      seed: seed + k,
      megapixels: MEGAPIXELS,
    });
    const [all, ...mended] = await trials.run([trial(null, 0), ...faults.map((_, i) => trial(i, i + 1))]);
    expect([...(all?.fixes ?? [])].sort()).toEqual(faults.map(([finding]) => finding).sort());
    mended.forEach((outcome, i) => {
      expect(outcome.accepted).toBe(true);
      expect([...outcome.fixes].sort()).toEqual(faults.flatMap(([finding], k) => (k === i ? [] : [finding])).sort());
    });
  });
