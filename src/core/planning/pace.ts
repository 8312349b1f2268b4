/** How long the rest of an evening of judging will take, by how long the last ones took. */

/** A longer break between two decisions was one for tea. */
const BREAK_MS = 6 * 60_000;
/** Decisions that the estimate rests on at the least, and the newest of them that count. */
const COUNTED = { least: 3, most: 15 } as const;

const median = (sorted: readonly number[]): number => {
  const middle = sorted.length >> 1;
  const [a = 0, b = 0] = [sorted[middle], sorted[sorted.length - 1 - middle]];
  return (a + b) / 2;
};

/**
 * Minutes that what is left will take: so many times the median of the last times between two decisions. Null where too few were
 * made for a fair guess.
 *
 * @param moments - when decisions were made, ms since any one moment, in any order.
 * @param left - how many hand-ins are left.
 */
export function minutesLeft(moments: readonly number[], left: number): number | null {
  const rising = moments.toSorted((a, b) => a - b);
  const apart = rising
    .slice(1)
    .map((moment, i) => moment - (rising[i] ?? moment))
    .filter((ms) => ms <= BREAK_MS)
    .slice(-COUNTED.most);
  if (apart.length < COUNTED.least) return null;
  return (left * median(apart.toSorted((a, b) => a - b))) / 60_000;
}
