import fc from 'fast-check';
import { raster } from '../raster/raster';
import { sharesOf, tonesBy, toneShapes } from './tones';

test('a place belongs to the tone that its lightness says, and on a threshold to the darker one', () => {
  const plane = raster('lightness', 5, 1, 1, Float32Array.from([90, 60, 50, 40, 10]));
  expect([...tonesBy(plane, [40, 60])]).toEqual([1, 2, 2, 3, 3]);
  expect(sharesOf(tonesBy(plane, [40, 60]), 3)).toEqual([0.2, 0.4, 0.4]);
});

test('shapes hang together by their sides and not by their corners', () => {
  const picture = Uint8Array.from([1, 1, 2, 2, 1, 2, 1, 2, 2, 1, 1, 2]);
  const { shapes, shapeOf } = toneShapes(picture, 4);
  expect(shapes.map((s) => [s.tone, s.places])).toEqual([
    [2, 4],
    [1, 3],
    [1, 3],
    [2, 1],
    [2, 1],
  ]);
  expect(shapes[0]?.box).toEqual({ x0: 2, y0: 0, x1: 4, y1: 3 });
  expect(shapeOf[0]).not.toBe(shapeOf[6]);
});

test('every place is in one shape of its own tone, and shapes hold every place', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 9 }),
      fc.infiniteStream(fc.integer({ min: 1, max: 3 })),
      (width, height, values) => {
        const tones = Uint8Array.from({ length: width * height }, () => values.next().value as number);
        const { shapes, shapeOf } = toneShapes(tones, width);
        expect(shapes.reduce((s, shape) => s + shape.places, 0)).toBe(tones.length);
        tones.forEach((t, i) => expect(shapes[shapeOf[i] as number]?.tone).toBe(t));
        for (let i = 1; i < shapes.length; i++) expect(shapes[i - 1]!.places).toBeGreaterThanOrEqual(shapes[i]!.places);
        // Neighbours of one tone are of one shape.
        tones.forEach((t, i) => {
          if ((i + 1) % width !== 0 && tones[i + 1] === t) expect(shapeOf[i + 1]).toBe(shapeOf[i]);
          if (tones[i + width] === t) expect(shapeOf[i + width]).toBe(shapeOf[i]);
        });
      },
    ),
  );
});
