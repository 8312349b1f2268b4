/** Shapes of a rendered scene that are large enough to have a name: what they are called, and where they lie. */
import type { ShapePlane } from '@/core/painting/shapes/named-shapes';
import { objectOf } from '@/core/tones/mass';
import type { Reference } from './references';

/** Smaller shapes (share of the picture) are none that anybody would name. */
const LEAST_SHAPE = 0.008;
export const nameOf = (shape: number) => `thing ${shape >> 1} > ${shape % 2 === 1 ? 'shadow' : 'light'}`;

/** Shapes large enough to be named, and how much of the picture each is. */
export function shapesOf({ shapeOf, width, height }: Reference) {
  const found = new Map<number, { places: number; x0: number; y0: number; x1: number; y1: number }>();
  shapeOf.forEach((shape, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    const own = found.get(shape);
    if (!own) found.set(shape, { places: 1, x0: x, y0: y, x1: x + 1, y1: y + 1 });
    else {
      own.places++;
      own.x0 = Math.min(own.x0, x);
      own.x1 = Math.max(own.x1, x + 1);
      own.y1 = y + 1;
    }
  });
  return [...found]
    .filter(([, s]) => s.places >= LEAST_SHAPE * shapeOf.length)
    .map(([shape, { places, x0, y0, x1, y1 }]) => ({
      shape,
      area: places / shapeOf.length,
      box: { x: x0 / width, y: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height },
    }));
}

/** The shapes that are large enough to be named, as what is measured against has them. */
export function namedPlane({ width, height, shapeOf }: Reference, named: ReturnType<typeof shapesOf>): ShapePlane {
  const numbers = new Map(named.map(({ shape }, k) => [shape, k + 1]));
  return {
    width,
    height,
    shapeOf: shapeOf.map((s) => numbers.get(s) ?? 0),
    shapes: named.map(({ shape }) => ({
      name: nameOf(shape),
      object: objectOf({ name: nameOf(shape) }),
      part: null,
      material: 'matt',
      steps: null,
    })),
    lights: 1,
  };
}

/** The smallest of them; null of none. */
export const smallestOf = (named: ReturnType<typeof shapesOf>): number | null =>
  named.reduce<(typeof named)[number] | null>((a, b) => (a && a.area <= b.area ? a : b), null)?.shape ?? null;
