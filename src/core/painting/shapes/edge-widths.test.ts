/** Edges of known softness, with the texture that a brush leaves. */
import { smoothNoise } from '@/devices/random';
import { edgeStretches, softnessOf } from './edge-widths';

const [WIDTH, HEIGHT, AT] = [640, 480, 0.5];

/** Of a standard normal distribution, to a few thousandths. */
const summed = (z: number) => 1 / (1 + Math.exp(-1.702 * z));

/** Light to the left and dark to the right of a wavering upright, softened from 10 to 90 percent over so much of the width. */
const plane = (wide: number, contrast: number, texture: number) => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
    const [x, y] = [((i % WIDTH) + 0.5) / WIDTH, Math.floor(i / WIDTH) / WIDTH];
    const edge = AT + 0.003 * smoothNoise(0, y * 20, 5);
    const brush = texture * smoothNoise(x * 200, y * 40, 9);
    return 70 - contrast * summed((x - edge) / (wide / 2.563)) + brush;
  }),
});
const sharp = (own: ReturnType<typeof plane>) => ({ plane: own, blur: 0 });
const grid = {
  width: 240,
  height: 180,
  numbers: Uint8Array.from({ length: 240 * 180 }, (_, i) => ((i % 240) + 0.5 < 120 ? 1 : 2)),
};

test.each([0.012, 0.03, 0.06, 0.1, 0.16])('an edge of %f widths is told to a quarter of itself', (wide) => {
  const stretches = edgeStretches(grid, sharp(plane(wide, 30, 0)), sharp(plane(wide, 30, 0.7)));
  for (const width of [softnessOf(stretches, 1), softnessOf(stretches, 2)]) {
    expect(width).toBeGreaterThan(0.75 * wide);
    expect(width).toBeLessThan(1.25 * wide);
  }
});

test('what reading has softened is taken off again', () => {
  const read = Math.hypot(0.012, 2.563 * 0.004);
  const soft = plane(read, 30, 0);
  const width = softnessOf(edgeStretches(grid, sharp(soft), { plane: soft, blur: 0.004 }), 1);
  expect(Math.abs((width ?? 0) - 0.012)).toBeLessThan(0.002);
});

test('where both sides are alike there is no edge', () => {
  expect(softnessOf(edgeStretches(grid, sharp(plane(0.02, 30, 0)), sharp(plane(0.02, 2, 0.3))), 1)).toBeNull();
});
