/** What is told to be off where shapes have names, on planes that are known. */
import { loadOpenCv } from '@/workers/decoding/opencv';
import type { Plane } from '../raster/between';
import { layPainting } from './lay-painting';
import { readShapes } from './shapes/named-shapes';
import { partsOff } from './parts-off';
import { paintingReference } from './reference';
import { onCurve } from './values/value-curve';

const [WIDTH, HEIGHT] = [480, 400];
const STEP = 9.5;
const plane = (of: (x: number, y: number) => number): Plane => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) =>
    of((i % WIDTH) / WIDTH, Math.floor(i / WIDTH) / HEIGHT),
  ),
});
const NAMES = ['jug > light', 'jug > shadow', 'jug > rim', 'cloth', 'wall'] as const;
type Name = (typeof NAMES)[number];
const VALUE: Record<Name, number> = {
  'jug > light': 80,
  'jug > shadow': 35,
  'jug > rim': 58,
  cloth: 66,
  wall: 48,
};
const nameAt = (x: number, y: number): Name => {
  if (x > 0.3 && x < 0.65 && y > 0.25 && y < 0.8) {
    // So narrow that a brush hardly fits in.
    if (y < 0.264) return 'jug > rim';
    return x < 0.5 ? 'jug > light' : 'jug > shadow';
  }
  return y > 0.7 ? 'cloth' : 'wall';
};
/** A pattern in wall and cloth: what the whole is laid on by. */
const pattern = (x: number, y: number) => {
  const tile = Math.floor(9 * x) * 7 + Math.floor(8 * y);
  return tile % 3 === 0 && 9 * x - Math.floor(9 * x) > 0.3 && 8 * y - Math.floor(8 * y) > 0.4 ? 22 : 0;
};
const valueAt = (x: number, y: number) => {
  const name = nameAt(x, y);
  return VALUE[name] + (name === 'wall' || name === 'cloth' ? pattern(x, y) : 0);
};
const seen = plane(valueAt);

async function told(off: Partial<Record<Name, number>>) {
  const { cv } = await loadOpenCv();
  const reference = paintingReference(cv, {
    lightness: seen,
    target: seen,
    shapes: {
      width: WIDTH,
      height: HEIGHT,
      shapeOf: Uint8Array.from(plane((x, y) => NAMES.indexOf(nameAt(x, y)) + 1).data),
      shapes: NAMES.map((name) => ({
        name,
        object: name.split(' > ')[0] ?? name,
        part: null,
        material: 'matt',
        steps: null,
      })),
      lights: 1,
    },
  });
  const painted = plane((x, y) => valueAt(x, y) + (off[nameAt(x, y)] ?? 0));
  const laid = layPainting(reference, painted, 'painting');
  if ('misfit' in laid) throw new Error(laid.misfit.say);
  const curve = (t: number) => onCurve(laid.curve, t);
  const shapes = readShapes(
    reference.named,
    reference.coarse,
    laid.coarse,
    { onCurve: curve, left: laid.left },
    () => null,
  );
  return partsOff(reference, laid, shapes, { step: STEP, toleranceSteps: 0.5 });
}

test('nothing is told of a faithful painting', async () => {
  expect(await told({})).toEqual([]);
});

test('a shape that is too thin to hold a part is told by its name', async () => {
  const parts = await told({ 'jug > rim': 18 });
  expect(parts.map((p) => p.shape)).toEqual(['jug > rim']);
  expect(parts[0]?.residual).toBeGreaterThan(10);
  expect(parts[0]?.outline.length).toBeGreaterThan(0);
});

test('neighbours that are off alike are told each by its own name, within its own box', async () => {
  const parts = await told({ 'jug > shadow': 12, 'jug > rim': 12 });
  expect(parts.map((p) => p.shape).sort()).toEqual(['jug > rim', 'jug > shadow']);
  const shadow = parts.find((p) => p.shape === 'jug > shadow');
  expect(shadow?.box.y).toBeGreaterThan(0.2);
  expect((shadow?.box.y ?? 1) + (shadow?.box.height ?? 1)).toBeLessThan(0.85);
  expect(shadow?.residual).toBeCloseTo(12, 0);
});
