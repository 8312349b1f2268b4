/** What stands at a share of some numbers once they are in order. */

/** The number that a `share` of them lies below, 0 to 1, none made up between two; 0 of none. */
export function quantile(values: Iterable<number>, share: number): number {
  const sorted = Float64Array.from(values).sort();
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/** Upper median; 0 of none. */
export const median = (values: Iterable<number>): number => quantile(values, 0.5);
