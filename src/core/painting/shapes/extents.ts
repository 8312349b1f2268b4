/** Named shapes that grew or shrank at the cost of what they meet within one object, or that are full of detail. */
import { type Plane, shrunk } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { squaredDistances } from '../../raster/distance';
import { onGrid } from '../../raster/on-grid';
import { placesOfNumbers } from '../../raster/zone';
import { lively } from './detail';
import { divided } from './divided';
import { movedEdge, type NumberedGrid } from './edges';
import type { LaidObjects } from '../lay-painting';
import type { NamedShape, ShapePlane } from './named-shapes';
import type { PaintingResult } from '../result';

type Extent = Omit<PaintingResult['extents'][number], 'id'>;

/** An edge that moved by this share of the shape's width is told; by more than half of the shape another edge was found. */
const GREW = { least: 0.045, most: 0.5 } as const;
/** Hands stray, and of a small thing that is much: an edge has moved by so many widths, times the side of a square as large as the shape. */
const PLAINLY = 0.0003;
/** How an edge moved is told by laying profiles across it on each other, and so much of it by how the two divide their values. */
const BY_VALUE = 0.3;
/** Edges and detail show on a grid that is so much coarser than lines need. */
const COARSER = 2;

/** Beside an edge that looks moved by so much (share of the shape's width), told or not, its old place looks like detail. */
const LOOKS_MOVED = { share: 0.05, explains: 0.1 } as const;
/** So near to any edge between two shapes of one object, widths, what strays over it does too. */
const STRAYS = 0.01;

/** What was wanted and what was painted, L*, on the same places. */
interface Beside {
  readonly wanted: Plane;
  readonly painted: Plane;
}

/**
 * Extents that are off; `wanted` is L* as the reference should have become, `fine` what it became on the same places, with
 * objects where they stand; `unseen` is 1 on those of them where nothing of it was seen.
 */
export function extentsOf(shapes: ShapePlane, wanted: Plane, { fine: painted, unseen }: LaidObjects): Extent[] {
  const [own, made] = [wanted, painted].map((plane) =>
    shrunk(plane, Math.round(plane.width / COARSER), Math.round(plane.height / COARSER)),
  ) as [Plane, Plane];
  const { width, height } = own;
  const hidden = onGrid(unseen, wanted, own);
  const numbers = onGrid(shapes.shapeOf, shapes, own).map((n, i) => (hidden[i] === 1 ? 0 : n));
  const named = placesOfNumbers(numbers, 1, shapes.shapes.length);
  const edges = edgesWithin(
    shapes.shapes,
    named,
    { width, height, numbers },
    { wanted, painted },
    { wanted: own, painted: made },
  );
  const moved = new Set(
    edges
      .filter(({ share, explains }) => Math.abs(share) >= LOOKS_MOVED.share && explains >= LOOKS_MOVED.explains)
      .flatMap(({ shape, beside }) => [shape, beside]),
  );
  const quiet = awayFromEdges(shapes.shapes, named, { width, height, numbers });
  const details = lively(quiet, own, made).filter(({ shape }) => !moved.has(shape));
  const told = [
    ...edges.filter(plainlyMoved(width)).map(({ shape, share }) => {
      return { shape, kind: share > 0 ? ('wide' as const) : ('narrow' as const), by: share };
    }),
    ...details.map((detail) => ({ ...detail, kind: 'detail' as const })),
  ];
  return told.flatMap(({ shape, kind, by }): Extent[] => {
    const around = boxOfPlaces(named[shape] as Int32Array, width);
    return around ? [{ box: shareBox(around, own), name: shapes.shapes[shape]?.name ?? null, kind, by }] : [];
  });
}

/** An edge between two shapes of one object. */
interface EdgeWithin {
  /** The smaller one, and the one that it meets. */
  readonly shape: number;
  readonly beside: number;
  /** How much of its own width the smaller one grew, and how many places it has. */
  readonly share: number;
  readonly size: number;
  /** How far that is, places. */
  readonly by: number;
  /** How much of what differs moving it back does away with: 1 all of it. */
  readonly explains: number;
}

function edgesWithin(
  shapes: readonly NamedShape[],
  named: readonly Int32Array[],
  grid: NumberedGrid,
  fine: Beside,
  coarse: Beside,
): EdgeWithin[] {
  return named.flatMap((first, a) =>
    named.slice(a + 1).flatMap((second, k): EdgeWithin[] => {
      const b = a + 1 + k;
      if (shapes[a]?.object !== shapes[b]?.object) return [];
      const { usual, taken } = divided(first, second, coarse.wanted, coarse.painted);
      const edge = movedEdge([a + 1, b + 1], grid, fine.wanted, fine.painted, usual);
      if (!edge) return [];
      const { explains, long } = edge;
      const grew = taken === null ? edge.by : (1 - BY_VALUE) * edge.by + (BY_VALUE * taken) / long;
      const [own, shape, beside, by] = first.length <= second.length ? [first, a, b, grew] : [second, b, a, -grew];
      return [{ shape, beside, by, explains, size: own.length, share: (by * long) / own.length }];
    }),
  );
}

/** Whether an edge moved so plainly that it is told, on a grid of so many places across. */
const plainlyMoved =
  (across: number) =>
  ({ share, by, size }: EdgeWithin): boolean =>
    Math.abs(share) >= GREW.least &&
    Math.abs(share) <= GREW.most &&
    Math.abs(by) * Math.sqrt(size) >= PLAINLY * across ** 2;

/** The places of each shape that lie well inside, seen from the other shapes of its object. */
function awayFromEdges(
  shapes: readonly NamedShape[],
  named: readonly Int32Array[],
  { width, height, numbers }: NumberedGrid,
): Int32Array[] {
  return named.map((places, k) => {
    const object = shapes[k]?.object;
    const others = numbers.map((n) => (n > 0 && n !== k + 1 && shapes[n - 1]?.object === object ? 1 : 0));
    if (!others.includes(1)) return places;
    const far = squaredDistances(others, width, height);
    return places.filter((i) => (far[i] as number) > (STRAYS * width) ** 2);
  });
}
