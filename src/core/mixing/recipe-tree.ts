/**
 * Recipes that can be measured out: every puddle is mixed from two that are there already, in whole parts up to
 * eight. A tiny amount of black can't be measured; a few parts of the next grey can.
 */
import { coveringLab, type PaintModel } from './paint-model';
import { blend } from './reach';
import type { SurfaceId } from './surface';

export const MOST_PARTS = 8;
/** Plain halving is kept where it holds every step to this, L*. */
export const HALVING_HOLDS = 1.5;

/** Ratios of whole parts without a common divisor. */
const RATIOS: readonly (readonly [first: number, second: number])[] = Array.from({ length: MOST_PARTS }, (_, i) =>
  Array.from({ length: MOST_PARTS }, (_, j) => [i + 1, j + 1] as const),
)
  .flat()
  .filter(([p, q]) => gcd(p, q) === 1);

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** Where a tube is no step itself, it stands before the first step and after the last. */
export const LIGHT_TUBE = 0;
export const darkTube = (steps: number): number => steps + 1;

export interface Puddle {
  /** From 1, light to dark; a tube that is no step is `LIGHT_TUBE` or `darkTube(steps)`. */
  readonly step: number;
  readonly target: number;
  /** L* that it should dry to. */
  readonly lightness: number;
  /** Steps that it is mixed from, the lighter first, and how many parts of each; null for paint from the tube. */
  readonly from: readonly [lighter: number, darker: number] | null;
  readonly parts: readonly [lighter: number, darker: number] | null;
  /** Share of the dark paint by volume, 0 to 1. */
  readonly darkShare: number;
}

export interface RecipeTree {
  readonly puddles: readonly Puddle[];
  /** Steps that are mixed, each after what it is mixed from. */
  readonly order: readonly number[];
  /** Steps whose wanted lightness lies beyond what the two paints reach. */
  readonly beyond: readonly number[];
  /** Largest distance of a puddle from its target, L*. */
  readonly worst: number;
  readonly halving: boolean;
}

interface Found {
  readonly cost: number;
  readonly puddles: readonly Puddle[];
}

interface Search {
  readonly targets: readonly number[];
  readonly lightnessOf: (darkShare: number) => number;
  readonly memo: Map<string, Found>;
  readonly halving: boolean;
}

/** A puddle between two others that comes nearest to its target; fewer parts break a tie. */
function bestPuddle({ targets, lightnessOf }: Search, step: number, lighter: Puddle, darker: Puddle): Puddle {
  const target = targets[step - 1] as number;
  let best: Puddle | null = null;
  let least = Infinity;
  for (const [p, q] of RATIOS) {
    const darkShare = (p * lighter.darkShare + q * darker.darkShare) / (p + q);
    const lightness = lightnessOf(darkShare);
    const cost = Math.abs(lightness - target) + 0.01 * (p + q);
    if (cost < least) {
      least = cost;
      best = { step, target, lightness, from: [lighter.step, darker.step], parts: [p, q], darkShare };
    }
  }
  return best as Puddle;
}

/** How many places an interval may be split at; the rest are further off. */
const PLACES_TRIED = 3;

/**
 * Fills the steps between two puddles. The cost of a tree is the fourth power of its errors, so that one step far off
 * weighs more than several near ones.
 */
function fill(search: Search, lighter: Puddle, darker: Puddle): Found {
  const [from, to] = [lighter.step, darker.step];
  if (to - from < 2) return { cost: 0, puddles: [] };
  const key = `${from} ${lighter.darkShare} ${to} ${darker.darkShare}`;
  const known = search.memo.get(key);
  if (known) return known;
  const middle = Math.floor((from + to) / 2);
  const between = search.halving ? [middle] : Array.from({ length: to - from - 1 }, (_, i) => from + 1 + i);
  const tried = between
    .map((step) => bestPuddle(search, step, lighter, darker))
    .map((puddle) => ({ puddle, error: Math.abs(puddle.lightness - puddle.target) }))
    .sort((a, b) => a.error - b.error || Math.abs(a.puddle.step - middle) - Math.abs(b.puddle.step - middle))
    .slice(0, PLACES_TRIED);
  let best: Found = { cost: Infinity, puddles: [] };
  for (const { puddle, error } of tried) {
    const own = error ** 4;
    if (own >= best.cost) continue;
    const light = fill(search, lighter, puddle);
    if (own + light.cost >= best.cost) continue;
    const dark = fill(search, puddle, darker);
    const cost = own + light.cost + dark.cost;
    if (cost < best.cost) best = { cost, puddles: [puddle, ...light.puddles, ...dark.puddles] };
  }
  search.memo.set(key, best);
  return best;
}

/** A tube this near (L*) to an end's target is that end; else the end is mixed as well. */
const TUBE_WILL_DO = 0.75;

/**
 * The tree for wanted lightnesses (L*, light to dark) from a light and a dark paint. What neither reaches is told in
 * `beyond`, and the tube nearest to it stands in. Throws RangeError below three steps, or where the dark is no darker
 * than the light.
 */
export function recipeTree(wanted: readonly number[], light: PaintModel, dark: PaintModel, surface: SurfaceId): RecipeTree {
  const steps = wanted.length;
  if (steps < 3) throw new RangeError(`A set of mixes needs at least 3 steps, got ${steps}.`);
  const lightnessOf = (share: number) => coveringLab(blend(light, dark, share), surface)[0];
  const [lightest, darkest] = [lightnessOf(0), lightnessOf(1)];
  if (lightest <= darkest) throw new RangeError('The dark paint is no darker than the light one: choose another.');
  const beyond = wanted.flatMap((w, i) => (w > lightest + TUBE_WILL_DO || w < darkest - TUBE_WILL_DO ? [i + 1] : []));
  const targets = wanted.map((w) => Math.min(lightest, Math.max(darkest, w)));
  const end = (step: number, darkShare: number, target: number): Puddle => ({ step, target, lightness: lightnessOf(darkShare), from: null, parts: null, darkShare });
  const near = (tube: number, target: number | undefined) => Math.abs(tube - (target ?? tube)) <= TUBE_WILL_DO;
  const first = end(near(lightest, targets[0]) ? 1 : LIGHT_TUBE, 0, targets[0] ?? lightest);
  const last = end(near(darkest, targets.at(-1)) ? steps : darkTube(steps), 1, targets.at(-1) ?? darkest);
  const find = (halving: boolean): RecipeTree => {
    const mixed = fill({ targets, lightnessOf, memo: new Map(), halving }, first, last).puddles;
    const puddles = [first, ...[...mixed].sort((a, b) => a.step - b.step), last].filter((p) => p.step >= 1 && p.step <= steps);
    return { puddles, order: mixed.map((p) => p.step), worst: Math.max(0, ...mixed.map((p) => Math.abs(p.lightness - p.target))), halving, beyond };
  };
  const halved = find(true);
  return halved.worst <= HALVING_HOLDS ? halved : find(false);
}
