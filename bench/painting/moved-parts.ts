/** How a thing that was moved came to stand, the straying of the hand and all: fitted to where each of its places was drawn. */
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

/** The moved thing as a whole, and each of its shapes that was drawn. */
export function movedParts(
  picture: SeenPicture,
  drawing: Drawing,
  whole: Whole,
  move: Move,
  nameOf: (shape: number) => string,
): MovedPart[] {
  const across = Math.round(Math.sqrt((drawing.x.length * picture.width) / picture.height));
  const part = (name: string, shapes: readonly number[]): MovedPart[] => {
    const places = drawnPlaces(picture, drawing, across, whole, new Set(shapes));
    if (places.length < 3) return [];
    const mean = (of: (p: (typeof places)[number]) => number) => places.reduce((s, p) => s + of(p), 0) / places.length;
    const [mx, my] = [mean((p) => p.meant[0]), mean((p) => p.meant[1])];
    const rows = new Matrix(places.map((p) => [p.meant[0] - mx, p.meant[1] - my, 1]));
    const fit = solve(rows.transpose().mmul(rows), rows.transpose().mmul(new Matrix(places.map((p) => [...p.drawn]))));
    const [wide, lean, tall] = [fit.get(0, 0), fit.get(1, 0), fit.get(1, 1)];
    const slant = (Math.atan2(-lean, tall) * 180) / Math.PI;
    return [{ name, dx: fit.get(2, 0) - mx, dy: fit.get(2, 1) - my, width: wide, height: tall, slant }];
  };
  const thing = nameOf(move.shapes[0] as number).split(' >')[0] as string;
  return [...part(thing, move.shapes), ...move.shapes.flatMap((shape) => part(nameOf(shape), [shape]))];
}
