/** What is too thin to be a shape, what a calm hand would have made of outlines, and a frame that was painted round it all. */
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { darkAllRound, paintedFrame } from '../notan/painted-frame';
import { paintedTones } from '../notan/painted-tones';
import { gaussianBlur } from '../raster/blur';
import { raster } from '../raster/raster';
import { shapeFacts } from './shape-facts';
import { outlinesByLight, smoothedTones, withoutThin } from './tidy';

const [W, H] = [200, 160];
const grid = (at: (x: number, y: number) => number) =>
  Uint8Array.from({ length: W * H }, (_, i) => at(i % W, Math.floor(i / W)));

test('a thin strip between two tones goes to them, half and half', () => {
  const clean = withoutThin(
    grid((x) => (x < 98 ? 1 : x < 102 ? 2 : 3)),
    W,
    H,
    4,
  );
  expect([...new Set(clean)].sort()).toEqual([1, 3]);
  expect(clean.filter((t) => t === 1).length / clean.length).toBeCloseTo(0.5, 2);
});

test('what is wide enough stays as it was', () => {
  const wide = grid((x, y) => (x > 60 && x < 100 && y > 40 && y < 90 ? 2 : 1));
  const clean = withoutThin(wide, W, H, 4);
  // Only its corners are rounded.
  expect(clean.reduce((n, t, i) => n + (t === wide[i] ? 0 : 1), 0)).toBeLessThan(30);
});

test('an outline lies where as much light as dark is seen, however soft it is', () => {
  // Dark stripes of a third of the picture, out of focus: by lightness alone the light eats into them from both sides.
  const wanted = grid((x) => (x % 50 < 17 ? 2 : 1));
  for (const [light, dark, sigma] of [
    [94, 24, 2],
    [94, 24, 3],
    [80, 40, 3],
  ] as const) {
    const y = Float32Array.from(wanted, (t) => lightnessToLuminance(t === 1 ? light : dark));
    const soft = raster(
      'lightness',
      W,
      H,
      1,
      gaussianBlur(y, W, H, sigma).map((v) => luminanceToLightness(v)),
    );
    const painted = paintedTones(soft, 2);
    const off = (toneOf: Uint8Array) => toneOf.reduce((n, t, i) => n + (t === wanted[i] ? 0 : 1), 0) / H;
    expect(
      off(
        outlinesByLight(
          painted.toneOf,
          soft,
          painted.tones.map((t) => t.lightness),
          4,
        ),
      ),
    ).toBeLessThanOrEqual(1);
    if (light - dark > 60) expect(off(painted.toneOf)).toBeGreaterThan(6);
  }
});

test('where three tones meet outlines stay as they are, and flat tones too', () => {
  const three = grid((x, y) => (y < 80 ? 1 : x < 100 ? 2 : 3));
  const flat = raster(
    'lightness',
    W,
    H,
    1,
    Float32Array.from(three, (t) => [94, 60, 24][t - 1] as number),
  );
  expect(outlinesByLight(three, flat, [94, 60, 24], 4)).toEqual(three);
  const between = raster('lightness', W, H, 1, new Float32Array(W * H).fill(70));
  const moved = outlinesByLight(three, between, [94, 60, 24], 4);
  for (const [x, y] of [
    [100, 80],
    [97, 78],
    [103, 83],
  ] as const)
    expect(moved[y * W + x]).toBe(three[y * W + x]);
});

test('smoothing takes a ragged edge straight, and keeps every tone', () => {
  const ragged = grid((x, y) => (x < 100 + 3 * Math.sin(y * 1.9) ? 1 : 2));
  const calm = smoothedTones(ragged, W, H, 2, 4);
  const edge = Array.from({ length: H - 40 }, (_, k) => calm.subarray((k + 20) * W, (k + 21) * W).indexOf(2));
  expect(Math.max(...edge) - Math.min(...edge)).toBeLessThanOrEqual(2);
});

test('shapes are counted by size; slivers and ragged edges are told', () => {
  const calm = shapeFacts(
    grid((x, y) => (Math.hypot(x - 60, y - 60) < 40 ? 1 : Math.hypot(x - 150, y - 110) < 18 ? 1 : 2)),
    W,
    H,
    2,
  );
  expect(calm).toMatchObject({ large: 2, middle: 1, small: 0, slivers: 0 });
  expect(calm.largest).toBeGreaterThan(0.7);
  const nervous = shapeFacts(
    grid((x, y) => (x > 120 && x < 180 && y % 40 < 2 ? 1 : x < 100 + 4 * Math.sin(y * 1.3) ? 1 : 2)),
    W,
    H,
    2,
  );
  expect(nervous.slivers).toBeGreaterThanOrEqual(3);
  expect(nervous.ragged).toBeGreaterThan(calm.ragged + 0.2);
});

test('a dark frame on all four sides is found with its lightness; a dark side of the picture is none', () => {
  const plane = (at: (x: number, y: number) => number) => raster('lightness', W, H, 1, Float32Array.from(grid(at)));
  const framed = paintedFrame(plane((x, y) => (Math.min(x, y, W - 1 - x, H - 1 - y) < 8 ? 24 : x < 90 ? 90 : 26)));
  expect(framed?.lightness).toBe(24);
  expect(framed?.inside.x0).toBeGreaterThanOrEqual(8);
  expect(framed?.inside.x0).toBeLessThan(11);
  expect(paintedFrame(plane((x) => (x < 90 ? 90 : 26)))).toBeNull();
  expect(paintedFrame(plane(() => 25))).toBeNull();
});

test('a reference that is dark all round is told: no frame can be told from it', () => {
  const plane = (at: (x: number, y: number) => number) => ({ toneOf: grid(at), width: W, height: H });
  const moon = (x: number, y: number) => Math.hypot(x - 100, y - 80) < 60;
  expect(darkAllRound(plane((x, y) => (moon(x, y) ? 1 : 2)))).toBe(true);
  expect(darkAllRound(plane((x, y) => (moon(x, y) ? 2 : 1)))).toBe(false);
  // One light side, and what is dark along all four is a frame.
  expect(darkAllRound(plane((x, y) => (moon(x, y) || y < 20 ? 1 : 2)))).toBe(false);
});
