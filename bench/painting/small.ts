/** Small faults in paintings that nothing was tuned to: what was planted against what is told, by kind. */
import { USABLE } from '@/devices/condition-names';
import { type Found, row, rowOfFound } from '../tally';
import { openPaintingTrials } from '../trials';
import { meet, THIN } from './boxes';
import type { PaintingOutcome, PaintingTrial } from './painting-trial';
import type { PlantedAccent } from './small-faults';

const LIMIT = { recall: 0.8, precision: 0.9 } as const;
const ACCENTS = ['missing', 'weak', 'extra', 'thin', 'wide'] as const;
const REACHES = ['wide', 'narrow'] as const;
/** How much some shapes are mistaken by in one painting after the other, L*. */
const MISTAKEN = [0, 0, 12] as const;

/** What was planted of one kind against what was told of it; `same` says whether the two are one. */
function tally<P, T>(
  paintings: readonly { readonly planted: readonly P[]; readonly told: readonly T[] }[],
  same: (planted: P, told: T) => boolean,
): Found {
  const sum: Found = { planted: 0, found: 0, said: 0, right: 0 };
  for (const { planted, told: said } of paintings) {
    sum.planted += planted.length;
    sum.found += planted.filter((p) => said.some((t) => same(p, t))).length;
    sum.said += said.length;
    sum.right += said.filter((t) => planted.some((p) => same(p, t))).length;
  }
  return sum;
}

/** Of a thin part of the scene itself, which nobody planted, no more may be left, or no less, for it to be told rightly. */
const OWN = { missing: { most: 0.5 }, weak: { most: 0.8 }, thin: { most: 0.8 }, wide: { least: 1.2 } } as const;

function trulySo({ kind, kept }: PaintingOutcome['accents']['told'][number]): boolean {
  if (kind === 'extra') return false;
  const limit: { readonly most?: number; readonly least?: number } = OWN[kind];
  return kept <= (limit.most ?? Infinity) && kept >= (limit.least ?? -Infinity);
}

function accentsOf(outcomes: readonly PaintingOutcome[], kind: (typeof ACCENTS)[number]): Found {
  const near = (p: PlantedAccent, t: PaintingOutcome['accents']['told'][number]) =>
    t.light === p.light && meet(t.box, p.box, THIN);
  const lines = outcomes.map(({ accents }) => ({
    planted: accents.planted.filter((p) => p.fate === kind),
    told: accents.told.filter((t) => t.kind === kind),
  }));
  const found = tally(lines, near);
  const own = outcomes.flatMap(({ accents }) =>
    accents.told.filter((t) => t.kind === kind && trulySo(t) && !accents.planted.some((p) => near(p, t))),
  );
  return { ...found, right: found.right + own.length };
}

const detailOf = (outcomes: readonly PaintingOutcome[]): Found =>
  tally(
    outcomes.map(({ extents }) => ({
      planted: extents.planted.filter((p) => p.kind === 'detail'),
      told: extents.told.filter((t) => t.kind === 'detail'),
    })),
    (p, t) => t.name === p.name,
  );

/** Painted so much too wide or too narrow, share of its width, a shape has to be told; from half of that on it may be. */
const MUCH = 0.1;

/** Edges count as they were painted: a hand that strays, or a stroke, may undo what was planted, or do the like elsewhere. */
function reachesOf(outcomes: readonly PaintingOutcome[], kind: 'wide' | 'narrow'): Found {
  const sign = kind === 'wide' ? 1 : -1;
  const off = (least: number, tinyToo: boolean) =>
    outcomes.map(({ extents }) => ({
      planted: extents.painted.filter((p) => sign * p.by >= least && (tinyToo || !p.tiny)),
      told: extents.told.filter((t) => t.kind === kind),
    }));
  const same = (p: { readonly name: string }, t: { readonly name: string | null }) => t.name === p.name;
  const [has, may] = [tally(off(MUCH, false), same), tally(off(MUCH / 2, true), same)];
  return { ...has, right: may.right };
}

/** Returns whether every promise is kept. */
export async function benchSmallFaults(seed: number, each: number, megapixels: number): Promise<boolean> {
  const trials = openPaintingTrials();
  const ask = (small: 'accents' | 'extents', k: number): PaintingTrial => ({
    seed: seed + (small === 'accents' ? 0 : 7000) + k,
    scene: seed + (k % Math.ceil(each / 2)),
    camera: USABLE[k % USABLE.length] ?? 'studio',
    way: k % 3 === 1 ? 'brackets' : 'sheet',
    card: 'measured',
    megapixels,
    mistaken: MISTAKEN[k % MISTAKEN.length] ?? 0,
    moved: false,
    small,
  });
  const both = (['accents', 'extents'] as const).flatMap((small) =>
    Array.from({ length: each }, (_, k) => ask(small, k)),
  );
  const outcomes = (await trials.run(both)).filter((o) => o.accepted);
  await trials.close();
  console.log(`\n${outcomes.length} paintings with small faults, ${megapixels} megapixels`);
  row('', 'planted', 'said', 'recall', 'precision');
  const [lines, reaches] = (['accents', 'extents'] as const).map((of) => outcomes.filter((o) => o.trial.small === of));
  const kept = [
    ...ACCENTS.map((kind) => rowOfFound(`accent ${kind}`, accentsOf(lines ?? [], kind), LIMIT)),
    ...REACHES.map((kind) => rowOfFound(kind, reachesOf(reaches ?? [], kind), LIMIT)),
    rowOfFound('detail', detailOf(reaches ?? []), LIMIT),
  ];
  return kept.every(Boolean);
}
