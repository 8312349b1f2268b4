/** For steps that are to be painted again: what to add to a puddle like the one that was used. */
import { PAINTS } from '../exercise/paints';
import type { ExerciseTerms } from '../exercise/terms';
import { nudge } from '../mixing/nudge';
import { sayNudge } from '../mixing/nudge-words';
import { type Figures, mixModel, paletteOf } from '../mixing/paint-model';
import { SURFACE_OF } from '../mixing/surface';
import type { Repaint } from '../scale/result';
import { recipePaints, runAt } from './exercise-recipe';

/**
 * One sentence a step, in the order of `work`; null where the exercise's paints make no row of steps. `targets` are of
 * all steps, L*, in reading order.
 */
export function repaintNudges(
  terms: ExerciseTerms,
  own: Figures,
  work: readonly Repaint[],
  targets: readonly number[],
  labels: readonly string[],
): string[] | null {
  const paints = recipePaints(terms);
  if (!paints) return null;
  const palette = paletteOf(terms.materials.paints, own);
  const surface = SURFACE_OF[terms.medium];
  return work.map(({ step, from, to }) => {
    const run = runAt(palette, paints, to, surface);
    const wanted = targets.map((t, i) => (i === step - 1 ? to : t));
    const next = nudge(
      from,
      step,
      wanted,
      mixModel(palette, { [run.light]: 1 }),
      mixModel(palette, { [run.dark]: 1 }),
      surface,
    );
    // A puddle that does for another step is no help once that step is painted.
    return sayNudge(
      { ...next, useFor: null },
      {
        step: labels[step - 1] ?? String(step),
        light: PAINTS[run.light].name,
        dark: PAINTS[run.dark].name,
        other: null,
        labels,
      },
    );
  });
}
