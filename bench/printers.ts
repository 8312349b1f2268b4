/** What printers that differ do to readings against a nominal card. */
import { mean } from 'd3-array';
import { row } from './tally';
import type { Trial, TrialOutcome } from './trial-outcome';

const PHOTOGRAPHS = 10;
const STEPS = [5, 7, 9, 12] as const;
/** Printed greys and matt paint: outside this range nothing is promised. */
const PROMISED = { dark: 18, light: 97 } as const;

/** What other printers than the nominal one do to the readings, and whether the stated interval covers it. */
export async function benchPrinters(
  run: (trials: readonly Trial[]) => Promise<TrialOutcome[]>,
  seed: number,
): Promise<void> {
  const outcomes = await run(
    Array.from({ length: PHOTOGRAPHS }, (_, k): Trial => ({
      steps: STEPS[k % STEPS.length] ?? 9,
      paper: k % 2 === 0 ? 'a4' : 'letter',
      paint: k % 3 === 0 ? 'fine' : 'random',
      camera: 'studio',
      printer: 'office',
      seed: seed + 9000 + k,
    })),
  );
  console.log('\nTen other printers, read as if they were nominal: bias in L*');
  row('seed', 'readings', 'bias', 'lightest', 'darkest', 'largest', 'covered');
  for (const o of outcomes) {
    const readings = o.readings.filter((x) => x.truth >= PROMISED.dark && x.truth <= PROMISED.light);
    const errors = readings.map((r) => r.read - r.truth);
    const byTruth = [...readings].sort((a, b) => a.truth - b.truth);
    const [dark, light] = [byTruth[0], byTruth.at(-1)];
    const covered = readings.filter((r) => Math.abs(r.read - r.truth) <= r.uncertainty).length / readings.length;
    row(
      String(o.trial.seed),
      readings.length,
      mean(errors) ?? Number.NaN,
      light ? light.read - light.truth : 'none',
      dark ? dark.read - dark.truth : 'none',
      Math.max(...errors.map(Math.abs)),
      `${Math.round(100 * covered)} %`,
    );
  }
}
