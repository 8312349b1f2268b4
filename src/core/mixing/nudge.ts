/** "I have this, I want that": the next small thing to add to a puddle, or another step that it will do for. */
import { coveringLab, type PaintModel } from './paint-model';
import { blend, shareFor } from './reach';
import type { SurfaceId } from './surface';

export interface Nudge {
  /** What to add: a part of it to so many of the puddle; null where it is right. */
  readonly add: 'light' | 'dark' | null;
  readonly toParts: number | null;
  /** Where so little can't be measured: one part of another step's puddle to so many of this; null else. */
  readonly instead: { readonly step: number; readonly toParts: number } | null;
  /** L* that is had less L* that is wanted; positive is too light. */
  readonly off: number;
  /** Another step (from 1) that the puddle will do for as it is. */
  readonly useFor: number | null;
  /** Whether the two paints can get there at all. */
  readonly reachable: boolean;
}

/** Two flat patches side by side are told apart from about this, L*. */
export const RIGHT_WITHIN = 1;

/**
 * From a puddle of `had` L* (dry) made of the two paints to step `step` of `targets` (L*). Throws RangeError where
 * there is no such step.
 */
export function nudge(
  had: number,
  step: number,
  targets: readonly number[],
  light: PaintModel,
  dark: PaintModel,
  surface: SurfaceId,
): Nudge {
  const wanted = targets[step - 1];
  if (wanted === undefined) throw new RangeError(`There is no step ${step} of ${targets.length}.`);
  const off = had - wanted;
  const [now, then] = [shareFor(light, dark, had, surface), shareFor(light, dark, wanted, surface)];
  const other = targets.findIndex((t, i) => i !== step - 1 && Math.abs(had - t) <= RIGHT_WITHIN);
  const useFor = other < 0 || Math.abs(off) <= RIGHT_WITHIN ? null : other + 1;
  if (Math.abs(off) <= RIGHT_WITHIN)
    return { add: null, toParts: null, instead: null, off, useFor: null, reachable: true };
  const end = off > 0 ? 1 : 0;
  const toParts = partsTo(now.share, then.share, end);
  const others = targets.map((t, i) => ({
    step: i + 1,
    toParts: partsTo(now.share, then.share, shareFor(light, dark, t, surface).share),
  }));
  const measured = others.filter(
    (o): o is { step: number; toParts: number } =>
      o.step !== step && o.toParts !== null && o.toParts >= 1 && o.toParts <= EASY,
  );
  // The nearest to the step that can be measured: a slip does least harm with it.
  const instead =
    toParts !== null && toParts > MOST_PARTS_LEFT ? (measured.sort((a, b) => a.toParts - b.toParts)[0] ?? null) : null;
  return { add: off > 0 ? 'dark' : 'light', toParts, instead, off, useFor, reachable: then.reachable };
}

/** More of the puddle than this to one part of a tube can't be measured. */
const MOST_PARTS_LEFT = 40;
/** So many parts of a puddle to one of another are easy. */
const EASY = 12;

/** Parts of a puddle to one part of something with share `added` of dark, to come from `now` to `wanted`; null where it leads nowhere. */
function partsTo(now: number, wanted: number, added: number): number | null {
  const parts = (added - wanted) / (wanted - now);
  return parts > 0 && Number.isFinite(parts) ? parts : null;
}

/** L* by which `added` parts of the dark paint to a hundred of a puddle darken it. */
export function darkensBy(
  darkShare: number,
  added: number,
  light: PaintModel,
  dark: PaintModel,
  surface: SurfaceId,
): number {
  const at = (share: number) => coveringLab(blend(light, dark, share), surface)[0];
  return at(darkShare) - at((100 * darkShare + added) / (100 + added));
}
