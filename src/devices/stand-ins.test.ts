/** The stand-ins for boards, bands and the whims of cameras: what they say they did is what they did. */
import { rectangle } from '@/core/bands/shapes';
import { linearRgbToLab } from '@/core/colour/lab';
import { raster } from '@/core/raster/raster';
import { paintAreas } from './area-painter';
import { type CutPiece, layBoard } from './board';
import { expose } from './camera';
import { type CameraCondition } from './condition-names';
import { type Shot } from './shot';
import { shotFor } from './camera-conditions';
import { evenOut, senseWith } from './camera-toning';
import { readColours } from './reader';
import type { Surface } from './reflectance';
import { waves } from './waves';

const flat = (widthMm: number, heightMm: number, value: number, dpi = 50.8): Surface => {
  const [w, h] = [Math.round((widthMm * dpi) / 25.4), Math.round((heightMm * dpi) / 25.4)];
  return { reflectance: raster('linear', w, h, 3, new Float32Array(w * h * 3).fill(value)), dpi };
};
const lightnessAt = ({ reflectance: { data, width }, dpi }: Surface, xMm: number, yMm: number): number => {
  const p = (Math.floor((yMm * dpi) / 25.4) * width + Math.floor((xMm * dpi) / 25.4)) * 3;
  return linearRgbToLab([data[p] as number, data[p + 1] as number, data[p + 2] as number])[0];
};
const rings = (x0: number, y0: number, x1: number, y1: number) => rectangle(x0, y0, x1, y1).flat();

test('areas are filled with their tone, later ones over earlier ones, holes left open', () => {
  const paper = flat(100, 80, 0.9);
  const hole = [...rings(10, 10, 90, 70), ...rings(40, 30, 60, 50)];
  const painted = paintAreas(
    paper,
    [
      { rings: hole, lightness: 50, waver: 0, streaks: 0 },
      { rings: rings(70, 20, 80, 60), lightness: 20, waver: 0, streaks: 0 },
    ],
    5,
  );
  expect(Math.abs(lightnessAt(painted, 25, 40) - 50)).toBeLessThan(2);
  expect(Math.abs(lightnessAt(painted, 75, 40) - 20)).toBeLessThan(2);
  expect(lightnessAt(painted, 50, 40)).toBeGreaterThan(90);
  expect(lightnessAt(painted, 5, 5)).toBeGreaterThan(90);
  // The print itself is left as it was.
  expect(lightnessAt(paper, 25, 40)).toBeGreaterThan(90);
});

test('a wavering hand leaves the outline by no more than it wavers, and strokes spread the tone', () => {
  const edge = (waver: number) => {
    const painted = paintAreas(
      flat(100, 80, 0.9),
      [{ rings: rings(30, 10, 90, 70), lightness: 30, waver, streaks: 0 }],
      7,
    );
    return Array.from({ length: 50 }, (_, k) => {
      let x = 20;
      while (lightnessAt(painted, x, 12 + k) > 60) x += 0.25;
      return x;
    });
  };
  expect(Math.max(...edge(0)) - Math.min(...edge(0))).toBeLessThanOrEqual(0.5);
  const wavering = edge(2);
  expect(Math.max(...wavering) - Math.min(...wavering)).toBeGreaterThan(1);
  for (const x of wavering) expect(Math.abs(x - 30)).toBeLessThan(2.8);
  const spread = (streaks: number) => {
    const painted = paintAreas(
      flat(60, 40, 0.9),
      [{ rings: rings(5, 5, 55, 35), lightness: 50, waver: 0, streaks }],
      9,
    );
    const values = Array.from({ length: 200 }, (_, k) =>
      lightnessAt(painted, 8 + (k % 40), 8 + Math.floor(k / 40) * 5),
    );
    return Math.max(...values) - Math.min(...values);
  };
  expect(spread(8)).toBeGreaterThan(3 * spread(0));
});

const PIECES = (['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const).map((corner, i): CutPiece => {
  const [right, low] = [corner.endsWith('right'), corner.startsWith('bottom')];
  const xMm = (i % 2) * 60;
  const yMm = Math.floor(i / 2) * 60;
  return {
    corner,
    xMm,
    yMm,
    widthMm: 50,
    heightMm: 50,
    innerCornerMm: { x: right ? xMm : xMm + 50, y: low ? yMm : yMm + 50 },
  };
});
const plan = { widthMm: 200, heightMm: 150, lightness: [90, 60, 30], without: null, careless: 0 };

