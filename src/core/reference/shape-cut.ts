/** The shapes that a picture is cut into: merged, split and named by a person; kept as what was done, not as its outcome. */
import { z } from 'zod';
import { massSchema } from '../tones/mass';
import { toneShapes } from '../tones/tones';

const share = z.number().min(0).max(1);
const place = z.object({ x: share, y: share });

export const shapeEditSchema = z.discriminatedUnion('kind', [
  /** Two shapes become one, each told by a place in it. */
  z.object({ kind: z.literal('merge'), a: place, b: place }),
  /** A shape is cut along a straight line through it. */
  z.object({ kind: z.literal('split'), from: place, to: place }),
]);
export type ShapeEdit = z.infer<typeof shapeEditSchema>;

export const STANDING = ['painted', 'left-open', 'left-out'] as const;

/** A mass that is told by a place in its shape. */
export const namedShapeSchema = massSchema.extend({
  at: place,
  /** Painted; the ground stands there; or left out until a stage. */
  standing: z.enum(STANDING),
});
export type NamedShape = z.infer<typeof namedShapeSchema>;

/** Shapes of a picture: which one each place is of, and how many places each has; numbers have gaps after a merge. */
export interface ShapeCut {
  readonly width: number;
  readonly height: number;
  readonly shapeOf: Int32Array;
  readonly places: ReadonlyMap<number, number>;
}

export const indexAt = ({ x, y }: { readonly x: number; readonly y: number }, width: number, height: number): number =>
  Math.min(height - 1, Math.floor(y * height)) * width + Math.min(width - 1, Math.floor(x * width));

function split(
  shapeOf: Int32Array,
  width: number,
  height: number,
  edit: Extract<ShapeEdit, { kind: 'split' }>,
  next: number,
): void {
  const middle = { x: (edit.from.x + edit.to.x) / 2, y: (edit.from.y + edit.to.y) / 2 };
  const own = shapeOf[indexAt(middle, width, height)];
  const [ax, ay, bx, by] = [edit.from.x * width, edit.from.y * height, edit.to.x * width, edit.to.y * height];
  for (let i = 0; i < shapeOf.length; i++) {
    if (shapeOf[i] !== own) continue;
    const [x, y] = [(i % width) + 0.5, Math.floor(i / width) + 0.5];
    if ((bx - ax) * (y - ay) - (by - ay) * (x - ax) > 0) shapeOf[i] = next;
  }
}

/** The shapes that tones make, after what a person did to them. */
export function cutShapes(toneOf: Uint8Array, width: number, height: number, edits: readonly ShapeEdit[]): ShapeCut {
  const { shapes, shapeOf: first } = toneShapes(toneOf, width);
  const shapeOf = Int32Array.from(first);
  let next = shapes.length;
  for (const edit of edits) {
    if (edit.kind === 'split') {
      split(shapeOf, width, height, edit, next++);
      continue;
    }
    const [a, b] = [
      shapeOf[indexAt(edit.a, width, height)] as number,
      shapeOf[indexAt(edit.b, width, height)] as number,
    ];
    if (a !== b) for (let i = 0; i < shapeOf.length; i++) if (shapeOf[i] === b) shapeOf[i] = a;
  }
  const counts = new Int32Array(next);
  for (let i = 0; i < shapeOf.length; i++) counts[shapeOf[i] as number] = (counts[shapeOf[i] as number] as number) + 1;
  const places = new Map([...counts.entries()].filter(([, n]) => n > 0));
  return { width, height, shapeOf, places };
}

/** Name of each named shape by its number; where two names fell into one shape by a merge, the first one counts. */
export function namesIn({ shapeOf, width, height }: ShapeCut, named: readonly NamedShape[]): Map<number, NamedShape> {
  const out = new Map<number, NamedShape>();
  for (const shape of named) {
    const k = shapeOf[indexAt(shape.at, width, height)] as number;
    if (!out.has(k)) out.set(k, shape);
  }
  return out;
}

/** Which named shape each place of a cut is of, counted from 1 as they are listed; 0 for none. */
export function namedPlaces(
  { shapeOf }: Pick<ShapeCut, 'shapeOf'>,
  names: ReadonlyMap<number, NamedShape>,
): { readonly numberOf: Uint8Array; readonly named: readonly NamedShape[] } {
  const number = new Map([...names.keys()].map((shape, k) => [shape, k + 1]));
  return { numberOf: Uint8Array.from(shapeOf, (s) => number.get(s) ?? 0), named: [...names.values()] };
}
