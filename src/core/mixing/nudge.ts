/** "I have this, I want that": the next small thing to add to a puddle, or another step that it will do for. */
import { coveringLab, type PaintModel } from './paint-model';
import { blend, shareFor } from './reach';
import type { SurfaceId } from './surface';

export interface Nudge {
  /** What to add: a part of it to so many of the puddle; null where it is right. */
  readonly add: 'light' | 'dark' | null;
  readonly toParts: number | null;
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
export function nudge(had: number, step: number, targets: readonly number[], light: PaintModel, dark: PaintModel, surface: SurfaceId): Nudge {
  const wanted = targets[step - 1];
  if (wanted === undefined) throw new RangeError(`There is no step ${step} of ${targets.length}.`);
  const off = had - wanted;
  const [now, then] = [shareFor(light, dark, had, surface), shareFor(light, dark, wanted, surface)];
  const other = targets.findIndex((t, i) => i !== step - 1 && Math.abs(had - t) <= RIGHT_WITHIN);
  const useFor = other < 0 || Math.abs(off) <= RIGHT_WITHIN ? null : other + 1;
  if (Math.abs(off) <= RIGHT_WITHIN) return { add: null, toParts: null, off, useFor: null, reachable: true };
  if (off > 0) {
    const added = (then.share - now.share) / (1 - then.share);
    return { add: 'dark', toParts: added > 0 && Number.isFinite(added) ? 1 / added : null, off, useFor, reachable: then.reachable };
  }
  const added = (now.share - then.share) / then.share;
  return { add: 'light', toParts: added > 0 && Number.isFinite(added) ? 1 / added : null, off, useFor, reachable: then.reachable };
}

/** L* by which `added` parts of the dark paint to a hundred of a puddle darken it. */
export function darkensBy(darkShare: number, added: number, light: PaintModel, dark: PaintModel, surface: SurfaceId): number {
  const at = (share: number) => coveringLab(blend(light, dark, share), surface)[0];
  return at(darkShare) - at((100 * darkShare + added) / (100 + added));
}
