/** What can be wrong with four corners that a person gave, whatever they are corners of. */
import type { Point } from './point';

/** Nothing inside; the other way round; crossed or bent inwards. */
export type CornersFault = 'empty' | 'turned-round' | 'crossed';

/**
 * The first fault of four corners, which should run top left, top right, bottom right, bottom left.
 *
 * @param corners Four places, y down, in any unit.
 * @param least Twice the area of each corner's triangle that counts as something, in that unit squared.
 */
export function cornersFault(corners: readonly Point[], least = 0): CornersFault | null {
  const turns = corners.map((c, i) => {
    const [a, b] = [corners[(i + 1) % 4] as Point, corners[(i + 2) % 4] as Point];
    return (a.x - c.x) * (b.y - a.y) - (a.y - c.y) * (b.x - a.x);
  });
  if (turns.every((t) => Math.abs(t) <= least)) return 'empty';
  if (turns.every((t) => t < -least)) return 'turned-round';
  return turns.every((t) => t > least) ? null : 'crossed';
}
