/** Whether made-up pictures are of each other: by their outlines, whichever side of these is the lighter. */
import { chance } from '../../../devices/random';
import type { Plane } from '../../raster/between';
import { AS_IT_IS } from './affine';
import { alignWhole, sizedReference } from './align-whole';
import { misfitOf } from './misfit';
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

const alike = (a: Plane, b: Plane) => outlinesAlike(outlinesOf(a), outlinesOf(b), AS_IT_IS);
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

const codeOf = (reference: Plane, painting: Plane) => {
  const sizes = sizedReference(reference);
  return misfitOf(sizes, painting, alignWhole(sizes, painting))?.code ?? null;
};
/** Each place taken from another place of a picture. */
const taken = ({ width, height, data }: Plane, from: (x: number, y: number) => number): Plane => ({
  width,
  height,
  data: data.map((_, i) => data[from(i % width, Math.floor(i / width))] as number),
});

test('a picture with all its things painted light for dark is still that picture', () => {
  for (const seed of [3, 7, 11, 19])
    expect(
      codeOf(
        still(seed, asDark),
        still(seed, (l) => 120 - l),
      ),
    ).toBeNull();
});

test('a picture, its mirror image and the same on its head are told apart', () => {
  for (const seed of [3, 7, 11, 19]) {
    const picture = still(seed, asDark);
    const mirrored = taken(picture, (x, y) => y * WIDTH + WIDTH - 1 - x);
    const head = taken(picture, (x, y) => (HEIGHT - 1 - y) * WIDTH + WIDTH - 1 - x);
    expect([picture, mirrored, head].map((seen) => codeOf(picture, seen))).toEqual([null, 'mirrored', 'upside_down']);
  }
});

test('most other pictures are told as that, though all of these are dark things before a wall, on a table', () => {
  const codes = Array.from({ length: 16 }, (_, seed) => codeOf(still(seed, asDark), still(200 + seed, asDark)));
  expect(codes.filter((code) => code === 'not_the_reference').length).toBeGreaterThanOrEqual(8);
});
