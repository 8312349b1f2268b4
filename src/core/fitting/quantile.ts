/** What stands at a share of some numbers once they are in order. */

/** The numbers that each `share` of them lies below, 0 to 1, none made up between two; 0 of none. */
export function quantiles<S extends readonly number[]>(
  values: Iterable<number>,
  shares: readonly [...S],
): { [K in keyof S]: number } {
  // A plane is copied as it is: taking each of its numbers out costs as much again as putting them in order.
  const sorted = (values instanceof Float32Array ? values.slice() : Float64Array.from(values)).sort();
  return shares.map((share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0) as {
    [K in keyof S]: number;
  };
}

/** The number that a `share` of them lies below, as above. */
export const quantile = (values: Iterable<number>, share: number): number => quantiles(values, [share])[0];

/** Upper median; 0 of none. */
export const median = (values: Iterable<number>): number => quantile(values, 0.5);
