/** A painting and what it was to be, place by place of its reference: what a feature that was moved is put together from. */
import { median, quantiles } from '../../fitting/quantile';
import type { Plane } from '../../raster/between';

export interface Composition {
  /** L*, as the whole of the painting lies on its reference; NaN where nothing was seen. */
  readonly painted: Plane;
  /** L* as the reference should have become, each part of it as much lighter or darker as it was painted. */
  readonly expected: Plane;
  /** Of which part each place is. */
  readonly numbers: Uint8Array;
}

/** Lights and darks that a painting's contrast is told by: so much of it is darker. */
const TENTHS = [0.1, 0.9] as const;
/** Every so many places say as much of how light a part was painted as all of them. */
const SOME = 5;
/** Fewer places of a part say nothing of how light it was painted. */
const LEAST = 10;

/** By how much each part was painted lighter than was expected, L*, of lists of that by its number; `none` of too few places. */
export const lighterOf = (off: readonly (readonly number[] | undefined)[], none: number): number[] =>
  Array.from(off, (own) => (own && own.length >= LEAST ? median(own) : none));

/** Puts a reference (L*) beside its painting. */
export function compositionOf(wanted: Plane, numbers: Uint8Array, painted: Plane): Composition {
  const rangeOf = ({ data }: Plane) => {
    const [low, high] = quantiles(
      data.filter((_, i) => !Number.isNaN(painted.data[i])),
      TENTHS,
    );
    return high - low;
  };
  const contrast = rangeOf(painted) / Math.max(1, rangeOf(wanted));
  const off: number[][] = [];
  const all: number[] = [];
  const plain = wanted.data.map((l, i) => {
    const own = (painted.data[i] as number) - contrast * l;
    if (i % SOME === 0 && !Number.isNaN(own)) {
      (off[numbers[i] as number] ??= []).push(own);
      all.push(own);
    }
    return contrast * l;
  });
  const usual = median(all);
  const lighter = lighterOf(off, usual);
  const data = plain.map((l, i) => l + (lighter[numbers[i] as number] ?? usual));
  return { painted, numbers, expected: { ...wanted, data } };
}
