/**
 * The simulated student's drawing: where on the picture each place of the canvas looks. The whole may sit askew, things may
 * be moved, widened or slanted by themselves, and every outline strays a little with the hand. What a moved thing uncovers
 * is filled with what lies about it.
 */
import { nearestPlaces } from './nearest-places';
import { type Chance, smoothNoise } from './random';

export interface Whole {
  /** In widths of the picture, both ways. */
  readonly shift: { readonly x: number; readonly y: number };
  readonly scale: { readonly x: number; readonly y: number };
  /** Degrees, clockwise. */
  readonly rotation: number;
  readonly shear: number;
}

export const AS_IT_IS: Whole = { shift: { x: 0, y: 0 }, scale: { x: 1, y: 1 }, rotation: 0, shear: 0 };

export interface Move {
  /** Numbers of the shapes that move as one thing. */
  readonly shapes: readonly number[];
  /** To the right and down on the canvas, in widths of the picture. */
  readonly dx: number;
  readonly dy: number;
  /** Ratios about the thing's own middle. */
  readonly width: number;
  readonly height: number;
  /** How far uprights lean, degrees, clockwise. */
  readonly slant: number;
}

/** A picture as somebody sees it who is about to paint it. */
export interface SeenPicture {
  readonly width: number;
  readonly height: number;
  /** L*, row by row. */
  readonly lightness: Float32Array;
  /** Number of the shape that each place is of. */
  readonly shapeOf: Uint8Array;
  /** a* and b* of each place, one after the other; left out of a picture in greys. */
  readonly hues?: Float32Array;
}

