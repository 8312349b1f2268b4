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
