/** The middle of some numbers. */

/** Upper median; 0 of none. */
export function median(values: Iterable<number>): number {
  const sorted = Float64Array.from(values).sort();
  return sorted[sorted.length >> 1] ?? 0;
}
