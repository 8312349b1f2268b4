/** What changed from one try to the next, in figures and step by step. */
import { FIGURE_KEYS, FIGURE_WORDS } from './figure-words';
import type { Figures, StepFigure } from './figures';

export interface FigureChange {
  readonly key: keyof Figures;
  /** Null of the first try. */
  readonly before: number | null;
  readonly now: number;
  readonly way: 'better' | 'worse' | 'other' | 'same';
}

function wayOf(key: keyof Figures, before: number, now: number): FigureChange['way'] {
  const { better, times, notable } = FIGURE_WORDS[key];
  const size = better === 'towards' ? Math.abs(now) - Math.abs(before) : now - before;
  if (Math.abs(times * size) < notable) return 'same';
  if (better === null) return 'other';
  return size < 0 === (better !== 'more') ? 'better' : 'worse';
}

/** Figures that a try has, each beside the same of the try before it. */
export function figureChanges(before: Figures | null, now: Figures): FigureChange[] {
  return FIGURE_KEYS.flatMap((key): FigureChange[] => {
    const own = now[key];
    if (own === null) return [];
    const earlier = before?.[key] ?? null;
    return [{ key, before: earlier, now: own, way: earlier === null ? 'same' : wayOf(key, earlier, own) }];
  });
}

/** A step that moved by less has not moved, steps. */
const MOVED = 0.2;

/** Steps (from 1) that came closer to their targets, and that went further from them. */
export function stepsMoved(
  before: readonly StepFigure[],
  now: readonly StepFigure[],
): { readonly closer: readonly number[]; readonly further: readonly number[] } {
  const earlier = new Map(before.map((s) => [s.step, Math.abs(s.error)]));
  const moved = (is: (by: number) => boolean) =>
    now.filter(({ step, error }) => is(Math.abs(error) - (earlier.get(step) ?? Math.abs(error)))).map((s) => s.step);
  return { closer: moved((by) => by <= -MOVED), further: moved((by) => by >= MOVED) };
}
