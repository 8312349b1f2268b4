/**
 * What a picture's lightness is to become in paint: mapped, in order, onto what the exercise's paint can reach. A
 * photograph reaches darker than matt paint, and nothing is compared, printed or reduced before it is mapped.
 */
import type { Judging } from '../exercise/judging';
import { keyedEnds, pushed } from '../exercise/key';
import type { Ends } from '../exercise/scale';

export interface ValueMap {
  /** Mapped L* of an L* of the picture. */
  readonly of: (lightness: number) => number;
  /** What the lightest and the darkest place become. */
  readonly ends: Ends;
}

export interface MapRequest {
  readonly ends: Ends;
  readonly key: Judging['key'];
  /** How much further from the middle values are to move, percent. */
  readonly pushPercent: number;
}

/** What a map rests on of a picture's L*: its darkest, its lightest and its median. */
export interface ValueSpan {
  readonly low: number;
  readonly high: number;
  readonly median: number;
}

/** Of a picture's L*, NaN left out. */
export function valueSpan(lightness: Float32Array): ValueSpan {
  const sorted = (
    lightness.some(Number.isNaN) ? lightness.filter((l) => !Number.isNaN(l)) : Float32Array.from(lightness)
  ).sort();
  return { low: sorted[0] ?? 0, high: sorted[sorted.length - 1] ?? 0, median: sorted[sorted.length >> 1] ?? 0 };
}

/**
 * The map for a picture of that span: its lightest and darkest place come to lie exactly on the ends that the key leaves, and
 * values move away from the median by the push, `L' = m + (1 + p) (L - m)`, cut off at the ends. Order is kept. A picture of
 * one tone comes to lie in the middle.
 */
export function valueMap({ low, high, median }: ValueSpan, { ends, key, pushPercent }: MapRequest): ValueMap {
  const own = keyedEnds(ends, key);
  if (high <= low) {
    const middle = (own.dark + own.light) / 2;
    return { of: () => middle, ends: own };
  }
  const spread = (l: number) => own.dark + ((l - low) / (high - low)) * (own.light - own.dark);
  const middle = spread(median);
  return { of: (l) => pushed(spread(l), middle, own, pushPercent), ends: own };
}
