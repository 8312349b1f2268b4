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
export const RATIOS: readonly (readonly [first: number, second: number])[] = Array.from(
  { length: MOST_PARTS },
  (_, i) => Array.from({ length: MOST_PARTS }, (_, j) => [i + 1, j + 1] as const),
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
  /**
   * From 1, light to dark. A tube that is no step is `LIGHT_TUBE` or `darkTube(steps)`; a grey that is only mixed on
   * the way lies between two steps, as 2.5.
   */
  readonly step: number;
  readonly target: number;
  /** L* that it should dry to. */
  readonly lightness: number;
  /** What it is mixed from, the lighter first, and how many parts of each; null for paint from the tube. */
  readonly from: readonly [lighter: number, darker: number] | null;
  readonly parts: readonly [lighter: number, darker: number] | null;
  /** Share of the dark paint by volume, 0 to 1. */
  readonly darkShare: number;
}

export const isStep = (puddle: Puddle): boolean => Number.isInteger(puddle.step);

export interface RecipeTree {
  readonly steps: number;
  /** Light to dark: the steps, and greys on the way. */
  readonly puddles: readonly Puddle[];
  /** What is mixed, each after what it is mixed from. */
  readonly order: readonly number[];
  /** Steps whose wanted lightness lies beyond what the two paints reach. */
  readonly beyond: readonly number[];
  /** Largest distance of a step from its target, L*. */
  readonly worst: number;
  readonly halving: boolean;
}

interface Found {
  readonly cost: number;
  readonly puddles: readonly Puddle[];
}

type Place = Pick<Puddle, 'step' | 'target'>;

interface Search {
  readonly lightnessOf: (darkShare: number) => number;
  readonly memo: Map<string, Found>;
  readonly halving: boolean;
  /** How many intervals may still be tried in several ways. */
  left: number;
}

