/**
 * How much of each puddle: its own area, what stays on the palette, and what later puddles take from it. And in which
 * order, and where the brush must be washed.
 */
import type { WorkOrder } from '../exercise/scale';
import { coveringLab, type PaintModel } from './paint-model';
import { blend } from './reach';
import { darkTube, isStep, LIGHT_TUBE, type Puddle, type RecipeTree } from './recipe-tree';
import type { SurfaceId } from './surface';

export interface Amounts {
  /** Millilitres to have mixed of each puddle, by its step. */
  readonly puddles: ReadonlyMap<number, number>;
  /** Millilitres from the two tubes. */
  readonly light: number;
  readonly dark: number;
}

/** `own[i]` is what step i + 1 itself needs, waste included, ml. Throws RangeError where their number is another. */
export function amountsFor(tree: RecipeTree, own: readonly number[]): Amounts {
  const { steps } = tree;
  if (own.length !== steps) throw new RangeError(`The set has ${steps} steps, ${own.length} amounts were given.`);
  const need = new Map<number, number>(own.map((ml, i) => [i + 1, ml]));
  const byStep = new Map(tree.puddles.map((p) => [p.step, p]));
  for (const step of [...tree.order].reverse()) {
    const puddle = byStep.get(step);
    if (!puddle?.from || !puddle.parts) continue;
    const volume = need.get(step) ?? 0;
    const sum = puddle.parts[0] + puddle.parts[1];
    puddle.from.forEach((source, side) =>
      need.set(source, (need.get(source) ?? 0) + (volume * (puddle.parts?.[side] ?? 0)) / sum),
    );
  }
  const tube = (step: number, end: number) =>
    (need.get(step) ?? 0) + (byStep.get(end)?.from === null ? (need.get(end) ?? 0) : 0);
  return {
    puddles: need,
    light: tube(LIGHT_TUBE, 1),
    dark: tube(darkTube(steps), steps),
  };
}

/**
 * Steps in the order to mix them: the school's order, but never before what a puddle is mixed from. Steps that come
 * from the tube stand first among their like.
 */
export function orderToMix(tree: RecipeTree, work: WorkOrder): number[] {
  const { steps } = tree;
  if (work === 'ends-first') return [...tree.puddles.filter((p) => p.from === null).map((p) => p.step), ...tree.order];
  const wanted = tree.puddles
    .filter(isStep)
    .map((p) => p.step)
    .sort((a, b) => (work === 'light-to-dark' ? a - b : b - a));
  const done = new Set<number>([LIGHT_TUBE, darkTube(steps)]);
  const out: number[] = [];
  const byStep = new Map(tree.puddles.map((p) => [p.step, p]));
  const mix = (step: number): void => {
    if (done.has(step)) return;
    for (const source of byStep.get(step)?.from ?? []) mix(source);
    done.add(step);
    out.push(step);
  };
  wanted.forEach(mix);
  return out;
}

/** What an unwashed, wiped brush carries into the next puddle, ml for each millimetre of its width; a rough figure. */
const CARRIED_PER_MM = 0.002;
/** A shift of more than this (L*) needs a wash. */
const SHIFT_MATTERS = 1;

/**
 * Steps before which the brush must be washed, going through the puddles in the given order: where what it carries
 * would shift the next by more than 1 L*.
 */
export function washesBefore(
  tree: RecipeTree,
  order: readonly number[],
  amounts: Amounts,
  brushMm: number,
  light: PaintModel,
  dark: PaintModel,
  surface: SurfaceId,
): number[] {
  const byStep = new Map(tree.puddles.map((p) => [p.step, p]));
  return order.flatMap((step, i) => {
    const [before, own] = [byStep.get(order[i - 1] ?? -1), byStep.get(step)];
    const volume = amounts.puddles.get(step) ?? 0;
    if (!before || !own || volume <= 0) return [];
    const carried = Math.min(1, (CARRIED_PER_MM * brushMm) / volume);
    const share = own.darkShare + carried * (before.darkShare - own.darkShare);
    return Math.abs(coveringLab(blend(light, dark, share), surface)[0] - own.lightness) > SHIFT_MATTERS ? [step] : [];
  });
}

/** Parts of the puddle that is left for one part of dark paint to get the next; null where it needs none or is all dark. */
export function leftForOneDark(from: Puddle, to: Puddle): number | null {
  const added = (to.darkShare - from.darkShare) / (1 - to.darkShare);
  return added > 0 && Number.isFinite(added) ? 1 / added : null;
}
