/**
 * Finds corner pieces round a board, one by one: where the board's plane lies in the photograph, how large the board
 * is, and how each piece was laid (a little off its corner, a little turned). One piece may be missing or covered.
 */
import { boxCorners } from '../geometry/box';
import type { Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { PIECES } from '../sheet/bracket-pieces';
import type { OpenCv } from '../vision/opencv';
import type { FoundEdge } from './edges';
import { type Board, cornerOf, type LaidPiece } from './laid-board';
import { type Plane, planeFromPoints } from './plane';
import { type Fix, pieceEdges, refine } from './refine-board';
import { liesRight, quad, seenPieces, sizeFrom } from './seen-pieces';
import { seekMarkers } from './seek-markers';

export interface LocatedBoard {
  readonly kind: 'located';
  readonly plane: Plane;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly pieces: readonly LaidPiece[];
  readonly edges: readonly FoundEdge[];
}

export interface BoardNotLocated {
  readonly kind: 'no-pieces' | 'some-pieces' | 'wrong-corners' | 'two-boards';
  readonly seen: number;
}

const LEAST_PIECES = 3;

/** Locates a board by its corner pieces, three of which must be seen whole. */
export function locateBoard(cv: OpenCv, photo: Photo): LocatedBoard | BoardNotLocated {
  const markers = seekMarkers(
    cv,
    photo,
    PIECES.map((p) => p.markerId),
  );
  if (markers.length === 0) return { kind: 'no-pieces', seen: 0 };
  if (new Set(markers.map((m) => m.id)).size < markers.length) return { kind: 'two-boards', seen: markers.length };
  const seen = seenPieces(photo, markers);
  if (seen.length < LEAST_PIECES) return { kind: 'some-pieces', seen: seen.length };
  if (!liesRight(seen)) return { kind: 'wrong-corners', seen: seen.length };
  const corners = quad(seen);
  const { w, h } = sizeFrom(photo, seen, corners);
  if (!(w > 20 && h > 20)) return { kind: 'wrong-corners', seen: seen.length };
  const nowhere = [0, 1, 2, 3].map(() => ({ x: 0, y: 0 }));
  let board: Board = {
    plane: planeFromPoints(
      corners.map((photoCorner, i) => ({ mm: cornerOf(i, w, h), photo: photoCorner })),
      photo.width,
      photo.height,
    ),
    w,
    h,
    offset: nowhere,
    turn: [0, 0, 0, 0],
  };
  board = refine(
    board,
    seen.flatMap((s) =>
      boxCorners(s.piece.marker).map(([x, y], k): Fix => ({
        index: s.index,
        x,
        y,
        photo: s.marker.corners[k] as Point,
        normal: null,
      })),
    ),
    false,
  );
  for (const windowMm of [2.5, 1.6]) {
    const fixes = seen.flatMap((s) => pieceEdges(photo, board, s.index, windowMm).map((e) => e.fix));
    if (fixes.length < 24) break;
    board = refine(board, fixes, true);
  }
  return {
    kind: 'located',
    plane: board.plane,
    widthMm: board.w,
    heightMm: board.h,
    pieces: seen.map((s) => ({
      piece: s.piece,
      offset: board.offset[s.index] as Point,
      turn: board.turn[s.index] as number,
    })),
    edges: seen.flatMap((s) => pieceEdges(photo, board, s.index, 3).map((e) => e.edge)),
  };
}
