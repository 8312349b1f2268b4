import { rescueLayers } from '../../correction/rescue-layers';
import { corrected, type Picture } from '../../correction/correct';
import { lightnessToLuminance, luminanceToLightness } from '../../colour/lab';
import { largeShapes } from './large-shapes';
import { isHole, rescuePlans } from './plan';
import { RESCUE_GOALS } from './proposals';

const [WIDTH, HEIGHT] = [160, 120];
const WANTED = { ends: { light: 94, dark: 22 }, step: 9 };
/** A narrow painting: a wall, a table, and a jug with a plate in front of it; `grain` is its brushwork. */
function narrow(grain: number) {
  const data = Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
    const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
    const jug = Math.hypot(x - 80, y - 60) < 32;
    const plate = Math.hypot(x - 80, y - 60) < 12;
    const base = plate ? 66 : jug ? 46 : y > 80 ? 60 : 54;
    return base + grain * Math.sin(12.9898 * i) * Math.cos(4.1414 * i);
  });
  return { width: WIDTH, height: HEIGHT, data };
}
const rangeOf = (data: Float32Array) => {
  const sorted = data.toSorted();
  return (sorted[Math.floor(0.95 * sorted.length)] as number) - (sorted[Math.floor(0.05 * sorted.length)] as number);
};

test.each([0, 0.7])('a painting with grain %s is cut into the shapes that it has', (grain) => {
  const { shapes, meetings } = largeShapes(narrow(grain));
  expect(shapes.map((s) => Math.round(s.lightness)).sort()).toEqual([46, 54, 60, 66]);
  expect(shapes.reduce((s, p) => s + p.area, 0)).toBeCloseTo(1, 5);
  // The plate lies inside the jug, and meets nothing else.
  const plate = shapes.findIndex((s) => Math.round(s.lightness) === 66);
  expect(meetings.filter((pair) => pair.includes(plate))).toHaveLength(1);
});

test('a shape with a hole says which of its rings goes round that', () => {
  const jug = largeShapes(narrow(0)).shapes.find((s) => Math.round(s.lightness) === 46);
  const [outside, ...others] = (jug?.rings ?? []).toSorted((a, b) => b.length - a.length);
  expect(others.some((ring) => outside && isHole(ring, outside))).toBe(true);
});

test('a plan, carried out as layers of a correction, brings the range that it promises', () => {
  const old = narrow(1);
  const [plan] = rescuePlans(old, WANTED);
  expect(plan?.reaches).toBe(true);
  const picture: Picture = { ...old, data: new Float32Array(3 * old.data.length) };
  old.data.forEach((l, i) => picture.data.fill(lightnessToLuminance(l), 3 * i, 3 * i + 3));
  const after = corrected(picture, plan ? rescueLayers(plan) : []);
  const seen = old.data.map((_, i) => luminanceToLightness(after.data[3 * i] as number));
  const wanted = RESCUE_GOALS.range * 72;
  expect(rangeOf(old.data)).toBeLessThan(wanted - 10);
  expect(rangeOf(seen)).toBeGreaterThan(wanted - 1);
  // What no part of the plan names stays as it was.
  const moved = seen.filter((l, i) => Math.abs(l - (old.data[i] as number)) > 1).length / seen.length;
  expect(moved).toBeLessThan((plan?.area ?? 0) + 0.02);
});
