/** Corner pieces as their markers alone show them: whether they lie right, and how large the board between them is about. */
import { median } from '../fitting/quantile';
import { boxCorners } from '../geometry/box';
import type { Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { type Piece, PIECES } from '../sheet/bracket-pieces';
import type { FoundMarker } from '../vision/markers';
import { cornerOf } from './laid-board';
import { planeFromPoints, toPhoto } from './plane';

/** A corner piece whose marker was found. */
export interface SeenPiece {
  readonly index: number;
  readonly piece: Piece;
  readonly marker: FoundMarker;
  /** Its inner corner in the photograph, carried on from its marker. */
  readonly inner: Point;
}

/** Pieces of which a marker was found, each with its inner corner in photo pixels. */
export function seenPieces(photo: Photo, markers: readonly FoundMarker[]): SeenPiece[] {
  return PIECES.flatMap((piece, index): SeenPiece[] => {
    const marker = markers.find((m) => m.id === piece.markerId);
    if (!marker) return [];
    const points = boxCorners(piece.marker).map(([x, y], k) => ({ mm: { x, y }, photo: marker.corners[k] as Point }));
    return [{ index, piece, marker, inner: toPhoto(planeFromPoints(points, photo.width, photo.height), 0, 0) }];
  });
}

/** Whether the pieces lie round their centre in their order, each with its inner corner towards it. */
export function liesRight(seen: readonly SeenPiece[]): boolean {
  const centre = (of: (s: SeenPiece) => Point): Point => ({
    x: seen.reduce((a, s) => a + of(s).x, 0) / seen.length,
    y: seen.reduce((a, s) => a + of(s).y, 0) / seen.length,
  });
  const middle = centre((s) => s.inner);
  const turning = seen.map((s, i) => {
    const next = (seen[(i + 1) % seen.length] as SeenPiece).inner;
    return (s.inner.x - middle.x) * (next.y - middle.y) - (s.inner.y - middle.y) * (next.x - middle.x);
  });
  if (!turning.every((t) => t > 0)) return false;
  return seen.every((s) => {
    const outer = {
      x: s.marker.corners.reduce((a, c) => a + c.x, 0) / 4,
      y: s.marker.corners.reduce((a, c) => a + c.y, 0) / 4,
    };
    return (s.inner.x - outer.x) * (middle.x - outer.x) + (s.inner.y - outer.y) * (middle.y - outer.y) > 0;
  });
}

/** Four inner corners; the one that is not seen makes a parallelogram of the others, to begin with. */
export function quad(seen: readonly SeenPiece[]): Point[] {
  const at = [0, 1, 2, 3].map((i) => seen.find((s) => s.index === i)?.inner ?? null);
  const gap = at.indexOf(null);
  if (gap < 0) return at as Point[];
  const [a, b, c] = [1, 2, 3].map((k) => at[(gap + k) % 4] as Point) as [Point, Point, Point];
  at[gap] = { x: a.x + c.x - b.x, y: a.y + c.y - b.y };
  return at as Point[];
}

/** Width and height from how large the markers come out where the board is a unit square. */
export function sizeFrom(
  photo: Photo,
  seen: readonly SeenPiece[],
  corners: readonly Point[],
): { w: number; h: number } {
  const back = planeFromPoints(
    corners.map((p, i) => ({ mm: p, photo: cornerOf(i, 1, 1) })),
    photo.width,
    photo.height,
  );
  // A plane maps to "photo pixels" about its centre only for the lens, which is none here: it serves backwards too.
  const unit = (p: Point) => toPhoto(back, p.x, p.y);
  const [ws, hs] = [[] as number[], [] as number[]];
  for (const { marker, piece } of seen) {
    const [a, b, c, d] = marker.corners.map(unit) as [Point, Point, Point, Point];
    ws.push(piece.marker.widthMm / ((b.x - a.x + c.x - d.x) / 2));
    hs.push(piece.marker.heightMm / ((d.y - a.y + c.y - b.y) / 2));
  }
  return { w: median(ws), h: median(hs) };
}
