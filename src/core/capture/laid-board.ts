/** A board between its corner pieces, each laid a little off its corner and a little turned. */
import type { Point } from '../geometry/point';
import type { Piece } from '../sheet/bracket-pieces';
import type { Plane } from './plane';

export interface LaidPiece {
  readonly piece: Piece;
  /** Where its inner corner lies from the board's own, mm, and how far it is turned, radians clockwise. */
  readonly offset: Point;
  readonly turn: number;
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

/** A board as it lies in a photograph: its plane, its size in mm, and how each of the four pieces was laid. */
export interface Board {
  readonly plane: Plane;
  readonly w: number;
  readonly h: number;
  readonly offset: readonly Point[];
  readonly turn: readonly number[];
}
