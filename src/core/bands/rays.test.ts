/** Rays over a banded picture: every place lies on one, at the distance that it says. */
import fc from 'fast-check';
import { MOTIFS } from '../exercise/terms';
import { raysOf } from './rays';

const FRAME = { widthMm: 180, heightMm: 150 };

test.each(MOTIFS)('%s: a place on a ray is found on that ray, as far along', (motif) => {
  const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });
  fc.assert(
    fc.property(share, share, share, fc.integer({ min: 0, max: 179 }), (cx, cy, along, ray) => {
      const rays = raysOf(motif, FRAME, [cx * FRAME.widthMm, cy * FRAME.heightMm]);
      const mm = along * rays.lengthMm(ray);
      const [x, y] = rays.at(ray, mm);
      const [found, foundMm] = rays.of(x, y);
      expect(found).toBe(ray);
      expect(foundMm).toBeCloseTo(mm, 6);
    }),
  );
});

test.each(MOTIFS)('%s: rays end at the edge of the frame', (motif) => {
  const rays = raysOf(motif, FRAME, [60, 50]);
  for (let ray = 0; ray < rays.count; ray++) {
    const [x, y] = rays.at(ray, rays.lengthMm(ray));
    expect(Math.min(x, y, FRAME.widthMm - x, FRAME.heightMm - y)).toBeCloseTo(0, 6);
  }
});
