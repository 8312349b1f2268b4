/** A painting laid on its reference: what is left open is judged by nothing. */
import { loadOpenCv } from '@/workers/decoding/opencv';
import type { Plane } from '../raster/between';
import { layPainting } from './lay-painting';
import { type PaintingReference, paintingReference } from './reference';
import { regionsOf } from './values/regions';

const [WIDTH, HEIGHT] = [480, 400];

const plane = (of: (x: number, y: number) => number): Plane => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) =>
    of((i % WIDTH) / WIDTH, Math.floor(i / WIDTH) / HEIGHT),
  ),
});
const inBox = (x: number, y: number, x0: number, y0: number, x1: number, y1: number) =>
  x >= x0 && x < x1 && y >= y0 && y < y1;
const still = (x: number, y: number): number => {
  if (inBox(x, y, 0.15, 0.2, 0.4, 0.75)) return x < 0.3 ? 80 : 35;
  if ((x - 0.7) ** 2 + (0.83 * (y - 0.55)) ** 2 < 0.025) return y < 0.55 ? 88 : 45;
  return y > 0.65 ? 62 : 50;
};
const isOpen = (x: number, y: number) => inBox(x, y, 0.55, 0.02, 0.95, 0.25);
/** The same with bare ground where it was left open. */
const painted = plane((x, y) => (isOpen(x, y) ? 90 : still(x, y)));

const regionsFor = (reference: PaintingReference) => {
  const laid = layPainting(reference, painted, 'painting');
  if ('misfit' in laid) throw new Error(laid.misfit.say);
  return regionsOf(laid.parts, laid.left, 5, reference.numbers);
};

test('bare ground is a fault where it should be painted, and none where it may stand', async () => {
  const { cv } = await loadOpenCv();
  const target = plane(still);
  const seen = { lightness: target, target, shapes: null };
  const [bare] = regionsFor(paintingReference(cv, seen));
  expect(bare?.residual).toBeGreaterThan(20);
  const open = Uint8Array.from(plane((x, y) => (isOpen(x, y) ? 1 : 0)).data);
  expect(regionsFor(paintingReference(cv, { ...seen, open }))).toEqual([]);
});

test('what has no name and stands elsewhere is told beside what has one, as one thing', async () => {
  const { cv } = await loadOpenCv();
  const ball = (x: number, y: number) => (x - 0.7) ** 2 + (0.83 * (y - 0.55)) ** 2 < 0.012;
  const scene = (moved: number) =>
    plane((x, y) => {
      if (inBox(x, y, 0.15, 0.2, 0.4, 0.75)) return x < 0.3 ? 80 : 35;
      return ball(x - moved, y) ? (y < 0.55 ? 88 : 25) : y > 0.8 ? 62 : 50;
    });
  const target = scene(0);
  const named = { object: 'box', part: null, material: 'matt', steps: null } as const;
  const shapes = {
    ...{ width: WIDTH, height: HEIGHT, lights: 1 },
    shapeOf: Uint8Array.from(plane((x, y) => (inBox(x, y, 0.15, 0.2, 0.4, 0.75) ? 1 : 0)).data),
    shapes: [{ name: 'box', ...named }],
  };
  const laid = layPainting(paintingReference(cv, { lightness: target, target, shapes }), scene(-0.05), 'painting');
  if ('misfit' in laid) throw new Error(laid.misfit.say);
  const [box, thing, ...others] = laid.features.map(({ told }) => told);
  expect([box?.name, thing?.name, others]).toEqual(['box', null, []]);
  expect(Math.abs(box?.dx ?? 1)).toBeLessThan(0.004);
  expect(Math.abs((thing?.dx ?? 0) + 0.05)).toBeLessThan(0.004);
  expect(thing?.width).toBeCloseTo(1, 1);
});

test('a cloud on a wall stands nowhere', async () => {
  const { cv } = await loadOpenCv();
  const scene = (moved: number) =>
    plane((x, y) => still(x, y) + 2.5 * Math.exp(-(((x - 0.55 - moved) ** 2 + (y - 0.15) ** 2) / 0.004)));
  const target = scene(0);
  const laid = layPainting(paintingReference(cv, { lightness: target, target, shapes: null }), scene(0.03), 'painting');
  if ('misfit' in laid) throw new Error(laid.misfit.say);
  expect(laid.astray).toEqual([]);
});
