/** Few greys of a plane: as many as there are values that lie apart, the same each time. */
import { fewGreys } from './few-greys';

const [WIDTH, HEIGHT] = [120, 90];
const plane = {
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from(
    { length: WIDTH * HEIGHT },
    (_, i) => (i % WIDTH < 60 ? 30 : 80) + (i % 2 === 0 ? 1.5 : -1.5),
  ),
};

test('two masses stay two, whatever the brush left in them, and lighter ones are lighter', () => {
  const codes = fewGreys(plane);
  const at = (x: number) => codes[40 * WIDTH + x] as number;
  expect(new Set([5, 20, 40].map(at)).size).toBe(1);
  expect(new Set([80, 100, 115].map(at)).size).toBe(1);
  expect(at(100)).toBeGreaterThan(at(20));
  expect(fewGreys(plane)).toEqual(codes);
});

test('what is one grey is one grey', () => {
  const flat = { ...plane, data: new Float32Array(WIDTH * HEIGHT).fill(50) };
  expect(new Set(fewGreys(flat)).size).toBe(1);
});
