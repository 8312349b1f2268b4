/** A plan to mend an old painting, as it leaves the worker: what is repainted, where, and how light it becomes. */
import type { ShareBox } from '../../geometry/share-box';
import type { Plane } from '../../raster/between';
import { largeShapes } from './large-shapes';
import { rescueProposals, type RescueWanted } from './proposals';

export interface RescuePart {
  readonly box: ShareBox;
  /** Rings round it, the largest first, shares of the picture. */
  readonly rings: readonly (readonly [number, number][])[];
  readonly area: number;
  /** As it is, and as it will be, L*. */
  readonly lightness: number;
  readonly becomes: number;
  readonly steps: number;
}

export interface RescuePlan {
  readonly parts: readonly RescuePart[];
  /** Share of the picture that is painted over. */
  readonly area: number;
  readonly range: number;
  readonly reaches: boolean;
}

/** Twice the area of a ring; below 0 where it runs the other way round. */
const turned = (ring: readonly (readonly [number, number])[]): number =>
  ring.reduce((sum, [x, y], k) => {
    const [u, v] = ring[(k + 1) % ring.length] as readonly [number, number];
    return sum + x * v - u * y;
  }, 0);

/** Ways to mend a painting (a plane of L*), the one with the least to paint over first. */
export function rescuePlans(painting: Plane, wanted: RescueWanted): RescuePlan[] {
  const large = largeShapes(painting);
  const { dark, light } = wanted.ends;
  return rescueProposals(large, wanted).map(({ moves, area, range, reaches }) => ({
    ...{ area, range, reaches },
    parts: moves.flatMap(({ shape, steps }): RescuePart[] => {
      const own = large.shapes[shape];
      if (!own) return [];
      const becomes = Math.min(light, Math.max(dark, own.lightness + steps * wanted.step));
      const rings = own.rings.toSorted((a, b) => Math.abs(turned(b)) - Math.abs(turned(a)));
      return [{ box: own.box, rings, area: own.area, lightness: own.lightness, becomes, steps }];
    }),
  }));
}

/** Whether a ring goes round a hole of the shape that another is the outside of. */
export const isHole = (
  ring: readonly (readonly [number, number])[],
  outside: readonly (readonly [number, number])[],
): boolean => turned(ring) * turned(outside) < 0;
