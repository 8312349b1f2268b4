/** What the mixing bench works with: paints of a class as models, and the recipe that follows from the targets. */
import { labToLinearRgb } from '@/core/colour/lab';
import type { Triple } from '@/core/colour/srgb';
import type { MediumId } from '@/core/exercise/media';
import type { PaintId } from '@/core/exercise/paints';
import { targetLightnesses, throughPure } from '@/core/exercise/targets';
import { FILM_MM, millilitres } from '@/core/mixing/film';
import { coveringLab, mixModel, type Palette } from '@/core/mixing/paint-model';
import { type Recipe, recipeFor } from '@/core/mixing/recipe';
import { SURFACE_OF, type SurfaceId } from '@/core/mixing/surface';

export const GROUNDS: Record<'paper' | 'grey' | 'warm', { readonly name: string; readonly lab: Triple }> = {
  paper: { name: 'white paper', lab: [95, 0, -1] },
  grey: { name: 'grey ground', lab: [60, 0, 0] },
  warm: { name: 'warm toned ground', lab: [62, 9, 24] },
};
export type GroundId = keyof typeof GROUNDS;

export interface BenchChoice {
  readonly medium: MediumId;
  readonly light: PaintId;
  readonly dark: PaintId;
  readonly pure: PaintId | null;
  readonly steps: number;
  readonly areaCm2: number;
  readonly ground: GroundId;
}

export const lightnessOf = (palette: Palette, surface: SurfaceId, id: PaintId): number =>
  coveringLab(mixModel(palette, { [id]: 1 }), surface)[0];

/** Even targets between the two paints' own ends, through the pure colour where there is one. Null where they make no row. */
export function evenTargets(
  palette: Palette,
  { medium, light, dark, pure, steps }: BenchChoice,
): { targets: number[]; pureStep: number | null } | null {
  const surface = SURFACE_OF[medium];
  const ends = { light: lightnessOf(palette, surface, light), dark: lightnessOf(palette, surface, dark) };
  if (ends.light - ends.dark < 10) return null;
  const targets = targetLightnesses(steps, ends, 'light-first', 'lightness');
  if (!pure) return { targets, pureStep: null };
  const own = lightnessOf(palette, surface, pure);
  if (own > ends.light - 5 || own < ends.dark + 5) return null;
  const through = throughPure(targets, 'light-first', own, 'own-value');
  return { targets: through.targets, pureStep: through.step };
}

/** The recipe for targets light to dark; null where the paints make no row. */
export function benchRecipe(
  palette: Palette,
  choice: BenchChoice,
  targets: readonly number[],
  pureStep: number | null,
): Recipe | null {
  const { medium, light, dark, pure, areaCm2, ground } = choice;
  const own = millilitres(areaCm2 * 100, medium);
  try {
    return recipeFor(
      palette,
      {
        targets,
        order: 'light-first',
        work: 'ends-first',
        light,
        dark,
        pure: pure && pureStep !== null ? { paint: pure, step: pureStep } : null,
        own: targets.map(() => own),
        film: FILM_MM[medium],
        ground: labToLinearRgb(GROUNDS[ground].lab),
        brushMm: 12,
      },
      SURFACE_OF[medium],
    );
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
