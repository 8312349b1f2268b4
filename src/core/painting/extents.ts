/** Named shapes that grew or shrank at the cost of what they meet within one object, or that are full of detail. */
import { type Plane, shrunk } from '../raster/between';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { onGrid } from '../raster/on-grid';
import { placesOfNumbers } from '../raster/zone';
import { lively } from './detail';
import { movedEdge, type NumberedGrid } from './edges';
import type { NamedShape, ShapePlane } from './named-shapes';
import type { PaintingResult } from './result';

type Extent = Omit<PaintingResult['extents'][number], 'id'>;

/**
 * An edge that moved by this share of the shape's width is told, and never less than so many widths of the picture, since hands
 * stray; by more than half of the shape another edge was found.
 */
const GREW = { least: 0.045, most: 0.5 } as const;
const LEAST = 0.003;
/** And only where moving it back does away with so much of what differs. */
const EXPLAINS = 0.35;
/** Edges and detail show on a grid that is so much coarser than lines need. */
const COARSER = 2;

/** Extents that are off; `wanted` is L* as the reference should have become, `painted` what it became on the same places, with nothing left out. */
export function extentsOf(shapes: ShapePlane, wanted: Plane, painted: Plane): Extent[] {
  const [own, made] = [wanted, painted].map((plane) =>
    shrunk(plane, Math.round(plane.width / COARSER), Math.round(plane.height / COARSER)),
  ) as [Plane, Plane];
  const { width, height } = own;
  const numbers = onGrid(shapes.shapeOf, shapes, own);
  const named = placesOfNumbers(numbers, 1, shapes.shapes.length);
  const reaches = grown(shapes.shapes, named, { width, height, numbers }, wanted, painted);
  // An edge that moved looks like detail beside its old place, on both of its sides.
  const elsewhere = new Set(reaches.flatMap(({ shape, beside }) => [shape, beside]));
  const details = lively(named, own, made)
    .filter(({ shape }) => !elsewhere.has(shape))
    .map((told) => ({ ...told, kind: 'detail' as const }));
  return [...reaches, ...details].flatMap(({ shape, kind, by }): Extent[] => {
    const around = boxOfPlaces(named[shape] as Int32Array, width);
    return around ? [{ box: shareBox(around, own), name: shapes.shapes[shape]?.name ?? null, kind, by }] : [];
  });
}

interface Reach {
  readonly shape: number;
  /** The one that it meets. */
  readonly beside: number;
  readonly kind: 'wide' | 'narrow';
  readonly by: number;
}

/** Of two shapes of one object that meet, the smaller one is told to be too wide or too narrow. */
function grown(
  shapes: readonly NamedShape[],
  named: readonly Int32Array[],
  grid: NumberedGrid,
  wanted: Plane,
  painted: Plane,
): Reach[] {
  return named.flatMap((first, a) =>
    named.slice(a + 1).flatMap((second, k): Reach[] => {
      const b = a + 1 + k;
      if (shapes[a]?.object !== shapes[b]?.object) return [];
      const edge = movedEdge([a + 1, b + 1], grid, wanted, painted);
      if (!edge) return [];
      const [small, of, beside, by] = first.length <= second.length ? [first, a, b, edge.by] : [second, b, a, -edge.by];
      const wide = small.length / edge.long;
      const share = by / wide;
      if (Math.abs(share) < GREW.least || Math.abs(share) > GREW.most) return [];
      if (Math.abs(by) < LEAST * grid.width || edge.explains < EXPLAINS) return [];
      return [{ shape: of, beside, kind: by > 0 ? 'wide' : 'narrow', by: share }];
    }),
  );
}
