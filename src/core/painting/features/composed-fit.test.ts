import fc from 'fast-check';
import { AS_IT_IS, type Affine, placed, undone } from '../registration/affine';
import { composedFit } from './composed-fit';
import { compositionOf } from './composition';

const [WIDTH, HEIGHT] = [384, 320];
const at = (i: number): [number, number] => [
  ((i % WIDTH) + 0.5) / WIDTH - 0.5,
  (Math.floor(i / WIDTH) + 0.5 - HEIGHT / 2) / WIDTH,
];
/** A brush and a camera leave no edge sharper than this, places. */
const ABOUT = [-1, -0.5, 0, 0.5, 1].flatMap((u) => [-1, -0.5, 0, 0.5, 1].map((v) => [u / WIDTH, v / WIDTH] as const));
const planeOf = (valueAt: (x: number, y: number) => number) => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
    const [x, y] = at(i);
    return ABOUT.reduce((sum, [u, v]) => sum + valueAt(x + u, y + v) / ABOUT.length, 0);
  }),
});

/** A ball in light and shadow; its shadow is nearly as dark as what lies behind it on the right. */
const [HALF_WIDE, HALF_TALL] = [0.12, 0.1];
const isBall = (x: number, y: number) => (x / HALF_WIDE) ** 2 + (y / HALF_TALL) ** 2 < 1;
const ball = (x: number) => (x < 0.03 ? 85 : 40);
const behind = (x: number) => (x < 0.05 ? 65 : 48);
const wanted = planeOf((x, y) => (isBall(x, y) ? ball(x) : behind(x)));
const numbers = Uint8Array.from(wanted.data, (_, i) => (!isBall(...at(i)) ? 0 : at(i)[0] < 0.03 ? 1 : 2));
const places = Int32Array.from(wanted.data.keys()).filter((i) => isBall(...at(i)));

/** The same with the ball elsewhere, all of it and its light painted otherwise. */
function painted(map: Affine, { all, light }: { readonly all: number; readonly light: number }) {
  const back = undone(map);
  return planeOf((x, y) => {
    const [u, v] = placed(back, x, y);
    const own = isBall(u, v) ? ball(u) + (u < 0.03 ? light : 0) : behind(x);
    return 0.8 * own + all;
  });
}

const fitOf = (plane: ReturnType<typeof painted>, starts: readonly Affine[] = [AS_IT_IS]) =>
  composedFit(compositionOf(wanted, numbers, plane), places, starts);

const share = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

test('a thing that stands a little elsewhere, wider and slanted, is found so, whatever its values and the contrast of all', () => {
  fc.assert(
    fc.property(
      fc.record({ x: share(-0.003, 0.003), y: share(-0.003, 0.003) }),
      fc.record({ wide: share(0.985, 1.015), tall: share(0.985, 1.015), lean: share(-0.015, 0.015) }),
      fc.record({ all: share(0, 15), light: share(-12, 12) }),
      ({ x, y }, { wide, tall, lean }, values) => {
        const made: Affine = [wide, lean, x, 0, tall, y];
        const found = fitOf(painted(made, values));
        for (const corner of [-1, 1].flatMap((u) => [-1, 1].map((v) => [u * HALF_WIDE, v * HALF_TALL] as const))) {
          const [[px, py], [qx, qy]] = [placed(made, ...corner), placed(found, ...corner)];
          expect(Math.hypot(px - qx, py - qy)).toBeLessThan(0.0035);
        }
      },
    ),
    { numRuns: 16, endOnFailure: true },
  );
});

test('of several places to start from the likeliest is taken', () => {
  const made: Affine = [1, 0, -0.07, 0, 1, 0.05];
  const [, , x, , , y] = fitOf(painted(made, { all: 0, light: 0 }), [AS_IT_IS, [1, 0, -0.06, 0, 1, 0.045]]);
  expect(Math.hypot(x + 0.07, y - 0.05)).toBeLessThan(0.003);
});

test('what was not seen takes no part', () => {
  const made: Affine = [1, 0, 0.01, 0, 1, -0.012];
  const plane = painted(made, { all: 4, light: 0 });
  plane.data.forEach((_, i) => {
    const [x, y] = at(i);
    if (x > 0.05 && y > 0.04) plane.data[i] = NaN;
  });
  const [, , x, , , y] = fitOf(plane);
  expect(Math.hypot(x - 0.01, y + 0.012)).toBeLessThan(0.003);
});

test('nothing has no place', () => {
  const composition = compositionOf(wanted, numbers, wanted);
  expect(() => composedFit(composition, new Int32Array(0), [AS_IT_IS])).toThrow(/without a place/);
  expect(() => composedFit(composition, places, [])).toThrow(/start somewhere/);
});
