/** Outlines of made-up pictures, which are alike whichever side of them is the lighter. */
import { chance } from '../../devices/random';
import { AS_IT_IS } from './affine';
import { outlinesAlike, outlinesOf } from './outlines-alike';

const [WIDTH, HEIGHT] = [192, 150];

/** Discs and boxes before a wall and on a table; `light` says how light the things are. */
function still(seed: number, light: (usual: number) => number, right = 0) {
  const own = chance(seed);
  const table = own.between(70, 95);
  const things = Array.from({ length: 6 }, () => ({
    x: own.between(25, WIDTH - 25),
    y: own.between(50, 110),
    reach: own.between(12, 24),
    square: own.next() < 0.5,
    lightness: light(own.between(20, 45)),
  }));
  const data = new Float32Array(WIDTH * HEIGHT);
  for (let i = 0; i < data.length; i++) {
    const [x, y] = [(i % WIDTH) - right, Math.floor(i / WIDTH)];
    const on = things.find((t) => {
      const [u, v] = [Math.abs(x - t.x), Math.abs(y - t.y)];
      return (t.square ? Math.max(u, v) : Math.hypot(u, v)) < t.reach;
    });
    data[i] = on ? on.lightness : y < table ? 65 : 55;
  }
  return { width: WIDTH, height: HEIGHT, data };
}

const alike = (a: ReturnType<typeof still>, b: ReturnType<typeof still>) =>
  outlinesAlike(outlinesOf(a), outlinesOf(b), AS_IT_IS);
const asDark = (l: number) => l;

test.each([3, 7, 11, 19])('what is painted light for dark keeps its outlines (%i)', (seed) => {
  const picture = still(seed, asDark);
  expect(alike(picture, picture)).toBeCloseTo(1, 4);
  expect(
    alike(
      picture,
      still(seed, (l) => 120 - l),
    ),
  ).toBeGreaterThan(0.8);
  expect(alike(picture, still(seed, asDark, 5))).toBeGreaterThan(0.8);
});

test('other pictures have other outlines, however like their walls and tables are', () => {
  for (let seed = 0; seed < 12; seed++) expect(alike(still(seed, asDark), still(100 + seed, asDark))).toBeLessThan(0.5);
});