test('a board lies in the middle of its pieces, its strip unequal in width and as light as planned', () => {
  const scene = layBoard(flat(130, 130, 0.8), PIECES, plan, 3);
  const [x, y] = scene.at;
  expect(scene.steps.map((s) => s.lightness)).toEqual([90, 60, 30]);
  expect(scene.steps[0]?.fromMm).toBe(0);
  expect(scene.steps.at(-1)?.toMm).toBeCloseTo(200, 6);
  const widths = scene.steps.map((s) => s.toMm - s.fromMm);
  expect(Math.max(...widths) / Math.min(...widths)).toBeGreaterThan(1.01);
  for (const s of scene.steps)
    expect(Math.abs(lightnessAt(scene.surface, x + (s.fromMm + s.toMm) / 2, y + 75) - s.lightness)).toBeLessThan(2);
  // Just off each corner of the board lies its piece.
  for (const [px, py] of [
    [x - 8, y - 8],
    [x + 208, y - 8],
    [x + 208, y + 158],
    [x - 8, y + 158],
  ] as const)
    expect(lightnessAt(scene.surface, px, py)).toBeGreaterThan(85);
  expect(lightnessAt(scene.surface, x + 100, y - 8)).toBeLessThan(60);
});

test('a piece that is left out leaves the table', () => {
  const scene = layBoard(flat(130, 130, 0.8), PIECES, { ...plan, without: 'top-right' }, 3);
  const [x, y] = scene.at;
  expect(lightnessAt(scene.surface, x + 208, y - 8)).toBeLessThan(60);
  expect(lightnessAt(scene.surface, x - 8, y - 8)).toBeGreaterThan(85);
});

test('a sensor of other primaries leaves greys alone and moves colours', () => {
  const planes = [0.2, 0.5, 0.5].map((v, c) => Float32Array.from([0.4, c === 0 ? 0.6 : v]));
  const shot = shotFor('other-primaries', { widthMm: 200, heightMm: 280, cells: [] }, 4);
  for (const row of shot.sensor) expect(row[0] + row[1] + row[2]).toBeCloseTo(1, 9);
  senseWith(planes, shot.sensor);
  for (const plane of planes) expect(plane[0]).toBeCloseTo(0.4, 5);
  expect(planes[0]?.[1]).not.toBeCloseTo(0.6, 2);
});

test('evening out lifts large dark parts and sinks large light ones, and does nothing when it is off', () => {
  const [w, h] = [640, 320];
  const half = () => [0, 1, 2].map(() => Float32Array.from({ length: w * h }, (_, i) => (i % w < w / 2 ? 0.1 : 0.8)));
  const at = (planes: Float32Array[], x: number) => planes[1]?.[Math.floor(h / 2) * w + x] ?? 0;
  const [plain, toned] = [half(), half()];
  evenOut(plain, w, h, 0);
  evenOut(toned, w, h, 0.4);
  expect([at(plain, 80), at(plain, 560)]).toEqual([Math.fround(0.1), Math.fround(0.8)]);
  expect(at(toned, 80)).toBeGreaterThan(0.13);
  expect(at(toned, 560)).toBeLessThan(0.7);
});

test('waves slope as their height rises', () => {
  const wave = waves({ heightMm: 3, lengthMm: 100, phase: 0.7, light: [1, 0] });
  for (const [x, y] of [
    [10, 20],
    [77, 41],
    [150, 260],
  ] as const) {
    const d = 1e-4;
    expect(wave(x, y).slopeX).toBeCloseTo((wave(x + d, y).height - wave(x - d, y).height) / (2 * d), 4);
    expect(wave(x, y).slopeY).toBeCloseTo((wave(x, y + d).height - wave(x, y - d).height) / (2 * d), 4);
  }
});

