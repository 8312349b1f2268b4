/** Hand-drawn bands on made-up frames: the photographs of them are read in the benches. */
import { raysOf } from '../bands/rays';
import { areaOf } from '../bands/shapes';
import type { Patchwork } from '../capture/patchwork';
import { lightnessToLuminance } from '../colour/lab';
import { boxMm } from '../geometry/box';
import { bandOfPlaces, findPlateaus, type HandDrawn, lightestNear, shapeOf, softLightness } from './plateaus';

const FRAME = boxMm(10, 20, 120, 100);
const STEP = 0.5;
const [COLUMNS, ROWS] = [FRAME.widthMm / STEP, FRAME.heightMm / STEP];

/** A frame in which every place has the lightness that `at` gives it, mm from the frame's corner. */
function painted(at: (x: number, y: number) => number): Patchwork {
  const y = Float32Array.from({ length: COLUMNS * ROWS }, (_, i) =>
    lightnessToLuminance(at(((i % COLUMNS) + 0.5) * STEP, (Math.floor(i / COLUMNS) + 0.5) * STEP)),
  );
  const rgb = new Float32Array(3 * y.length);
  y.forEach((v, i) => rgb.fill(v, 3 * i, 3 * i + 3));
  return {
    samples: {
      columns: COLUMNS,
      rows: ROWS,
      stepXMm: STEP,
      stepYMm: STEP,
      xMm: FRAME.xMm,
      yMm: FRAME.yMm,
      codes: new Float32Array(0),
      clipped: new Uint8Array(y.length),
    },
    rgb,
    y,
  };
}

const LAMP = [50, 45] as const;
/** A ring's edge at a place round the lamp: it wavers by a tenth. */
const reach = (mm: number, x: number, y: number) => mm * (1 + 0.1 * Math.sin(3 * Math.atan2(y - LAMP[1], x - LAMP[0])));
const rings = (ends: readonly number[], levels: readonly number[]) => (x: number, y: number) => {
  const from = Math.hypot(x - LAMP[0], y - LAMP[1]);
  const k = ends.findIndex((end) => from < reach(end, x, y));
  return levels[k < 0 ? ends.length : k] ?? 0;
};

const wanted = (targets: readonly number[], more: Partial<HandDrawn> = {}): HandDrawn => ({
  targets,
  leastMm: 4,
  hidden: new Uint8Array(COLUMNS * ROWS),
  frontBelow: -Infinity,
  ...more,
});

function found(p: Patchwork, targets: readonly number[], more?: Partial<HandDrawn>) {
  const lightness = softLightness(p);
  const rays = raysOf('glow', FRAME, lightestNear(p, lightness, FRAME, [46, 50]));
  const plateaus = findPlateaus(p, lightness, FRAME, rays, wanted(targets, more));
  return { rays, plateaus, band: bandOfPlaces(p, FRAME, rays, plateaus) };
}

/** Share of the frame in which a place has the band that it was painted as. */
function agreement(band: Uint8Array, levels: readonly number[], at: (x: number, y: number) => number): number {
  let right = 0;
  band.forEach((b, i) => {
    if (levels[b - 1] === at(((i % COLUMNS) + 0.5) * STEP, (Math.floor(i / COLUMNS) + 0.5) * STEP)) right++;
  });
  return right / band.length;
}

const TARGETS = [95, 76, 57, 38, 20];

test('rings that waver are found, and are read by how light they are and not by what was wanted', () => {
  const levels = [92, 80, 50, 44, 24];
  const at = rings([12, 28, 42, 56], levels);
  const { band, plateaus } = found(painted(at), TARGETS);
  expect(plateaus.told).toBe(5);
  expect(agreement(band, levels, at)).toBeGreaterThan(0.97);
});

test('a pair that is reversed keeps its places', () => {
  const levels = [92, 58, 76, 38, 22];
  const at = rings([12, 28, 42, 56], levels);
  expect(agreement(found(painted(at), TARGETS).band, levels, at)).toBeGreaterThan(0.97);
});

test('two bands that are painted alike share their plateau, and it is told', () => {
  const at = rings([12, 28, 42, 56], [92, 76, 57, 57, 22]);
  const { band, plateaus } = found(painted(at), TARGETS);
  expect(plateaus.told).toBe(4);
  expect([1, 2, 3, 4, 5].every((b) => band.includes(b))).toBe(true);
});

test('a dark post in front of light bands is no band', () => {
  const levels = [92, 76, 57, 38, 22];
  const bands = rings([12, 28, 42, 56], levels);
  const post = (x: number, y: number) => x > 70 && x < 80 && y > 30 && y < 60;
  const { band } = found(
    painted((x, y) => (post(x, y) ? 20 : bands(x, y))),
    TARGETS,
    { frontBelow: 28 },
  );
  const beside = Uint8Array.from(band, (b, i) =>
    post(((i % COLUMNS) + 0.5) * STEP, (Math.floor(i / COLUMNS) + 0.5) * STEP) ? 0 : b,
  );
  expect(agreement(beside, levels, bands)).toBeGreaterThan(0.9);
});

test('one flat tone is told as one plateau', () => {
  expect(
    found(
      painted(() => 60),
      TARGETS,
    ).plateaus.told,
  ).toBe(1);
});

test('shapes hold as much as was painted, and together the whole frame, corners too', () => {
  const { rays, plateaus } = found(painted(rings([12, 28, 42, 56], TARGETS)), TARGETS);
  const areas = TARGETS.map((_, k) => areaOf(shapeOf(rays, plateaus, k + 1, FRAME)));
  // A circle whose edge wavers by a tenth is half a hundredth larger.
  expect((areas[0] ?? 0) / (Math.PI * 12 * 12 * 1.005)).toBeGreaterThan(0.93);
  expect((areas[0] ?? 0) / (Math.PI * 12 * 12 * 1.005)).toBeLessThan(1.07);
  expect(areas.reduce((a, b) => a + b, 0) / (FRAME.widthMm * FRAME.heightMm)).toBeCloseTo(1, 2);
});
