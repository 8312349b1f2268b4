/** Moves a board and its pieces to where the edges of their markers and greys are in the photograph. */
import { leastSquares } from '../fitting/least-squares';
import type { Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { type Piece, PIECES } from '../sheet/bracket-pieces';
import { MARKER_MODULES, markerModuleIsBlack } from '../sheet/markers';
import { boxProbes, type EdgeProbe, findEdge, type FoundEdge } from './edges';
import { type Board, cornerOf, onBoard } from './laid-board';
import { toPhoto } from './plane';

/** A place that was measured: on which piece, where on it, where in the photograph, and across which direction (null: both). */
export interface Fix {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly photo: Point;
  readonly normal: Point | null;
}

/** How far (mm, radians) a piece is usually laid off its corner and turned. */
const LAID = { offMm: 0.7, turn: 0.02 } as const;

/** The board that fits what was measured best; pieces lie near their corners, the lens is nearly straight. */
export function refine(start: Board, fixes: readonly Fix[], withLens: boolean): Board {
  const scale = [1e-3, 1e-3, 1, 1e-3, 1e-3, 1, 1e-6, 1e-6];
  const P_LENS = 8;
  const P_SIZE = 10;
  const P_PIECE = 12;
  const P_EDGE = P_PIECE + 12;
  const count = P_EDGE + 1;
  const unpack = (p: Float64Array): Board => ({
    plane: {
      ...start.plane,
      h: start.plane.h.map((v, i) => v + (p[i] as number) * (scale[i] as number)),
      lens: [
        start.plane.lens[0] + (withLens ? (p[P_LENS] as number) * 1e-3 : 0),
        start.plane.lens[1] + (withLens ? (p[P_LENS + 1] as number) * 1e-3 : 0),
      ],
    },
    w: start.w + (p[P_SIZE] as number),
    h: start.h + (p[P_SIZE + 1] as number),
    offset: start.offset.map((o, i) => ({
      x: o.x + (p[P_PIECE + 3 * i] as number),
      y: o.y + (p[P_PIECE + 3 * i + 1] as number),
    })),
    turn: start.turn.map((t, i) => t + 0.01 * (p[P_PIECE + 3 * i + 2] as number)),
  });
  const each = fixes.map((f) => (f.normal ? 1 : 2));
  const measured = each.reduce<number>((a, b) => a + b, 0);
  const fit = leastSquares({
    start: new Array<number>(count).fill(0),
    residuals: measured + 17,
    robustCount: measured,
    softScale: 0.8,
    maxIterations: 40,
    evaluate(p, out) {
      const b = unpack(p);
      let o = 0;
      for (const f of fixes) {
        const place = onBoard(
          { offset: b.offset[f.index] as Point, turn: b.turn[f.index] as number },
          cornerOf(f.index, b.w, b.h),
          f.x,
          f.y,
        );
        const at = toPhoto(b.plane, place.x, place.y);
        // Edges of codes lie a little to the dark side of edges of light; left out, every marker would come out too small.
        if (f.normal)
          out[o++] = (at.x - f.photo.x) * f.normal.x + (at.y - f.photo.y) * f.normal.y + (p[P_EDGE] as number);
        else {
          out[o++] = at.x - f.photo.x;
          out[o++] = at.y - f.photo.y;
        }
      }
      b.offset.forEach((d, i) => {
        out[o++] = d.x / LAID.offMm;
        out[o++] = d.y / LAID.offMm;
        out[o++] = (b.turn[i] as number) / LAID.turn;
      });
      // A weak pull to a straight lens; the first piece's corner is the origin, and its turn is the board's.
      out[o++] = b.plane.lens[0] * 20;
      out[o++] = b.plane.lens[1] * 60;
      out[o++] = (b.offset[0] as Point).x * 100;
      out[o++] = (b.offset[0] as Point).y * 100;
      out[o] = p[P_EDGE] as number;
    },
  });
  return unpack(fit.parameters);
}

/**
 * Edges between black and white inside a marker: some face left, some right, so that a blurred edge's shift towards the
 * dark can be told from a marker that is smaller.
 */
function moduleProbes({ marker, markerId }: Piece): EdgeProbe[] {
  const size = marker.widthMm / MARKER_MODULES;
  const probes: EdgeProbe[] = [];
  for (let r = 0; r < MARKER_MODULES; r++)
    for (let c = 0; c < MARKER_MODULES; c++) {
      const black = markerModuleIsBlack(markerId, r, c);
      for (const [dr, dc] of [
        [0, 1],
        [1, 0],
      ] as const) {
        if (
          r + dr >= MARKER_MODULES ||
          c + dc >= MARKER_MODULES ||
          markerModuleIsBlack(markerId, r + dr, c + dc) === black
        )
          continue;
        const sense = black ? 1 : -1;
        for (const along of [0.3, 0.7])
          probes.push({
            xMm: marker.xMm + (c + (dc === 1 ? 1 : along)) * size,
            yMm: marker.yMm + (r + (dr === 1 ? 1 : along)) * size,
            nx: dc * sense,
            ny: dr * sense,
            reachMm: 0.4 * size,
          });
      }
    }
  return probes;
}

/** Edges of a piece's marker and darker greys: where they should be by the board, found in the photograph. */
export function pieceEdges(
  photo: Photo,
  board: Board,
  index: number,
  windowMm: number,
): { fix: Fix; edge: FoundEdge }[] {
  const piece = PIECES[index] as Piece;
  const laid = { offset: board.offset[index] as Point, turn: board.turn[index] as number };
  const corner = cornerOf(index, board.w, board.h);
  // The greys stand too near to each other for edges between them.
  const greys = piece.patches
    .filter((p) => p.code < 150)
    .flatMap((p) => boxProbes(p, 2, 2, 2).filter((e) => e.ny !== 0));
  const probes = [...boxProbes(piece.marker, 6, 3, 2), ...moduleProbes(piece), ...greys];
  return probes.flatMap((probe) => {
    const at = onBoard(laid, corner, probe.xMm, probe.yMm);
    const [c, s] = [Math.cos(laid.turn), Math.sin(laid.turn)];
    const turned = { ...probe, xMm: at.x, yMm: at.y, nx: c * probe.nx - s * probe.ny, ny: s * probe.nx + c * probe.ny };
    const edge = findEdge(photo, board.plane, turned, windowMm);
    return edge ? [{ fix: { index, x: probe.xMm, y: probe.yMm, photo: edge.photo, normal: edge.normal }, edge }] : [];
  });
}
