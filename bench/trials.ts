/** Trials side by side in worker threads; called with a list, it answers in the list's order. */
import path from 'node:path';
import { Piscina } from 'piscina';
import type { CritiqueOutcome, CritiqueTrial } from './critique/critique-trial';
import type { DabOutcome, DabTrial } from './dab-trial';
import type { MassOutcome, MassTrial } from './mass-trial';
import type { NotanOutcome, NotanTrial } from './notan-trial';
import type { ColourOutcome, ColourTrial } from './painting/colour-trial';
import type { FormOutcome, FormTrial } from './painting/form-trial';
import type { PaintingOutcome, PaintingTrial } from './painting/painting-trial';
import type { StatesOutcome, StatesTrial } from './painting/states-trial';
import type { Trial, TrialOutcome } from './trial-outcome';

export interface Trials<T, O> {
  readonly run: (trials: readonly T[]) => Promise<O[]>;
  readonly close: () => Promise<void>;
}

/** Each thread loads all that reads a photograph: where tests run beside one another, the few trials of one do with one. */
const THREADS = process.env['JEST_WORKER_ID'] ? 1 : 2;

function open<T, O>(file: string): Trials<T, O> {
  const pool = new Piscina({ filename: path.resolve(file), maxThreads: THREADS });
  return {
    run: (trials) => Promise.all(trials.map((t) => pool.run(t) as Promise<O>)),
    close: () => pool.destroy(),
  };
}

export const openTrials = () => open<Trial, TrialOutcome>('dist/bench-trial.mjs');
export const openNotanTrials = () => open<NotanTrial, NotanOutcome>('dist/bench-notan.mjs');
export const openPaintingTrials = () => open<PaintingTrial, PaintingOutcome>('dist/bench-painting.mjs');
export const openCritiqueTrials = () => open<CritiqueTrial, CritiqueOutcome>('dist/bench-critique.mjs');
export const openFormTrials = () => open<FormTrial, FormOutcome>('dist/bench-form.mjs');
export const openColourTrials = () => open<ColourTrial, ColourOutcome>('dist/bench-colours.mjs');
export const openStatesTrials = () => open<StatesTrial, StatesOutcome>('dist/bench-states.mjs');
export const openMassTrials = () => open<MassTrial, MassOutcome>('dist/bench-masses.mjs');
export const openDabTrials = () => open<DabTrial, DabOutcome>('dist/bench-dab.mjs');
