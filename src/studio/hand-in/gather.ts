/** What each family is measured with, gathered for a worker: its paints, or what it is painted from. */
import type { ExerciseTerms, SteppedTerms } from '@/core/exercise/terms';
import { predictedSteps } from '@/core/kinds/exercise-recipe';
import type { FamilyId } from '@/core/kinds/family-ids';
import { kindOf } from '@/core/kinds/table';
import type { Photograph } from '@/workers/tasks/measure';
import type { House } from '../house';
import { figuresFor } from '../mixing/palettes';
import { measuredNotan } from './notan-hand-ins';
import { measuredPainting } from './painting-hand-ins';
import type { Measured, ToMeasure } from './to-measure';

type How = Parameters<House['pool']['run']>[1];
/** Null where nothing is read, and a person judges by eye. */
type Measure = (house: House, own: ToMeasure, photo: Photograph, how: How) => Promise<Measured | null>;

/** What the class's paints predict of the steps, so that only what differs from it is told. */
export async function knownPaints(house: House, classId: string, terms: ExerciseTerms) {
  const paints = predictedSteps(terms, await figuresFor(house, classId, terms.medium));
  return paints ? { paints } : {};
}

const measureSteps: Measure = async (house, { terms, class: group, attempt }, photo, how) => {
  const paints = await knownPaints(house, group.id, terms);
  const task = { ...photo, task: 'measure-scale' as const, terms: terms as SteppedTerms, target: attempt.target };
  return { result: await house.pool.run({ ...task, ...paints }, how), against: null };
};

/** One row a family. */
const MEASURE: Record<FamilyId, Measure> = {
  steps: measureSteps,
  bands: measureSteps,
  chips: measureSteps,
  tones: measuredNotan,
  paintings: measuredPainting,
  'by-eye': () => Promise.resolve(null),
};

export const measureBy: Measure = (house, own, photo, how) => MEASURE[kindOf(own.terms).family](house, own, photo, how);
