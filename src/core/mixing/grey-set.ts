/** The nine greys of a palette, from its first white to its black: what its sureness is told for. */
import type { MediumId } from '../exercise/media';
import { type PaintId, PAINTS } from '../exercise/paints';
import { targetLightnesses } from '../exercise/targets';
import { coveringLab, type Figures, mixModel, paletteOf, type Parts } from './paint-model';
import { recipeTree } from './recipe-tree';
import { SURFACE_OF } from './surface';

const STEPS = 9;
/** Paints nearer than this (L*) make no row of greys. */
const NARROWEST = 20;

/** The paints that greys are mixed from: the first white, and the first black or else the first other paint. */
export function greyEnds(paints: readonly PaintId[]): { light: PaintId; dark: PaintId } | null {
  const light = paints.find((p) => PAINTS[p].family === 'white');
  const dark = paints.find((p) => PAINTS[p].family === 'black') ?? paints.find((p) => p !== light);
  return light && dark ? { light, dark } : null;
}

/** As shares of the two paints, light to dark; the paints by themselves where they make no row. */
export function greySet(paints: readonly PaintId[], figures: Figures, medium: MediumId): Parts[] {
  const surface = SURFACE_OF[medium];
  const palette = paletteOf(paints, figures);
  const tubes = paints.map((p): Parts => ({ [p]: 1 }));
  const chosen = greyEnds(paints);
  if (!chosen) return tubes;
  const [white, black] = [mixModel(palette, { [chosen.light]: 1 }), mixModel(palette, { [chosen.dark]: 1 })];
  const ends = { light: coveringLab(white, surface)[0], dark: coveringLab(black, surface)[0] };
  if (ends.light - ends.dark < NARROWEST) return tubes;
  const { puddles } = recipeTree(targetLightnesses(STEPS, ends, 'light-first', 'lightness'), white, black, surface);
  return puddles
    .filter((p) => Number.isInteger(p.step))
    .map((p) => ({ [chosen.light]: 1 - p.darkShare, [chosen.dark]: p.darkShare }));
}
