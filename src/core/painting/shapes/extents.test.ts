/** Where light and shadow of one thing meet, and shapes that are full of detail. */
import type { Plane } from '../../raster/between';
import { extentsOf } from './extents';
import type { ShapePlane } from './named-shapes';

const [WIDTH, HEIGHT] = [640, 400];
/** Light and shadow meet here, widths; the thing reaches from `LEFT` to `RIGHT`. */
const [LEFT, MEET, RIGHT] = [0.3, 0.5, 0.6];

const plane = (of: (x: number, y: number) => number): Plane => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => of((i % WIDTH) / WIDTH, Math.floor(i / WIDTH) / WIDTH)),
});
const inside = (x: number, y: number) => x >= LEFT && x < RIGHT && y > 0.1 && y < 0.5;
const still = (meet: number) => (x: number, y: number) => (!inside(x, y) ? 65 : x < meet ? 80 : 40);
const named = (name: string) => ({ name, object: 'egg', part: null, material: 'matt' as const, steps: null });
const shapes: ShapePlane = {
  ...{ width: WIDTH, height: HEIGHT, lights: 1 },
  shapeOf: Uint8Array.from(plane((x, y) => (!inside(x, y) ? 0 : x < MEET ? 1 : 2)).data),
  shapes: [named('Egg > light'), named('Egg > shadow')],
};
const wanted = plane(still(MEET));
const told = (painted: Plane, unseen = new Uint8Array(WIDTH * HEIGHT), of = wanted) =>
  extentsOf(shapes, of, { fine: painted, unseen }).map(({ name, kind, by }) => ({ name, kind, by }));

test('a shadow that takes from its light is told, and its light is not full of detail for it', () => {
  const [wide, ...others] = told(plane(still(MEET - 0.02)));
  expect(wide).toMatchObject({ name: 'Egg > shadow', kind: 'wide' });
  expect(wide?.by).toBeCloseTo(0.02 / (RIGHT - MEET), 1);
  expect(others).toEqual([]);
  expect(told(plane(still(MEET + 0.02)))).toMatchObject([{ name: 'Egg > shadow', kind: 'narrow' }]);
  expect(told(wanted)).toEqual([]);
});

test('spots where the reference is quiet are detail', () => {
  const spots = (x: number, y: number) => 10 * Math.sin(120 * x) * Math.sin(120 * y);
  const painted = plane((x, y) => still(MEET)(x, y) + (inside(x, y) && x > MEET ? spots(x, y) : 0));
  expect(told(painted)).toMatchObject([{ name: 'Egg > shadow', kind: 'detail' }]);
});

test('what is lively in the reference may be a little livelier, and no more', () => {
  const lively = (times: number) =>
    plane((x, y) => {
      const spots = 10 * times * Math.sin(120 * x) * Math.sin(120 * y);
      return still(MEET)(x, y) + (inside(x, y) && x > MEET ? spots : 0);
    });
  expect(told(lively(1.15), undefined, lively(1))).toEqual([]);
  expect(told(lively(1.6), undefined, lively(1))).toMatchObject([{ name: 'Egg > shadow', kind: 'detail' }]);
});

test('what lies past the edge of a painting is no detail, however dark the rest of its shape is', () => {
  const past = (x: number) => x < LEFT + 0.08;
  const painted = plane((x, y) => still(MEET)(x, y) - (inside(x, y) && !past(x) ? 15 : 0));
  expect(told(painted)).not.toEqual([]);
  expect(told(painted, Uint8Array.from(plane((x) => (past(x) ? 1 : 0)).data))).toEqual([]);
});
