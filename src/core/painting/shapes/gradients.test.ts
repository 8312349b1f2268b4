import fc from 'fast-check';
import { shapeGradient } from './gradients';

const [WIDTH, HEIGHT] = [120, 100];
const plane = (of: (x: number, y: number) => number) => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => of((i % WIDTH) / WIDTH, Math.floor(i / WIDTH) / WIDTH)),
});
/** A box of the plane: 60 places wide, 30 tall. */
const box = Int32Array.from({ length: 60 * 30 }, (_, k) => (20 + Math.floor(k / 60)) * WIDTH + 30 + (k % 60));
const asIs = (l: number) => l;
const slope = fc.double({ min: -60, max: 60, noNaN: true });

test('a plane has its own gradient, and across the shape what lies between its two sides', () => {
  fc.assert(
    fc.property(slope, slope, slope, slope, (a, b, c, d) => {
      const read = shapeGradient(
        box,
        plane((x, y) => 50 + a * x + b * y),
        plane((x, y) => 60 + c * x + d * y),
        asIs,
      );
      expect(read?.wanted.x).toBeCloseTo(a, 1);
      expect(read?.wanted.y).toBeCloseTo(b, 1);
      expect(read?.painted.x).toBeCloseTo(c, 1);
      expect(read?.across.off).toBeCloseTo(Math.hypot((c - a) * 0.5, (d - b) * 0.25), 0);
    }),
  );
});

test('a highlight and a crevice hardly turn a shape', () => {
  const wanted = plane((x) => 40 + 30 * x);
  const lit = plane((x, y) => 40 + 30 * x + (Math.hypot(x - 0.3, y - 0.22) < 0.04 ? 40 : 0) - (x > 0.7 ? 30 : 0));
  expect(shapeGradient(box, wanted, lit, asIs)?.across.off).toBeLessThan(2.5);
});

test('what the whole painting is off by is no gradient of one shape', () => {
  const half = (l: number) => 30 + 0.5 * l;
  const read = shapeGradient(
    box,
    plane((x) => 40 + 40 * x),
    plane((x) => half(40 + 40 * x)),
    half,
  );
  expect(read?.across.off).toBeCloseTo(0, 3);
});

test('a shape of which little is known has none', () => {
  const nothing = plane(() => NaN);
  expect(shapeGradient(box, plane(asIs), nothing, asIs)).toBeNull();
  expect(shapeGradient(box.slice(0, 20), plane(asIs), plane(asIs), asIs)).toBeNull();
});
