/** The recipe that an exercise's terms ask for. */
import { labToLinearRgb } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { brushesFor } from '../exercise/brushes';
import { type PaintId, PAINTS } from '../exercise/paints';
import { throughPure } from '../exercise/targets';
import type { ExerciseTerms } from '../exercise/terms';
import { FILM_MM, millilitres } from '../mixing/film';
import { coveringLab, type Figures, type Palette, paletteOf } from '../mixing/paint-model';
import { type Recipe, recipeFor } from '../mixing/recipe';
import { SURFACE_OF, type SurfaceId } from '../mixing/surface';
import { areasOf, kindOf, shapeWidths, valuesOf } from './table';

/** Good white paper, L*a*b*. */
export const PAPER_LAB = [95, 0, -1] as const;
const FEWEST = 3;

export interface RecipePaints {
  readonly light: PaintId;
  readonly dark: PaintId;
  readonly pure: PaintId | null;
}

const lightnessIn =
  (palette: Palette, surface: SurfaceId) =>
  (id: PaintId): number => {
    const model = palette.get(id);
    return model ? coveringLab(model, surface)[0] : 0;
  };

/**
 * Which of an exercise's paints make its steps: the first white, the first black or else the one paint beside the white,
 * and for a monochrome scale the paint of its colour. Null where there is no such pair.
 */
export function recipePaints(terms: ExerciseTerms): RecipePaints | null {
  const { paints } = terms.materials;
  const light = paints.find((p) => PAINTS[p].family === 'white');
  const others = paints.filter((p) => PAINTS[p].family !== 'white');
  const dark = others.find((p) => PAINTS[p].family === 'black') ?? (others.length === 1 ? others[0] : undefined);
  if (!light || !dark) return null;
  const { hue } = kindOf(terms).row(terms);
  if (!hue) return { light, dark, pure: null };
  const named = others.find((p) => PAINTS[p].name === hue.name.toLowerCase());
  const pure = named ?? others.find((p) => PAINTS[p].family !== 'black' && p !== dark);
  return pure && pure !== dark ? { light, dark, pure } : null;
}

/** The two paints between which a lightness is mixed: in a monochrome scale those on its side of the pure colour. */
export function runAt(
  palette: Palette,
  { light, dark, pure }: RecipePaints,
  target: number,
  surface: SurfaceId,
): { readonly light: PaintId; readonly dark: PaintId } {
  if (pure === null) return { light, dark };
  return lightnessIn(palette, surface)(pure) < target ? { light, dark: pure } : { light: pure, dark };
}

/** What an exercise's paints predict of its steps: their colours in reading order, and how light the pure colour is; null where nothing is known. */
export function predictedSteps(
  terms: ExerciseTerms,
  own: Figures = {},
): { readonly labs: readonly Triple[]; readonly pure: number | null } | null {
  const recipe = recipeOf(terms, own);
  const paints = recipePaints(terms);
  if (!recipe || !paints) return null;
  const pure = paints.pure === null ? undefined : paletteOf([paints.pure], own).get(paints.pure);
  return { labs: recipe.steps.map((s) => s.lab), pure: pure ? coveringLab(pure, SURFACE_OF[terms.medium])[0] : null };
}

/** The recipe of an exercise by the studio's own figures; null where its paints make no row of steps. */
export function recipeOf(terms: ExerciseTerms, own: Figures = {}): Recipe | null {
  const targets = valuesOf(terms);
  const palette = paletteOf(terms.materials.paints, own);
  const paints = recipePaints(terms);
  if (!paints || targets.length < FEWEST) return null;
  const needs = targets.map(() => 0);
  for (const { lightness, areaMm2 } of areasOf(terms)) {
    const offs = targets.map((t) => Math.abs(t - lightness));
    const nearest = offs.indexOf(Math.min(...offs));
    needs[nearest] = (needs[nearest] ?? 0) + millilitres(areaMm2, terms.medium);
  }
  const surface = SURFACE_OF[terms.medium];
  const lightness = lightnessIn(palette, surface);
  // A pure colour outside its neighbours, or a dark no darker than the light, makes no row.
  if (lightness(paints.dark) >= lightness(paints.light)) return null;
  if (
    paints.pure &&
    !(lightness(paints.pure) < lightness(paints.light) - 5 && lightness(paints.pure) > lightness(paints.dark) + 5)
  )
    return null;
  const { order, work, hue } = kindOf(terms).row(terms);
  const pure =
    paints.pure !== null && hue
      ? { paint: paints.pure, ...throughPure(targets, order, lightness(paints.pure), hue.pureAt) }
      : null;
  return recipeFor(
    palette,
    {
      targets: pure?.targets ?? targets,
      order,
      work,
      light: paints.light,
      dark: paints.dark,
      pure,
      own: needs,
      film: FILM_MM[terms.medium],
      ground: labToLinearRgb(PAPER_LAB),
      brushMm: brushesFor(shapeWidths(terms)).at(-1) ?? 8,
    },
    surface,
  );
}
