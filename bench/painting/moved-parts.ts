/**
 * How a thing that was moved came to stand, the straying of the hand and all: fitted to where each of its places was drawn, and
 * from there to where its paint came to lie, since strokes lap over outlines.
 */
import type { Drawing, Move, SeenPicture, Whole } from '@/devices/drawing-hand';
import { wholeDone } from '@/devices/drawing-hand';
import { Matrix, solve } from 'ml-matrix';

export interface MovedPart {
  readonly name: string;
  /** Against the whole, as it is told: widths, ratios, degrees clockwise. */
  readonly dx: number;
  readonly dy: number;
  readonly width: number;
  readonly height: number;
  readonly slant: number;
}

/** Where places of some shapes lie as the whole has them (first), and where they were drawn; widths about the middle. */
function drawnPlaces(picture: SeenPicture, { x, y, shapeOf }: Drawing, across: number, whole: Whole, own: Set<number>) {
  const done = wholeDone(whole);
  const down = x.length / across;
  const { width, height } = picture;
  return Array.from(shapeOf.keys())
    .filter((i) => own.has(shapeOf[i] as number))
    .map((i) => ({
      meant: done((x[i] as number) / width - 0.5, ((y[i] as number) - height / 2) / width),
      drawn: [
        ((i % across) + 0.5) / across - 0.5,
        (((Math.floor(i / across) + 0.5) / down - 0.5) * height) / width,
      ] as const,
    }));
}

interface Lie {
  readonly middle: readonly [x: number, y: number];
  /** The upright root of how its places spread about that, without a turn. */
  readonly root: { readonly wide: number; readonly lean: number; readonly tall: number };
}

/** How some shapes lie on a canvas, widths about its middle; null where none of them is there. */
function lieOf(shapeOf: Uint8Array, across: number, own: ReadonlySet<number>): Lie | null {
  const down = shapeOf.length / across;
  let [n, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  shapeOf.forEach((shape, i) => {
    if (!own.has(shape)) return;
    const [u, v] = [((i % across) + 0.5) / across - 0.5, (Math.floor(i / across) + 0.5 - down / 2) / across];
    n++;
    x += u;
    y += v;
    xx += u * u;
    xy += u * v;
    yy += v * v;
  });
  if (n < 3) return null;
  const [mx, my] = [x / n, y / n];
  const tall = Math.sqrt(yy / n - my * my);
  const lean = (xy / n - mx * my) / tall;
  return { middle: [mx, my], root: { wide: Math.sqrt(xx / n - mx * mx - lean * lean), lean, tall } };
}

/** The moved thing as a whole, and each of its shapes that was drawn; `shows` are the shapes that the canvas shows. */
export function movedParts(
  picture: SeenPicture,
  { drawing, shows }: { readonly drawing: Drawing; readonly shows: Uint8Array },
  whole: Whole,
  move: Move,
  nameOf: (shape: number) => string,
): MovedPart[] {
  const across = Math.round(Math.sqrt((drawing.x.length * picture.width) / picture.height));
  const part = (name: string, shapes: readonly number[]): MovedPart[] => {
    const own = new Set(shapes);
    const places = drawnPlaces(picture, drawing, across, whole, own);
    const [drawn, shown] = [lieOf(drawing.shapeOf, across, own), lieOf(shows, across, own)];
    if (!drawn || !shown) return [];
    const mean = (of: (p: (typeof places)[number]) => number) => places.reduce((s, p) => s + of(p), 0) / places.length;
    const [mx, my] = [mean((p) => p.meant[0]), mean((p) => p.meant[1])];
    const rows = new Matrix(places.map((p) => [p.meant[0] - mx, p.meant[1] - my, 1]));
    const fit = solve(rows.transpose().mmul(rows), rows.transpose().mmul(new Matrix(places.map((p) => [...p.drawn]))));
    // From how it was drawn to how its paint lies: [grew, leans; 0, rose].
    const [grew, rose] = [shown.root.wide / drawn.root.wide, shown.root.tall / drawn.root.tall];
    const leans = (shown.root.lean - grew * drawn.root.lean) / drawn.root.tall;
    const wide = grew * fit.get(0, 0) + leans * fit.get(0, 1);
    const [lean, tall] = [grew * fit.get(1, 0) + leans * fit.get(1, 1), rose * fit.get(1, 1)];
    return [
      {
        name,
        dx: fit.get(2, 0) - mx + shown.middle[0] - drawn.middle[0],
        dy: fit.get(2, 1) - my + shown.middle[1] - drawn.middle[1],
        ...{ width: wide, height: tall },
        slant: (Math.atan2(-lean, tall) * 180) / Math.PI,
      },
    ];
  };
  const thing = nameOf(move.shapes[0] as number).split(' >')[0] as string;
  return [...part(thing, move.shapes), ...move.shapes.flatMap((shape) => part(nameOf(shape), [shape]))];
}
