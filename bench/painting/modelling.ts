/** Faults between values in paintings that nothing was tuned to: gradients of shapes, and contrasts of shapes that meet. */
import { USABLE } from '@/devices/condition-names';
import { row } from '../tally';
import { openPaintingTrials } from '../trials';
import type { PaintingOutcome, PaintingTrial } from './painting-trial';

const LIMIT = { recall: 0.8, precision: 0.9 } as const;
/** L* from side to side that must be told, and that may not be. */
const GRADIENT = { must: 15, mayNot: 5 } as const;

const of = (outcome: PaintingOutcome, code: string) => outcome.findings.filter((f) => f.code === code);

function kept(what: string, must: readonly boolean[], said: readonly boolean[]): boolean {
  const share = (list: readonly boolean[]) => (list.length === 0 ? 1 : list.filter(Boolean).length / list.length);
  row(what, must.length, said.length, share(must), share(said));
  return share(must) >= LIMIT.recall && share(said) >= LIMIT.precision;
}

/** Whether a shape is told of at all: by its gradient, or by parts of it that are off. */
const toldOf = (outcome: PaintingOutcome, name: string): boolean =>
  outcome.findings.some((f) => ['gradient_off', 'part_off'].includes(f.code) && f.where.shape === name);

/** Returns whether every promise is kept. */
export async function benchModelling(seed: number, each: number, megapixels: number): Promise<boolean> {
  const trials = openPaintingTrials();
  const outcomes = await trials.run(
    Array.from({ length: each }, (_, k): PaintingTrial => ({
      seed: seed + k,
      scene: seed + (k % Math.ceil(each / 2)),
      camera: USABLE[k % USABLE.length] ?? 'studio',
      way: k % 3 === 1 ? 'brackets' : 'sheet',
      card: 'measured',
      megapixels,
      mistaken: 0,
      moved: false,
      small: 'modelling',
    })),
  );
  await trials.close();
  const read = outcomes.filter((o) => o.accepted);
  console.log(`\n${read.length} paintings with faults between values, ${megapixels} megapixels`);
  row('', 'planted', 'told', 'recall', 'precision');
  const gradients = kept(
    'gradients',
    read.flatMap((o) => o.modelled.gradients.filter((g) => g.by >= GRADIENT.must).map((g) => toldOf(o, g.name))),
    read.flatMap((o) =>
      of(o, 'gradient_off').map((f) =>
        o.modelled.gradients.some((g) => g.name === f.where.shape && g.by >= GRADIENT.mayNot),
      ),
    ),
  );
  const isPair = (between: readonly string[], names: readonly string[]) => names.every((n) => between.includes(n));
  const toldPairs = (o: PaintingOutcome) =>
    of(o, 'contrast_off').flatMap((f) =>
      o.contrasts.filter((c) => f.key.includes(`contrast ${c.between.join(' and ')}`)),
    );
  const touched = (o: PaintingOutcome, name: string) =>
    o.modelled.pairs.some((p) => p.names.includes(name)) ||
    o.modelled.gradients.some((g) => g.name === name && g.by >= GRADIENT.mayNot);
  const contrasts = kept(
    'contrasts',
    read.flatMap((o) =>
      o.modelled.pairs.map(
        ({ names }) => toldPairs(o).some((c) => isPair(c.between, names)) || names.some((name) => toldOf(o, name)),
      ),
    ),
    read.flatMap((o) => toldPairs(o).map((c) => c.between.some((name) => touched(o, name)))),
  );
  return gradients && contrasts;
}
