/** Paintings of a made-up picture by the simulated painter, laid on it. */
import fc from 'fast-check';
import { raster } from '../../raster/raster';
import { type Move, type SeenPicture, type Whole } from '../../../devices/drawing-hand';
import { paintPicture } from '../../../devices/picture-painter';
import { chance } from '../../../devices/random';
import { shrunk } from '../../raster/between';
import { onGrid } from '../../raster/on-grid';
import { placesOfNumbers } from '../../raster/zone';
import { registrationOf } from './affine';
import { sloped } from './align';
import { alignWhole, sizedReference } from './align-whole';
import { displacementOf } from '../features/feature';
import { localContrast } from './local-contrast';

const [WIDE, HIGH] = [300, 240];
const EGG = 10;

/** Discs and boxes on a ground, no two alike; the last one, an egg, lies free. */
function picture(seed: number): SeenPicture {
  const own = chance(seed);
  const lightness = new Float32Array(WIDE * HIGH).fill(70);
  const shapeOf = new Uint8Array(WIDE * HIGH);
  const put = (shape: number, cx: number, cy: number, rx: number, ry: number, l: number, square: boolean) => {
    for (let i = 0; i < lightness.length; i++) {
      const [u, v] = [((i % WIDE) - cx) / rx, (Math.floor(i / WIDE) - cy) / ry];
      if ((square ? Math.max(Math.abs(u), Math.abs(v)) : Math.hypot(u, v)) > 1) continue;
      lightness[i] = l + 6 * u;
      shapeOf[i] = shape;
    }
  };
  put(1, WIDE / 2, 0.85 * HIGH, WIDE, 0.3 * HIGH, 50, true);
  for (let shape = 2; shape < EGG; shape++)
    put(
      shape,
      own.between(20, 195),
      own.between(50, 150),
      own.between(18, 36),
      own.between(18, 40),
      own.between(25, 90),
      own.next() < 0.4,
    );
  put(EGG, 240, 120, 24, 34, 30, false);
  return { width: WIDE, height: HIGH, lightness, shapeOf };
}

function painted(of: SeenPicture, whole: Whole, moves: readonly Move[], value: (l: number) => number, seed: number) {
  const side = { width: 36, height: 29 };
  const surface = {
    reflectance: raster('linear', side.width, side.height, 3, new Float32Array(3 * side.width * side.height)),
    dpi: 5,
  };
  const frame = { xMm: 0, yMm: 0, widthMm: 180, heightMm: 144 };
  const { canvas } = paintPicture(
    surface,
    frame,
    of,
    {
      whole,
      moves,
      stray: 0.0015,
      smallest: 0.012,
      unsure: 1,
      value,
      mistaken: new Map([[2, 12]]),
      ground: 85,
      streaks: 0,
    },
    seed,
  );
  return { width: canvas.width, height: canvas.height, data: canvas.painted };
}
const plane = ({ width, height, lightness }: SeenPicture) => ({ width, height, data: lightness });
const ASKEW: Whole = { shift: { x: 0.02, y: -0.015 }, scale: { x: 1.03, y: 0.98 }, rotation: 1.5, shear: 0.01 };

test('the whole of a painting is laid on its reference, too dark, too flat or lifted as it may be', () => {
  const values = [(l: number) => l, (l: number) => 0.5 * l + 10, (l: number) => 30 + 0.6 * l];
  values.forEach((value, k) => {
    const of = picture(40 + k);
    const { map, likeness } = alignWhole(sizedReference(plane(of)), painted(of, ASKEW, [], value, 7 + k));
    const told = registrationOf(map, HIGH / WIDE);
    expect(likeness).toBeGreaterThan(0.7);
    expect(Math.abs(told.shift.x - ASKEW.shift.x)).toBeLessThan(0.004);
    expect(Math.abs(told.shift.y * (HIGH / WIDE) - ASKEW.shift.y)).toBeLessThan(0.004);
    expect(Math.abs(told.scale.x - ASKEW.scale.x)).toBeLessThan(0.01);
    expect(Math.abs(told.scale.y - ASKEW.scale.y)).toBeLessThan(0.01);
    expect(Math.abs(told.rotation - ASKEW.rotation)).toBeLessThan(0.4);
  });
});

test('a feature that was moved, widened and slanted is told against the whole', () => {
  const of = picture(44);
  const move: Move = { shapes: [EGG], dx: -0.03, dy: 0.02, width: 1.08, height: 0.93, slant: 4 };
  const painting = painted(of, ASKEW, [move], (l) => l, 9);
  const { map } = alignWhole(sizedReference(plane(of)), painting);
  const across = 240;
  const [small, seen] = [plane(of), painting].map((p) =>
    localContrast(shrunk(p, across, Math.round((across * HIGH) / WIDE)), 0.8),
  ) as [ReturnType<typeof plane>, ReturnType<typeof plane>];
  const shapes = onGrid(of.shapeOf, { width: WIDE, height: HIGH }, small);
  const [egg] = placesOfNumbers(shapes, EGG, 1);
  const found = displacementOf(small, sloped(seen), map, egg as Int32Array)?.displacement;
  expect(Math.hypot((found?.dx ?? 1) - move.dx, (found?.dy ?? 1) - move.dy)).toBeLessThan(0.006);
  expect(Math.abs((found?.width ?? 0) - move.width)).toBeLessThan(0.05);
  expect(Math.abs((found?.height ?? 0) - move.height)).toBeLessThan(0.05);
  expect(Math.abs((found?.slant ?? 90) - move.slant)).toBeLessThan(2);
});

test('another picture is not like this one', () => {
  fc.assert(
    fc.property(fc.integer({ min: 100, max: 104 }), (seed) => {
      const of = picture(seed);
      const other = { ...picture(seed + 50), lightness: Float32Array.from(picture(seed + 50).lightness).reverse() };
      expect(alignWhole(sizedReference(plane(of)), plane(other)).likeness).toBeLessThan(
        alignWhole(sizedReference(plane(of)), plane(of)).likeness - 0.3,
      );
    }),
    { numRuns: 3 },
  );
});
