/** The recipe of an exercise: how each of its steps is mixed, in which order, and how much of it. */
import { linearRgbToLab } from '../colour/lab';
import { hueTurn } from '../colour/oklab';
import type { Triple } from '../colour/srgb';
import type { PaintId } from '../exercise/paints';
import type { ReadingOrder, WorkOrder } from '../exercise/scale';
import { amountsFor, leftForOneDark, orderToMix, washesBefore } from './amounts';
import { coatsToCover, coveringLab, coveringRgb, type PaintModel, type Palette, type Parts } from './paint-model';
import { blend } from './reach';
import { darkTube, LIGHT_TUBE, type Puddle, recipeTree, type RecipeTree } from './recipe-tree';
import type { SurfaceId } from './surface';

/** What a puddle is mixed from: another puddle, or a tube. */
export type Source = { readonly step: number } | { readonly paint: PaintId };

export interface PuddleRecipe {
  /** From 1, in reading order; a grey that is only mixed on the way lies between two steps, as 2.5. */
  readonly step: number;
  readonly target: number;
  /** What it should dry to. */
  readonly lab: Triple;
  /** Sources with their parts; one alone is paint from the tube. */
  readonly mix: readonly { readonly source: Source; readonly parts: number }[];
  readonly shares: Parts;
  readonly millilitres: number;
  readonly washBefore: boolean;
  /** Coats until one more changes it by less than 1 L*. */
  readonly coats: number;
  /** The other way: one part of dark paint to so many parts of what is left of the next lighter puddle; null where that is no way. */
  readonly fromLeft: { readonly of: number; readonly parts: number; readonly dark: PaintId } | null;
  /** Degrees by which its hue is turned from the pure colour; null where there is none to turn. */
  readonly hueTurn: number | null;
}

export interface Recipe {
  readonly steps: readonly PuddleRecipe[];
  /** Greys that are no step and are mixed on the way to one. */
  readonly onTheWay: readonly PuddleRecipe[];
  /** Puddles in the order to mix them. */
  readonly order: readonly number[];
  /** Millilitres from each tube. */
  readonly tubes: Parts;
  /** Steps that the paints can't reach; the nearest stands in. */
  readonly beyond: readonly number[];
  readonly worst: number;
  /** Lightest and darkest that the paints reach, L*. */
  readonly reach: { readonly light: number; readonly dark: number };
}

export interface RecipeWish {
  /** Lightness (L*) of each step in reading order. */
  readonly targets: readonly number[];
  readonly order: ReadingOrder;
  readonly work: WorkOrder;
  readonly light: PaintId;
  readonly dark: PaintId;
  /** The pure colour of a monochrome scale, and the step it stands at, counted from the lightest; null for black and white. */
  readonly pure: { readonly paint: PaintId; readonly step: number } | null;
  /** What each step needs, waste included, ml, in reading order. */
  readonly own: readonly number[];
  readonly film: number;
  readonly ground: Triple;
  readonly brushMm: number;
}

/** One run of puddles between two paints; `from` is how many steps (light to dark) lie before its first. */
interface Run {
  readonly tree: RecipeTree;
  readonly light: PaintId;
  readonly dark: PaintId;
  readonly from: number;
}

const paintOf = (palette: Palette, id: PaintId): PaintModel => {
  const model = palette.get(id);
  if (!model) throw new RangeError('Choose a light and a dark paint that are on the palette.');
  return model;
};

/** Two steps with nothing between them: both as they come from the tube. */
function tubesAlone(targets: readonly number[], light: PaintModel, dark: PaintModel, surface: SurfaceId): RecipeTree {
  const tube = (step: number, model: PaintModel): Puddle => ({
    step,
    target: targets[step - 1] ?? 50,
    lightness: coveringLab(model, surface)[0],
    from: null,
    parts: null,
    darkShare: step - 1,
  });
  return { steps: 2, puddles: [tube(1, light), tube(2, dark)], order: [], beyond: [], worst: 0, halving: true };
}

function runsFor(palette: Palette, wish: RecipeWish, lightFirst: readonly number[], surface: SurfaceId): Run[] {
  const [light, dark] = [paintOf(palette, wish.light), paintOf(palette, wish.dark)];
  if (!wish.pure)
    return [{ tree: recipeTree(lightFirst, light, dark, surface), light: wish.light, dark: wish.dark, from: 0 }];
  const pure = paintOf(palette, wish.pure.paint);
  const { step } = wish.pure;
  const pieces: Run[] = [];
  const piece = (
    targets: readonly number[],
    a: PaintModel,
    b: PaintModel,
    lightId: PaintId,
    darkId: PaintId,
    from: number,
  ) => {
    pieces.push({
      tree: targets.length > 2 ? recipeTree(targets, a, b, surface) : tubesAlone(targets, a, b, surface),
      light: lightId,
      dark: darkId,
      from,
    });
  };
  piece(lightFirst.slice(0, step), light, pure, wish.light, wish.pure.paint, 0);
  piece(lightFirst.slice(step - 1), pure, dark, wish.pure.paint, wish.dark, step - 1);
  return pieces;
}

