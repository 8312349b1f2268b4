/** The stand-ins: the same seed is the same world, and what they say they did is what they did. */
import { linearRgbToLab } from '@/core/colour/lab';
import { jpegOf, paintedSheet } from '@bench/stage';
import sharp from 'sharp';
import { CAMERA_CONDITIONS } from './condition-names';
import { shotFor } from './camera-conditions';
import { irradiance, sideLight } from './light';
import { PAINT_CONDITIONS, planFor } from './paint-conditions';
import { chance, smoothNoise } from './random';
import { readLightness } from './reader';
import { readSurface, writeSurface } from './reflectance';

const sheet = (seed: number, faults: Parameters<typeof paintedSheet>[2]['faults'] = []) =>
  paintedSheet(5, 'a4', { lightness: [95, 78, 60, 42, 24], faults }, seed);

test('chance repeats itself from its seed, apart for apart names, and is even', () => {
  const draw = (seed: number, name: string) =>
    Array.from(
      { length: 5 },
      (
        (c) => () =>
          c.next()
      )(chance(seed).fork(name)),
    );
  expect(draw(3, 'a')).toEqual(draw(3, 'a'));
  expect(draw(3, 'a')).not.toEqual(draw(3, 'b'));
  expect(draw(3, 'a')).not.toEqual(draw(4, 'a'));
  const own = chance(9);
  const many = Array.from({ length: 20_000 }, () => own.gauss());
  const mean = many.reduce((a, b) => a + b, 0) / many.length;
  expect(Math.abs(mean)).toBeLessThan(0.03);
  expect(Math.sqrt(many.reduce((s, v) => s + (v - mean) ** 2, 0) / many.length)).toBeCloseTo(1, 1);
  expect(Math.abs(smoothNoise(1.2, 3.4, 5) - smoothNoise(1.2001, 3.4, 5))).toBeLessThan(0.01);
});

test('the painter’s truth is what an instrument reads in its cells', async () => {
  const { surface, layout, truth } = await sheet(11);
  readLightness(surface, layout.cells, 1).forEach((l, i) =>
    expect(Math.abs(l - (truth.steps[i]?.lightness ?? 0))).toBeLessThan(1.2),
  );
});

test('a share of bare ground is about the share asked for, and only in its step', async () => {
  const { truth } = await sheet(12, [{ kind: 'bare', step: 3, share: 0.1 }]);
  truth.steps.forEach((s) => expect(s.bareGround).toBeCloseTo(s.index === 3 ? 0.1 : 0, 1));
});

test('the nominal printer prints paper and black as the card has them, an office printer as it likes', async () => {
  const paperOf = async (printer: 'nominal' | 'office', seed: number) => {
    const { surface } = await paintedSheet(5, 'a4', { lightness: [95, 78, 60, 42, 24], faults: [] }, seed, printer);
    const { data, width } = surface.reflectance;
    const at = (Math.round((250 / 25.4) * surface.dpi) * width + Math.round((105 / 25.4) * surface.dpi)) * 3;
    return linearRgbToLab([data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0])[0];
  };
  expect(await paperOf('nominal', 5)).toBeCloseTo(95, 0);
  const [a, b] = [await paperOf('office', 5), await paperOf('office', 6)];
  expect(Math.abs(a - b)).toBeGreaterThan(0.1);
});

test('a surface comes back from its file', async () => {
  const { surface } = await sheet(13);
  const back = await readSurface(await writeSurface(surface));
  expect([back.dpi, back.reflectance.width, back.reflectance.height]).toEqual([
    surface.dpi,
    surface.reflectance.width,
    surface.reflectance.height,
  ]);
  let worst = 0;
  for (let i = 0; i < back.reflectance.data.length; i += 997)
    worst = Math.max(worst, Math.abs((back.reflectance.data[i] ?? 0) - (surface.reflectance.data[i] ?? 0)));
  expect(worst).toBeLessThan(0.002);
});

test('a photograph repeats itself from its seed, carries its place and turn, and is as large as a phone’s', async () => {
  const painted = await sheet(14);
  const [a, b] = [
    await jpegOf(painted, 'window', 14, 1, { orientation: 6, location: true }),
    await jpegOf(painted, 'window', 14, 1, { orientation: 6, location: true }),
  ];
  expect(a.equals(b)).toBe(true);
  const meta = await sharp(a).metadata();
  expect(meta.orientation).toBe(6);
  expect(meta.exif?.includes('Practice camera')).toBe(true);
  const { width, height } = shotFor('studio', painted.layout, 1, 12);
  expect((width * height) / 1e6).toBeCloseTo(12, 0);
});

test('light falls off by the ratio asked for', () => {
  const place = { widthMm: 210, heightMm: 297 };
  for (const ratio of [1.3, 2, 5]) {
    const light = sideLight(chance(3), place, ratio, [1, 1, 1], false);
    const levels = [0, 105, 210].flatMap((x) => [0, 148, 297].map((y) => irradiance(light, x, y)[1]));
    expect(Math.max(...levels) / Math.min(...levels)).toBeCloseTo(ratio, 0);
  }
});

test('every condition by name makes a plan or a shot', () => {
  for (const paint of PAINT_CONDITIONS) expect(planFor(paint, 9, 1).lightness).toHaveLength(9);
  for (const camera of CAMERA_CONDITIONS)
    expect(shotFor(camera, { widthMm: 210, heightMm: 297, cells: [] }, 1).width).toBeGreaterThan(1000);
});