/** A puddle between two others that comes nearest to its target; fewer parts break a tie. */
function bestPuddle({ lightnessOf }: Search, { step, target }: Place, lighter: Puddle, darker: Puddle): Puddle {
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

/** In how many places an interval may be split; the rest are further off. */
const PLACES_TRIED = 3;
/**
 * Intervals that are tried in several ways before each is split at its best place only. Targets in no order would else
 * be searched for minutes; a dragged one must be answered within a frame or two.
 */
const BUDGET = 400;
/** What a grey on the way costs, so that none is mixed for nothing. */
const ON_THE_WAY = 0.05;

/**
 * Fills the places between two puddles. The cost of a tree is the fourth power of its steps' errors, so that one far
 * off weighs more than several near ones.
 */
function fill(search: Search, places: readonly Place[], lighter: Puddle, darker: Puddle): Found {
  const between = places.filter((p) => p.step > lighter.step && p.step < darker.step);
  const wanted = between.filter((p) => Number.isInteger(p.step));
  if (wanted.length === 0) return { cost: 0, puddles: [] };
  const key = `${lighter.step} ${lighter.darkShare} ${darker.step} ${darker.darkShare}`;
  const known = search.memo.get(key);
  if (known) return known;
  const middle = Math.floor((lighter.step + darker.step) / 2);
  const tried = (search.halving ? between.filter((p) => p.step === middle) : between)
    .map((place) => bestPuddle(search, place, lighter, darker))
    .map((puddle) => ({ puddle, error: isStep(puddle) ? Math.abs(puddle.lightness - puddle.target) : null }));
  const nearest = tried
    .filter((t) => t.error !== null)
    .sort(
      (a, b) => (a.error ?? 0) - (b.error ?? 0) || Math.abs(a.puddle.step - middle) - Math.abs(b.puddle.step - middle),
    );
  const onTheWay = tried
    .filter((t) => t.error === null)
    .sort((a, b) => Math.abs(a.puddle.lightness - a.puddle.target) - Math.abs(b.puddle.lightness - b.puddle.target));
  let best: Found = { cost: Infinity, puddles: [] };
  const ways = [...nearest.slice(0, PLACES_TRIED), ...onTheWay.slice(0, PLACES_TRIED)];
  for (const { puddle, error } of search.left-- > 0 ? ways : ways.slice(0, 1)) {
    const own = error === null ? ON_THE_WAY : error ** 4;
    if (own >= best.cost) continue;
    const light = fill(search, places, lighter, puddle);
    if (own + light.cost >= best.cost) continue;
    const dark = fill(search, places, puddle, darker);
    const cost = own + light.cost + dark.cost;
    if (cost < best.cost) best = { cost, puddles: [puddle, ...light.puddles, ...dark.puddles] };
  }
  search.memo.set(key, best);
  return best;
}

const TABLE = 1024;

/** A lightness by its share of dark, looked up: a search asks for it a hundred thousand times. The cube root of the share spreads the steep beginning. */
function tabled(exact: (share: number) => number): (share: number) => number {
  const values = Float64Array.from({ length: TABLE + 2 }, (_, i) => exact(Math.min(1, (i / TABLE) ** 3)));
  return (share) => {
    const at = TABLE * Math.cbrt(share);
    const i = at | 0;
    const below = values[i] as number;
    return below + (at - i) * ((values[i + 1] as number) - below);
  };
}

/** An end is paint from the tube, as light or as dark as it goes, unless that passes its target by more than this (L*); then it is mixed as well. */
const TUBE_MAY_PASS = { light: 1.5, dark: 4 } as const;
/** A tube that falls short of its end's target by more than this (L*) is told. */
const SHORT = 0.75;

/**
 * The tree for wanted lightnesses (L*, light to dark) from a light and a dark paint. What neither reaches is told in
 * `beyond`, and the tube nearest to it stands in. Throws RangeError below three steps, or where the dark is no darker
 * than the light.
 */
export function recipeTree(
  wanted: readonly number[],
  light: PaintModel,
  dark: PaintModel,
  surface: SurfaceId,
): RecipeTree {
  const steps = wanted.length;
  if (steps < 3) throw new RangeError(`A set of mixes needs at least 3 steps, got ${steps}.`);
  const exact = (share: number) => coveringLab(blend(light, dark, share), surface)[0];
  const lightnessOf = tabled(exact);
  const [lightest, darkest] = [lightnessOf(0), lightnessOf(1)];
  if (lightest <= darkest) throw new RangeError('The dark paint is no darker than the light one: choose another.');
  const beyond = wanted.flatMap((w, i) => (w > lightest + SHORT || w < darkest - SHORT ? [i + 1] : []));
  const targets = wanted.map((w) => Math.min(lightest, Math.max(darkest, w)));
  const end = (step: number, darkShare: number, target: number): Puddle => ({
    step,
    target,
    lightness: exact(darkShare),
    from: null,
    parts: null,
    darkShare,
  });
  const first = end(
    lightest - (targets[0] ?? lightest) <= TUBE_MAY_PASS.light ? 1 : LIGHT_TUBE,
    0,
    targets[0] ?? lightest,
  );
  const last = end(
    (targets.at(-1) ?? darkest) - darkest <= TUBE_MAY_PASS.dark ? steps : darkTube(steps),
    1,
    targets.at(-1) ?? darkest,
  );
  const places = targets.map((target, i): Place => ({ step: i + 1, target }));
  const onTheWay = targets
    .slice(1)
    .map((target, i): Place => ({ step: i + 1.5, target: (target + (targets[i] ?? target)) / 2 }));
  const find = (way: 'halving' | 'anywhere' | 'on-the-way'): RecipeTree => {
    const mixed = fill(
      { lightnessOf, memo: new Map(), halving: way === 'halving', left: BUDGET },
      way === 'on-the-way' ? [...places, ...onTheWay] : places,
      first,
      last,
    ).puddles.map((p) => ({ ...p, lightness: exact(p.darkShare) }));
    const puddles = [first, ...[...mixed].sort((a, b) => a.step - b.step), last].filter(
      (p) => p.step >= 1 && p.step <= steps,
    );
    const worst = Math.max(0, ...mixed.filter(isStep).map((p) => Math.abs(p.lightness - p.target)));
    return { steps, puddles, order: mixed.map((p) => p.step), worst, halving: way === 'halving', beyond };
  };
  const halved = find('halving');
  if (halved.worst <= HALVING_HOLDS) return halved;
  // Few steps lie too far apart for whole parts: greys on the way help there.
  const anywhere = find('anywhere');
  return anywhere.worst <= HALVING_HOLDS ? anywhere : find('on-the-way');
}