/**
 * The recipe for a wish, with paints whose models stand in the palette. Throws RangeError where a paint is missing, the
 * dark is no darker than the light, or the pure colour does not lie between.
 */
export function recipeFor(palette: Palette, wish: RecipeWish, surface: SurfaceId): Recipe {
  const steps = wish.targets.length;
  const lightFirst = wish.order === 'light-first' ? wish.targets : [...wish.targets].reverse();
  const ownLightFirst = wish.order === 'light-first' ? wish.own : [...wish.own].reverse();
  const reading = (step: number) => (wish.order === 'light-first' ? step : steps + 1 - step);
  const runs = runsFor(palette, wish, lightFirst, surface);
  const pureRgb = wish.pure ? coveringRgb(paintOf(palette, wish.pure.paint), surface) : null;

  const found = new Map<number, PuddleRecipe>();
  const tubes: Partial<Record<PaintId, number>> = {};
  const order: number[] = [];
  for (const run of runs) {
    const { tree } = run;
    const n = tree.steps;
    const [light, dark] = [paintOf(palette, run.light), paintOf(palette, run.dark)];
    // The pure colour ends one run and begins the next: what it needs itself is counted in the second.
    const own = Array.from({ length: n }, (_, i) =>
      runs.length > 1 && run === runs[0] && i === n - 1 ? 0 : (ownLightFirst[run.from + i] ?? 0),
    );
    const amounts = amountsFor(tree, own);
    tubes[run.light] = (tubes[run.light] ?? 0) + amounts.light;
    tubes[run.dark] = (tubes[run.dark] ?? 0) + amounts.dark;
    const inOrder = orderToMix(tree, wish.work).filter((s) => s >= 1 && s <= n);
    const washes = washesBefore(tree, inOrder, amounts, wish.brushMm, light, dark, surface);
    const source = (step: number): Source =>
      step === LIGHT_TUBE
        ? { paint: run.light }
        : step === darkTube(n)
          ? { paint: run.dark }
          : { step: reading(run.from + step) };
    for (const step of inOrder) if (!order.includes(reading(run.from + step))) order.push(reading(run.from + step));
    tree.puddles.forEach((puddle, i) => {
      const at = reading(run.from + puddle.step);
      const model = blend(light, dark, puddle.darkShare);
      const rgb = coveringRgb(model, surface);
      const lighter = tree.puddles[i - 1];
      const toOneDark = lighter ? leftForOneDark(lighter, puddle) : null;
      const mix =
        puddle.from && puddle.parts
          ? puddle.from.map((s, side) => ({ source: source(s), parts: puddle.parts?.[side] ?? 0 }))
          : [{ source: { paint: puddle.darkShare === 0 ? run.light : run.dark }, parts: 1 }];
      found.set(at, {
        step: at,
        target: puddle.target,
        lab: linearRgbToLab(rgb),
        mix,
        shares: { [run.light]: 1 - puddle.darkShare, [run.dark]: puddle.darkShare },
        // Both runs take from the pure colour where they meet.
        millilitres: (found.get(at)?.millilitres ?? 0) + (amounts.puddles.get(puddle.step) ?? 0),
        washBefore: washes.includes(puddle.step),
        coats: coatsToCover(model, wish.film, wish.ground, surface),
        fromLeft:
          toOneDark === null || !lighter
            ? null
            : { of: reading(run.from + lighter.step), parts: toOneDark, dark: run.dark },
        hueTurn: pureRgb ? hueTurn(pureRgb, rgb) : null,
      });
    });
  }
  return {
    steps: Array.from({ length: steps }, (_, i) => found.get(i + 1) as PuddleRecipe),
    onTheWay: [...found.values()].filter((p) => !Number.isInteger(p.step)),
    order,
    tubes,
    beyond: runs
      .flatMap((r) => r.tree.beyond.map((s) => reading(r.from + s)))
      .filter((s, i, all) => all.indexOf(s) === i),
    worst: Math.max(...runs.map((r) => r.tree.worst)),
    reach: {
      light: coveringLab(paintOf(palette, wish.light), surface)[0],
      dark: coveringLab(paintOf(palette, wish.dark), surface)[0],
    },
  };
}