test('the instrument reads colours to a fifth of a unit, and scatters as it says', () => {
  const surface = flat(100, 100, 0.3);
  const patch = { xMm: 10, yMm: 10, widthMm: 20, heightMm: 20 };
  const truth = linearRgbToLab([0.3, 0.3, 0.3])[0];
  const read = readColours(
    surface,
    Array.from({ length: 200 }, () => patch),
    8,
  ).map((lab) => lab[0]);
  const mean = read.reduce((a, b) => a + b, 0) / read.length;
  expect(Math.abs(mean - truth)).toBeLessThan(0.05);
  expect(Math.sqrt(read.reduce((s, l) => s + (l - mean) ** 2, 0) / read.length)).toBeCloseTo(0.15, 1);
  expect(readColours(surface, [patch], 8)).toEqual(readColours(surface, [patch], 8));
});

/** Mean green code in the middle of a part of the frame, as shares of it. */
function seen(shot: Shot, fx: number, fy: number): number {
  const stage = { widthMm: 210, heightMm: 297 };
  const codes = expose(flat(stage.widthMm, stage.heightMm, 0.7), stage, shot, 6);
  let sum = 0;
  for (let dy = -4; dy < 4; dy++)
    for (let dx = -4; dx < 4; dx++)
      sum += codes[
        ((Math.round(fy * shot.height) + dy) * shot.width + Math.round(fx * shot.width) + dx) * 3 + 1
      ] as number;
  return sum / 64;
}
const shot = (condition: CameraCondition, more: Partial<Shot> = {}): Shot => {
  const own = shotFor(condition, { widthMm: 210, heightMm: 297, cells: [] }, 12, 0.5);
  return {
    ...own,
    pose: { ...own.pose, tiltDegrees: 0, rollDegrees: 0, offset: [0, 0], lens: [0, 0] },
    noise: 0,
    ...more,
  };
};

test('a shadow takes light from one side of its edge only', () => {
  const plain = shot('even-light');
  const shaded = { ...plain, shadow: { atMm: [105, 148] as const, angle: 0, softMm: 4, share: 0.5 } };
  expect(seen(shaded, 0.3, 0.5) - seen(plain, 0.3, 0.5)).toBeGreaterThan(-3);
  expect(seen(plain, 0.7, 0.5) - seen(shaded, 0.7, 0.5)).toBeGreaterThan(30);
});

test('what stands off the table hides what lies behind it, away from the lens', () => {
  const stage = { widthMm: 210, heightMm: 297 };
  const two = flat(stage.widthMm, stage.heightMm, 0.1);
  const { data, width, height } = two.reflectance;
  // The canvas is light and the table dark: a taller canvas covers more of the picture.
  const light = Float32Array.from(data);
  const perMm = two.dpi / 25.4;
  for (let y = Math.round(50 * perMm); y < Math.round(250 * perMm); y++)
    for (let x = Math.round(40 * perMm); x < Math.round(170 * perMm); x++)
      light.fill(0.8, (y * width + x) * 3, (y * width + x) * 3 + 3);
  const surface = { reflectance: raster('linear', width, height, 3, light), dpi: two.dpi };
  const plain = shot('even-light');
  const covered = (heightMm: number) => {
    const codes = expose(
      surface,
      stage,
      { ...plain, raised: heightMm > 0 ? { from: [40, 50], to: [170, 250], heightMm } : null },
      6,
    );
    return codes.filter((v, i) => i % 3 === 1 && v > 150).length;
  };
  const [low, high] = [covered(0), covered(30)];
  // A face nearer to the lens by h of d is seen d / (d - h) times as large each way.
  expect(high / low).toBeGreaterThan(1.05);
  expect(high / low).toBeLessThan(1.4);
});

test.each(['coloured-lamp', 'warm-bulb', 'two-lamps'] as const)('%s colours the light', (condition) => {
  const stage = { widthMm: 210, heightMm: 297 };
  const codes = expose(flat(stage.widthMm, stage.heightMm, 0.7), stage, shot(condition), 6);
  const middle =
    (Math.floor(shot(condition).height / 2) * shot(condition).width + Math.floor(shot(condition).width / 2)) * 3;
  const [r = 0, g = 0, b = 0] = codes.subarray(middle, middle + 3);
  const apart = Math.max(r, g, b) - Math.min(r, g, b);
  expect(apart).toBeGreaterThan(condition === 'coloured-lamp' ? 80 : 3);
});
