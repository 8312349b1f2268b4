/**
 * Finds corner pieces round a board, one by one: where the board's plane lies in the photograph, how large the board
 * is, and how each piece was laid (a little off its corner, a little turned). One piece may be missing or covered.
 */
import { leastSquares } from '../fitting/least-squares';
import { median } from '../fitting/median';
import { boxCorners } from '../geometry/box';
import { type Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { type Piece, PIECES } from '../sheet/bracket-pieces';
import { MARKER_MODULES, markerModuleIsBlack } from '../sheet/markers';
import type { FoundMarker } from '../vision/markers';
import type { OpenCv } from '../vision/opencv';
import { boxProbes, type EdgeProbe, findEdge, type FoundEdge } from './edges';
import { type Plane, planeFromPoints, toPhoto } from './plane';
import { seekMarkers } from './seek-markers';

export interface LaidPiece {
  readonly piece: Piece;
  /** Where its inner corner lies from the board's own, mm, and how far it is turned, radians clockwise. */
  readonly offset: Point;
  readonly turn: number;
}

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

/** The board's corners in the order of the pieces. */
export const cornerOf = (i: number, w: number, h: number): Point => ({
  x: i === 1 || i === 2 ? w : 0,
  y: i >= 2 ? h : 0,
});

/** A place on a piece as a place on the board. */
export function onBoard(
  { offset, turn }: Pick<LaidPiece, 'offset' | 'turn'>,
  corner: Point,
  x: number,
  y: number,
): Point {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return { x: corner.x + offset.x + c * x - s * y, y: corner.y + offset.y + s * x + c * y };
}

interface SeenPiece {
  readonly index: number;
  readonly piece: Piece;
  readonly marker: FoundMarker;
  /** Its inner corner in the photograph, carried on from its marker. */
  readonly inner: Point;
}

function seenPieces(photo: Photo, markers: readonly FoundMarker[]): SeenPiece[] {
  return PIECES.flatMap((piece, index): SeenPiece[] => {
    const marker = markers.find((m) => m.id === piece.markerId);
    if (!marker) return [];
    const points = boxCorners(piece.marker).map(([x, y], k) => ({ mm: { x, y }, photo: marker.corners[k] as Point }));
    return [{ index, piece, marker, inner: toPhoto(planeFromPoints(points, photo.width, photo.height), 0, 0) }];
  });
}

/** Whether the pieces lie round their centre in their order, each with its inner corner towards it. */
function liesRight(seen: readonly SeenPiece[]): boolean {
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
function quad(seen: readonly SeenPiece[]): Point[] {
  const at = [0, 1, 2, 3].map((i) => seen.find((s) => s.index === i)?.inner ?? null);
  const gap = at.indexOf(null);
  if (gap < 0) return at as Point[];
  const [a, b, c] = [1, 2, 3].map((k) => at[(gap + k) % 4] as Point) as [Point, Point, Point];
  at[gap] = { x: a.x + c.x - b.x, y: a.y + c.y - b.y };
  return at as Point[];
}

/** Width and height from how large the markers come out where the board is a unit square. */
function sizeFrom(photo: Photo, seen: readonly SeenPiece[], corners: readonly Point[]): { w: number; h: number } {
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

/** A place that was measured: on which piece, where on it, where in the photograph, and across which direction (null: both). */
interface Fix {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly photo: Point;
  readonly normal: Point | null;
}

interface Board {
  readonly plane: Plane;
  readonly w: number;
  readonly h: number;
  readonly offset: readonly Point[];
  readonly turn: readonly number[];
}

/** How far (mm, radians) a piece is usually laid off its corner and turned. */
const LAID = { offMm: 0.7, turn: 0.02 } as const;

function refine(start: Board, fixes: readonly Fix[], withLens: boolean): Board {
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
function pieceEdges(photo: Photo, board: Board, index: number, windowMm: number): { fix: Fix; edge: FoundEdge }[] {
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

/** Focal length of phones over the longer side, where the photograph does not tell it. */
const USUAL_FOCAL = 0.78;
const FOCAL_RANGE = [0.6, 1.3] as const;

/** Column j of the 3 x 3 matrix, about the photograph's centre. */
function column(plane: Plane, j: 0 | 1 | 2): readonly [number, number, number] {
  const h = [...plane.h, 1];
  const w = h[6 + j] as number;
  return [(h[j] as number) - (plane.photoWidth / 2) * w, (h[3 + j] as number) - (plane.photoHeight / 2) * w, w];
}

/**
 * The plane lifted towards the camera by `depthMm`: a canvas stands off the table its corner pieces lie on. The focal
 * length comes from the foreshortening where there is enough of it (R. Hartley, A. Zisserman, "Multiple view geometry",
 * 2004, example 8.18), else it is a phone's.
 */
export function raised(plane: Plane, depthMm: number): Plane {
  if (depthMm === 0) return plane;
  const [a, b, t] = [column(plane, 0), column(plane, 1), column(plane, 2)];
  const long = Math.max(plane.photoWidth, plane.photoHeight);
  const denominator = a[2] * b[2];
  const square = -(a[0] * b[0] + a[1] * b[1]) / denominator;
  const told =
    Number.isFinite(square) && square > 0 && Math.abs(denominator) > 1e-9 ? Math.sqrt(square) / long : Number.NaN;
  const f = (told >= FOCAL_RANGE[0] && told <= FOCAL_RANGE[1] ? told : USUAL_FOCAL) * long;
  const ray = (c: readonly [number, number, number]) => [c[0] / f, c[1] / f, c[2]] as const;
  const [r1, r2] = [ray(a), ray(b)];
  const size = Math.sqrt(Math.hypot(...r1) * Math.hypot(...r2));
  const cross = [r1[1] * r2[2] - r1[2] * r2[1], r1[2] * r2[0] - r1[0] * r2[2], r1[0] * r2[1] - r1[1] * r2[0]].map(
    (v) => v / size,
  ) as [number, number, number];
  // Of the two normals the one against the ray from the lens points to the camera.
  const sign = cross[0] * (t[0] / f) + cross[1] * (t[1] / f) + cross[2] * t[2] > 0 ? -1 : 1;
  const lift = [cross[0] * f, cross[1] * f, cross[2]].map((v) => v * sign * depthMm) as [number, number, number];
  const moved = [t[0] + lift[0], t[1] + lift[1], t[2] + lift[2]] as const;
  const full = [a, b, moved].map(
    (c) => [c[0] + (plane.photoWidth / 2) * c[2], c[1] + (plane.photoHeight / 2) * c[2], c[2]] as const,
  ) as [readonly [number, number, number], readonly [number, number, number], readonly [number, number, number]];
  const s = full[2][2];
  return {
    ...plane,
    h: [
      full[0][0] / s,
      full[1][0] / s,
      full[2][0] / s,
      full[0][1] / s,
      full[1][1] / s,
      full[2][1] / s,
      full[0][2] / s,
      full[1][2] / s,
    ],
  };
}
