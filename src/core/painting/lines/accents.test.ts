/** Thin lines, drawn by the simulated student's own hand, looked for in planes; on photographs the bench does it. */
import { type Accent, bentLine, withAccents } from '@/devices/accents';
import { chance, smoothNoise } from '@/devices/random';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { accentsOf, softened } from './accents';

const [WIDTH, HEIGHT] = [600, 450];
const { cv } = await loadOpenCv();

/** A wall over a table, a little uneven. */
const ground = Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
  const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
  return (y < 260 ? 72 : 55) + 1.2 * smoothNoise(x / 15, y / 15, 7);
});
const dark: Accent = { line: bentLine(chance(3).fork('dark'), -0.2, -0.2, 0.15), wide: 0.008, by: -28 };
const light: Accent = { line: bentLine(chance(5).fork('light'), 0.15, 0.15, 0.15), wide: 0.008, by: 25 };
const plane = (...accents: Accent[]) => ({
  width: WIDTH,
  height: HEIGHT,
  data: withAccents(ground, WIDTH, HEIGHT, accents),
});
type Own = ReturnType<typeof plane>;
/** What was painted is smoothed when it is read, as what was wanted is. */
const told = (wanted: Own, painted: Own) =>
  accentsOf(softened(cv, wanted), softened(cv, painted), () => ({ wanted, painted }));
const kinds = (wanted: Accent[], painted: Accent[]) =>
  told(plane(...wanted), plane(...painted)).map((a) => [a.kind, a.light]);

test('lines as they should be, a little off their place, are nothing to tell', () => {
  const moved = { ...dark, line: dark.line.map(([x, y]) => [x + 0.003, y + 0.002] as const) };
  expect(kinds([dark, light], [moved, { ...light, wide: 0.009 }])).toEqual([]);
});

test.each([
  ['missing', [light]],
  ['weak', [{ ...dark, by: -11 }, light]],
  ['thin', [{ ...dark, wide: 0.0035 }, light]],
  ['wide', [{ ...dark, wide: 0.016 }, light]],
] as const)('one that is %s is told as that, and the other is not', (kind, painted) => {
  expect(kinds([dark, light], [...painted])).toEqual([[kind, false]]);
});

test('one that only the painting has is told with where it is', () => {
  const [extra] = told(plane(dark), plane(dark, light));
  expect([extra?.kind, extra?.light]).toEqual(['extra', true]);
  const middle = (extra?.box.x ?? 0) + (extra?.box.width ?? 0) / 2;
  expect(Math.abs(middle - 0.5 - (light.line[4]?.[0] ?? 0))).toBeLessThan(0.05);
});

test('the tip of a shape, and the edge between two shapes, are no lines', () => {
  const tip = plane();
  for (let y = 100; y < 240; y++) for (let x = 300; x < 300 + (y - 100) / 1.5; x++) tip.data[y * WIDTH + x] = 30;
  expect(told(tip, plane())).toEqual([]);
});

test('one that runs through faint stripes is a line still', () => {
  const darker = (own: Own, [x0, y0, x1, y1]: readonly number[], by: number) => {
    for (let y = y0 as number; y < (y1 as number); y++)
      for (let i = y * WIDTH + (x0 as number); i < y * WIDTH + (x1 as number); i++)
        own.data[i] = (own.data[i] as number) - by;
  };
  const striped = () => {
    const own = plane();
    for (let k = 0; k < 5; k++) darker(own, [275, 100 + 14 * k, 325, 111 + 14 * k], 7);
    return own;
  };
  const wanted = striped();
  darker(wanted, [298, 100, 302, 166], 45);
  expect(told(wanted, striped()).map((a) => a.kind)).toEqual(['missing']);
});