/** Of each place of a canvas: where it looks on the picture (in its places), and the shape there. */
export interface Drawing {
  readonly x: Float32Array;
  readonly y: Float32Array;
  readonly shapeOf: Uint8Array;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Where a place of the canvas lies on the picture, both in widths about the middle: the whole undone. */
export function wholeUndone({ shift, scale, rotation, shear }: Whole): (x: number, y: number) => [number, number] {
  const [c, s] = [Math.cos(radians(rotation)), Math.sin(radians(rotation))];
  return (x, y) => {
    const [u, v] = [x - shift.x, y - shift.y];
    const [a, b] = [c * u + s * v, c * v - s * u];
    const down = b / scale.y;
    return [(a - shear * down) / scale.x, down];
  };
}

/** Where a place of the picture lies on the canvas, both in widths about the middle. */
export function wholeDone({ shift, scale, rotation, shear }: Whole): (x: number, y: number) => [number, number] {
  const [c, s] = [Math.cos(radians(rotation)), Math.sin(radians(rotation))];
  return (x, y) => {
    const [a, b] = [scale.x * x + shear * y, scale.y * y];
    return [shift.x + c * a - s * b, shift.y + s * a + c * b];
  };
}

/** Middle of some shapes, in widths about the middle of the picture. */
export function middleOfShapes(picture: SeenPicture, shapes: readonly number[]): [number, number] {
  const { width, height, shapeOf } = picture;
  const own = new Set(shapes);
  let [sx, sy, n] = [0, 0, 0];
  shapeOf.forEach((shape, i) => {
    if (!own.has(shape)) return;
    sx += (i % width) + 0.5;
    sy += Math.floor(i / width) + 0.5;
    n++;
  });
  return [(sx / n - width / 2) / width, (sy / n - height / 2) / width];
}

/** One of two shapes that meet grew at the cost of the other: a light too wide, a shadow too short. */
export interface Spread {
  readonly grows: number;
  readonly gives: number;
  /** How far its edge moved, in widths. */
  readonly by: number;
}

export interface Hand {
  readonly whole: Whole;
  readonly spreads?: readonly Spread[];
  /** The topmost first. */
  readonly moves: readonly Move[];
  /** How far outlines stray, in widths. */
  readonly stray: number;
}

/** So much further from an edge than it moved (times how far it moved) things stand where they should. */
const GIVES_WAY = 4;

/** Where each place of a picture looks instead once an edge has moved: how far to the right and down, in places. */
function spreadOf(picture: SeenPicture, { grows, gives, by }: Spread): { x: Float32Array; y: Float32Array } {
  const { width, height, shapeOf } = picture;
  const far = by * width;
  const nearestOf = (shape: number) =>
    nearestPlaces(
      Uint8Array.from(shapeOf, (s) => (s === shape ? 1 : 0)),
      width,
      height,
    );
  const [toGrows, toGives] = [nearestOf(grows), nearestOf(gives)];
  const out = { x: new Float32Array(shapeOf.length), y: new Float32Array(shapeOf.length) };
  shapeOf.forEach((shape, i) => {
    if (shape !== grows && shape !== gives) return;
    const to = (shape === grows ? toGives : toGrows)[i] as number;
    const [vx, vy] = [(to % width) - (i % width), Math.floor(to / width) - Math.floor(i / width)];
    const apart = Math.hypot(vx, vy);
    const share = Math.min(1, Math.max(0, 1 - (apart - far) / (GIVES_WAY * far)));
    if (apart === 0 || share === 0) return;
    // Into the shape that grows, from either side of the edge.
    const way = ((shape === grows ? -1 : 1) * far * share) / apart;
    out.x[i] = way * vx;
    out.y[i] = way * vy;
  });
  return out;
}

/** Draws a picture on a canvas of so many places. */
export function draw(picture: SeenPicture, hand: Hand, across: number, down: number, own: Chance): Drawing {
  const { width, height, shapeOf } = picture;
  const undone = wholeUndone(hand.whole);
  const done = wholeDone(hand.whole);
  const moves = hand.moves.map((move) => {
    const middle = middleOfShapes(picture, move.shapes);
    const [ox, oy] = done(0, 0);
    return { ...move, middle, at: done(...middle), own: new Set(move.shapes), origin: [ox, oy] as const };
  });
  const spreads = (hand.spreads ?? []).map((s) => spreadOf(picture, s));
  const gone = new Set(moves.flatMap((m) => m.shapes));
  const behind =
    gone.size === 0
      ? null
      : nearestPlaces(
          shapeOf.map((s) => (gone.has(s) ? 0 : 1)),
          width,
          height,
        );
  const [saltX, saltY] = [own.whole(1, 1e9), own.whole(1, 1e9)];
  const stray = (x: number, y: number, salt: number) =>
    hand.stray * (0.8 * smoothNoise(x * 20, y * 20, salt) + 0.5 * smoothNoise(x * 70, y * 70, salt + 1));
  const indexOn = (x: number, y: number) => {
    const c = Math.min(width - 1, Math.max(0, Math.floor((x + 0.5) * width)));
    const r = Math.min(height - 1, Math.max(0, Math.floor(y * width + height / 2)));
    return r * width + c;
  };
  const out = {
    x: new Float32Array(across * down),
    y: new Float32Array(across * down),
    shapeOf: new Uint8Array(across * down),
  };
  for (let i = 0; i < out.x.length; i++) {
    const plainX = ((i % across) + 0.5) / across - 0.5;
    const plainY = (((Math.floor(i / across) + 0.5) / down - 0.5) * height) / width;
    const [qx, qy] = [plainX + stray(plainX, plainY, saltX), plainY + stray(plainX, plainY, saltY)];
    let [px, py] = undone(qx, qy);
    let on = indexOn(px, py);
    const thing = moves.find((m) => {
      // About where its middle was to stand, less how far it was moved: its own size and slant undone there.
      const [ux, uy] = [qx - m.at[0] - m.dx, qy - m.at[1] - m.dy];
      const v = uy / m.height;
      const u = (ux + Math.tan(radians(m.slant)) * v) / m.width;
      const [tx, ty] = undone(u + m.at[0], v + m.at[1]);
      const there = indexOn(tx, ty);
      if (!m.own.has(shapeOf[there] as number)) return false;
      [px, py, on] = [tx, ty, there];
      return true;
    });
    if (!thing && behind && gone.has(shapeOf[on] as number)) {
      on = behind[on] as number;
      [px, py] = [((on % width) + 0.5) / width - 0.5, (Math.floor(on / width) + 0.5 - height / 2) / width];
    }
    for (const spread of spreads) {
      px += (spread.x[on] as number) / width;
      py += (spread.y[on] as number) / width;
    }
    if (spreads.length > 0) on = indexOn(px, py);
    out.x[i] = (px + 0.5) * width;
    out.y[i] = py * width + height / 2;
    out.shapeOf[i] = shapeOf[on] as number;
  }
  return out;
}
