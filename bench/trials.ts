/** Trials side by side in worker threads; called with a list, it answers in the list's order. */
import path from 'node:path';
import { Piscina } from 'piscina';
import type { Trial, TrialOutcome } from './trial';

export interface Trials {
  readonly run: (trials: readonly Trial[]) => Promise<TrialOutcome[]>;
  readonly close: () => Promise<void>;
}

export function openTrials(): Trials {
  const pool = new Piscina({ filename: path.resolve('dist/bench-trial.mjs'), maxThreads: 2 });
  return {
    run: (trials) => Promise.all(trials.map((t) => pool.run(t) as Promise<TrialOutcome>)),
    close: () => pool.destroy(),
  };
}
