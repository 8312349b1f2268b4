/** How near the readings of usable photographs come to the paint, and what the gate does with them and the others. */
import { CAMERA_CONDITIONS, UNUSABLE, type UnusableCondition, USABLE } from '@/devices/camera-conditions';
import type { PrinterCondition } from '@/devices/printer';
import { mean, quantile, row } from './tally';
import type { Trial, TrialOutcome, TrialReading } from './trial';

export type RunTrials = (trials: readonly Trial[]) => Promise<TrialOutcome[]>;

const STEPS = [5, 7, 9, 12] as const;
/** Printed greys and matt paint: outside this range nothing is promised. */
const PROMISED = { dark: 18, light: 97 } as const;
export const LIMIT = { median: 0.5, most: 1.5, wronglyRefused: 1 / 60 } as const;

const isUnusable = (c: string): c is UnusableCondition => c in UNUSABLE;
const promised = (readings: readonly TrialReading[]) => readings.filter((r) => r.truth >= PROMISED.dark && r.truth <= PROMISED.light);

function trials(conditions: readonly Trial['camera'][], rounds: number, seed: number, printer: PrinterCondition): Trial[] {
  return Array.from({ length: rounds }, (_, round) =>
    conditions.map((camera, k): Trial => {
      const n = round * conditions.length + k;
      return {
        steps: STEPS[(round + k) % STEPS.length] ?? 9,
        paper: n % 2 === 0 ? 'a4' : 'letter',
        paint: n % 3 === 0 ? 'fine' : 'random',
        camera,
        printer,
        seed: seed + n,
      };
    }),
  ).flat();
}

function errorRow(name: string, outcomes: readonly TrialOutcome[]): { median: number; most: number } {
  const readings = promised(outcomes.flatMap((o) => o.readings));
  const errors = readings.map((r) => Math.abs(r.read - r.truth));
  const found = { median: quantile(errors, 0.5), most: quantile(errors, 0.95) };
  const refused = outcomes.filter((o) => !o.accepted).length;
  row(name, outcomes.length, refused, readings.length, found.median, found.most, Math.max(...errors));
  return found;
}

/** Usable photographs; returns whether the readings keep their promise. */
export async function benchReadings(run: RunTrials, seed: number, rounds: number): Promise<boolean> {
  const outcomes = await run(trials(USABLE, rounds, seed, 'nominal'));
  console.log('\nReadings of usable photographs, nominal printer: error in L*');
  row('', 'photos', 'refused', 'readings', 'median', '95 %', 'largest');
  for (const camera of USABLE) errorRow(camera, outcomes.filter((o) => o.trial.camera === camera));
  for (const steps of STEPS) errorRow(`${steps} steps`, outcomes.filter((o) => o.trial.steps === steps));
  const all = errorRow('all', outcomes);
  const refused = outcomes.filter((o) => !o.accepted);
  for (const o of refused) console.log(`  refused: ${o.trial.camera}, seed ${o.trial.seed}: ${o.codes.join(', ')}`);
  return all.median <= LIMIT.median && all.most <= LIMIT.most && refused.length <= outcomes.length * LIMIT.wronglyRefused;
}

/** Photographs made unusable; returns whether each was refused with the code of its fault. */
export async function benchRefusals(run: RunTrials, seed: number, rounds: number): Promise<boolean> {
  const unusable = CAMERA_CONDITIONS.filter(isUnusable);
  const outcomes = await run(trials(unusable, rounds, seed + 5000, 'nominal'));
  console.log('\nPhotographs made unusable');
  row('', "photos", "refused", "with code");
  let right = true;
  for (const camera of unusable) {
    const code = UNUSABLE[camera];
    const own = outcomes.filter((o) => o.trial.camera === camera);
    const named = own.filter((o) => !o.accepted && o.codes.includes(code));
    row(`${camera} (${code})`, own.length, own.filter((o) => !o.accepted).length, named.length);
    for (const o of own.filter((x) => !named.includes(x)))
      console.log(`  ${o.accepted ? 'accepted' : 'other code'}: seed ${o.trial.seed}: ${o.codes.join(', ') || 'no code'}`);
    right &&= named.length === own.length;
  }
  return right;
}

/** What other printers than the nominal one do to the readings, and whether the stated interval covers it. */
export async function benchPrinters(run: RunTrials, seed: number): Promise<void> {
  const outcomes = await run(trials(['studio'], 10, seed + 9000, 'office'));
  console.log('\nTen other printers, read as if they were nominal: bias in L*');
  row('seed', 'readings', 'bias', 'lightest', 'darkest', 'largest', 'covered');
  for (const o of outcomes) {
    const readings = promised(o.readings);
    const errors = readings.map((r) => r.read - r.truth);
    const byTruth = [...readings].sort((a, b) => a.truth - b.truth);
    const [dark, light] = [byTruth[0], byTruth.at(-1)];
    const covered = readings.filter((r) => Math.abs(r.read - r.truth) <= r.uncertainty).length / readings.length;
    row(
      String(o.trial.seed),
      readings.length,
      mean(errors),
      light ? light.read - light.truth : 'none',
      dark ? dark.read - dark.truth : 'none',
      Math.max(...errors.map(Math.abs)),
      `${Math.round(100 * covered)} %`,
    );
  }
}
