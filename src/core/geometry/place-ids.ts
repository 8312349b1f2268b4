/** Names of places in a picture that stay the same when it is judged or measured again: edits of a teacher hang on them. */
import type { ShareBox } from './share-box';

/** Places are named by the middle of their box, on a grid of so many columns and rows: finer than shapes lie apart. */
const GRID = 20;

const cell = (middle: number) => Math.floor(GRID * Math.min(0.9999, Math.max(0, middle)));

/** An id for each region, from its middle; two on one place of the grid are told apart by their order. */
export function withIds<R extends { readonly box: ShareBox }>(regions: readonly R[]): (R & { readonly id: string })[] {
  const seen = new Map<string, number>();
  return regions.map((region) => {
    const { x, y, width, height } = region.box;
    const place = `${cell(x + width / 2)}.${cell(y + height / 2)}`;
    const count = (seen.get(place) ?? 0) + 1;
    seen.set(place, count);
    return { ...region, id: count === 1 ? place : `${place}.${count}` };
  });
}
