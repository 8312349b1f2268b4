/** Colours of a painting against those of its reference, on planes that are known. */
import { labToLinearRgb } from '../../colour/lab';
import { raster } from '../../raster/raster';
import { colourPass } from './colour-pass';
import { channelsOf, type ColourPlanes, labOver } from './colour-planes';
import { formShapes } from '../form/form-plane';

const [WIDTH, HEIGHT] = [120, 100];
type Lab = readonly [number, number, number];

/** Four upright bands of one colour each; the number of the band that a place is of. */
const bandOf = (i: number) => Math.floor((4 * (i % WIDTH)) / WIDTH);
const BANDS: readonly Lab[] = [
  [60, 25, 12],
  [60, -18, 20],
  [60, 2, -22],
  [60, 4, 4],
];

function picture(bands: readonly Lab[], paint: (lab: Lab) => Lab = (lab) => lab): ColourPlanes {
  const data = new Float32Array(3 * WIDTH * HEIGHT);
  for (let i = 0; i < WIDTH * HEIGHT; i++) data.set(labToLinearRgb(paint(bands[bandOf(i)] as Lab)), 3 * i);
  return channelsOf(raster('linear', WIDTH, HEIGHT, 3, data), (plane) => plane);
}
const NO_NAMES = { named: [], numbers: new Uint8Array(WIDTH * HEIGHT) };
const NAMED = (() => {
  const numbers = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => bandOf(i) + 1);
  const shape = { object: 'band', part: null, material: 'matt' as const, steps: null };
  const names = ['red', 'green', 'blue', 'grey'].map((name) => ({ ...shape, name }));
  return { numbers, named: formShapes(numbers, { width: WIDTH, height: HEIGHT }, names) };
})();
const wanted = picture(BANDS);
const replaced = (band: number, by: Lab) => BANDS.map((own, k) => (k === band ? by : own));
const pass = (painted: ColourPlanes, names = NAMED) => {
  const found = colourPass(wanted, painted, names);
  if (!found) throw new Error('Nothing was read.');
  return found;
};

test('a faithful copy has nothing left of any shape, whatever its lightness', () => {
  const found = pass(picture(BANDS, ([l, a, b]) => [l - 14, a, b]));
  expect(found.strength).toBeCloseTo(1, 1);
  found.parts.forEach((p) => expect(Math.hypot(p.residualA, p.residualB)).toBeLessThan(0.3));
  expect(found.strongest).toBeNull();
});

test('what all of it has too much of is one thing, and shapes are judged as if it were not', () => {
  const found = pass(picture(BANDS, ([l, a, b]) => [l, a + 3, b + 14]));
  expect([found.cast.a, found.cast.b].map(Math.round)).toEqual([3, 14]);
  found.parts.forEach((p) => expect(Math.hypot(p.residualA, p.residualB)).toBeLessThan(0.5));
});

test('duller as a whole is told by how much of the differences is left', () => {
  const found = pass(picture(BANDS, ([l, a, b]) => [l, 0.5 * a, 0.5 * b]));
  expect(found.strength).toBeCloseTo(0.5, 1);
  found.parts.forEach((p) => expect(Math.hypot(p.residualA, p.residualB)).toBeLessThan(0.5));
});

test('one shape in a mistaken colour is told by its name, and without names by its place', () => {
  const painted = picture(replaced(1, [60, -6, 4]));
  const off = (names: typeof NAMED) =>
    pass(painted, names).parts.filter((p) => Math.hypot(p.residualA, p.residualB) > 6);
  expect(off(NAMED).map((p) => p.shape)).toEqual(['green']);
  expect(off(NAMED)[0]?.residualChroma).toBeLessThan(-10);
  const [found] = off(NO_NAMES);
  expect(found?.box.x).toBeCloseTo(0.25, 1);
  expect(found?.box.width).toBeCloseTo(0.25, 1);
});

test('the strongest colour is told where it sits elsewhere than it should', () => {
  const found = pass(picture(replaced(0, [60, 12, 6])));
  expect(found.strongest?.wanted.x).toBeLessThan(0.25);
  expect(found.strongest?.painted.x).toBeGreaterThan(0.2);
});

test('where nothing is known of a place it is left out, and of nothing there is no colour', () => {
  const [red, ...others] = picture(BANDS);
  const unknown: ColourPlanes = [{ ...red, data: red.data.map(() => NaN) }, ...others];
  expect(labOver(unknown, Int32Array.of(1, 2, 3))).toBeNull();
  expect(colourPass(wanted, unknown, NAMED)).toBeNull();
});
