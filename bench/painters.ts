/** Two hundred painters with tubes of their own: how well three logged mixes foretell their nine greys. */
import { fitPaints, mixToAskFor } from '@/core/mixing/fit';
import { greySet } from '@/core/mixing/grey-set';
import { HAND_NOISE, type LoggedMix } from '@/core/mixing/logged-mix';
import { coveringLab, type Figures, mixModel, paletteOf, type Parts } from '@/core/mixing/paint-model';
import { SURFACE_OF } from '@/core/mixing/surface';
import { chance } from '@/devices/random';
import { paintedMix, painterPaints } from '@/devices/spectral-paint';
import { quantile, row } from './tally';

const WHITE = 'titanium-white';
const BLACK = 'ivory-black';
const PAINTS = [WHITE, BLACK] as const;
const MEDIUM = 'gouache';
export const LIMIT = { median: 1.5, most: 3, all: 6 } as const;

/** The nine greys as the app would mix them with these figures. */
function recipe(figures: Figures): { parts: Parts; predicted: number }[] {
  const palette = paletteOf(PAINTS, figures);
  return greySet(PAINTS, figures, MEDIUM).map((parts) => ({
    parts,
    predicted: coveringLab(mixModel(palette, parts), SURFACE_OF[MEDIUM])[0],
  }));
}

export interface PainterOutcome {
  readonly seed: number;
  readonly strength: number;
  /** L* predicted less L* painted, step by step: before anything was logged, and after three mixes. */
  readonly before: readonly number[];
  readonly after: readonly number[];
}

export function tryPainter(seed: number, logs = 3): PainterOutcome {
  const tubes = painterPaints(seed);
  const own = chance(seed).fork('readings');
  const painted = (parts: Parts) =>
    paintedMix(tubes, (parts[BLACK] ?? 0) / ((parts[WHITE] ?? 0) + (parts[BLACK] ?? 0)))[0];
  const errors = (figures: Figures) => recipe(figures).map(({ parts, predicted }) => predicted - painted(parts));
  const mixes: LoggedMix[] = [];
  let figures: Figures = {};
  const before = errors(figures);
  for (let k = 0; k < logs; k++) {
    const wanted = recipe(figures).map((r) => r.parts);
    const asked = mixToAskFor(PAINTS, mixes, wanted, wanted, MEDIUM);
    if (!asked) break;
    const lightness = Math.min(100, Math.max(0, painted(asked) + HAND_NOISE * own.gauss()));
    mixes.push({ parts: asked, lightness, a: null, b: null, wet: false, noise: HAND_NOISE });
    figures = fitPaints(PAINTS, mixes, MEDIUM).figures;
  }
  return { seed, strength: tubes.strength, before, after: errors(figures) };
}

/** Returns whether the predictions keep their promise over so many painters. */
export function benchPainters(seed: number, painters = 200): boolean {
  const outcomes = Array.from({ length: painters }, (_, k) => tryPainter(seed + k));
  console.log(
    `\n${painters} painters with black up to three times off in strength: error of the predicted lightness of nine greys, L*`,
  );
  row('', 'median', '95 %', 'all');
  const told = (name: string, of: (o: PainterOutcome) => readonly number[]) => {
    const worst = outcomes.map((o) => Math.max(...of(o).map(Math.abs)));
    const found = {
      median: quantile(outcomes.flatMap(of).map(Math.abs), 0.5),
      most: quantile(worst, 0.95),
      all: Math.max(...worst),
    };
    row(name, found.median, found.most, found.all);
    return found;
  };
  told('by the catalogue', (o) => o.before);
  const found = told('after three mixes', (o) => o.after);
  return found.median <= LIMIT.median && found.most <= LIMIT.most && found.all <= LIMIT.all;
}
