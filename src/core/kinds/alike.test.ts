/** What is nearly equal by what was measured of it. */
import { sampleNotan } from '../notan/sample-result';
import { sampleCurve, sampleFeature, samplePainting, sampleShape } from '../painting/sample-result';
import { sampleScale, sampleSteps } from '../scale/sample-result';
import { apartBy, NEAR_STEPS } from './alike';

const TARGETS = [96, 77, 58, 39, 20];
const scale = (lightness: readonly number[], own = {}) =>
  sampleScale(sampleSteps({ targets: TARGETS, lightness, own }));
const isNear = (apart: number | null) => apart !== null && apart <= NEAR_STEPS;

test('two scales are as far apart as the step that differs most', () => {
  const [even, off] = [scale(TARGETS), scale([96, 77, 58, 44.4, 20])];
  expect(apartBy(even, even)).toBe(0);
  expect(apartBy(even, off)).toBeCloseTo(0.6, 6);
  expect(isNear(apartBy(scale([96, 77, 58, 42, 20]), off))).toBe(true);
  expect(isNear(apartBy(even, off))).toBe(false);
});

test('paint that does not cover sets two scales apart whose values are the same', () => {
  expect(isNear(apartBy(scale(TARGETS), scale(TARGETS, { 3: { bareGround: 0.3 } })))).toBe(false);
});

test('paintings differ by a value, a place or their range', () => {
  const shapes = (residual: number) => ({ shapes: [sampleShape('jug', { residual })] });
  const good = samplePainting(shapes(0));
  expect(isNear(apartBy(good, samplePainting(shapes(2))))).toBe(true);
  expect(isNear(apartBy(good, samplePainting(shapes(6))))).toBe(false);
  const moved = samplePainting({ ...shapes(0), displacements: [sampleFeature({ name: 'jug', dx: 0.04 })] });
  expect(isNear(apartBy(good, moved))).toBe(false);
  expect(isNear(apartBy(good, samplePainting({ ...shapes(0), ...sampleCurve(34, 96) })))).toBe(false);
});

test('few tones differ by how much there is of each', () => {
  const other = sampleNotan({
    tones: sampleNotan().tones.map((t, k) => ({ ...t, share: t.share + (k === 0 ? 0.1 : -0.1) })),
  });
  expect(apartBy(sampleNotan(), sampleNotan())).toBe(0);
  expect(isNear(apartBy(sampleNotan(), other))).toBe(false);
});

test('what is of another kind, or was not read, is held against nothing', () => {
  const refused = samplePainting({ capture: { ...samplePainting().capture, accepted: false } });
  expect(apartBy(sampleNotan(), samplePainting())).toBeNull();
  expect(apartBy(samplePainting(), refused)).toBeNull();
  expect(apartBy(scale([]), sampleScale([]))).toBeNull();
});
