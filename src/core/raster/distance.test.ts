import fc from 'fast-check';
import { squaredDistances } from './distance';

test('they are those of trying every marked place', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 12 }),
      fc.infiniteStream(fc.integer({ min: 0, max: 4 })),
      (width, height, values) => {
        const marked = Uint8Array.from({ length: width * height }, () => (values.next().value === 0 ? 1 : 0));
        const found = squaredDistances(marked, width, height);
        found.forEach((d, i) => {
          let nearest = Infinity;
          marked.forEach((m, k) => {
            if (m === 1)
              nearest = Math.min(
                nearest,
                ((i % width) - (k % width)) ** 2 + (Math.floor(i / width) - Math.floor(k / width)) ** 2,
              );
          });
          expect(d).toBe(nearest);
        });
      },
    ),
  );
});
