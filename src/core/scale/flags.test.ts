import fc from 'fast-check';
import { defaultScale } from '../exercise/scale';
import { targetLightnesses } from '../exercise/targets';
import { evenness, LIMITS, measureGaps, stepSize, targetsFor, valueFlags } from './flags';

const terms = defaultScale('gouache', 5);
const targets = targetsFor(terms, []);
const sure = [0.2, 0.2, 0.2, 0.2, 0.2];
const flagsOf = (lightness: readonly number[], own = sure) => measureGaps(terms, lightness, own).map((g) => g.flags);

test('targets are even in lightness between the ends', () => {
  expect(targets).toEqual([96, 78, 60, 42, 24]);
  expect(stepSize(targets)).toBe(18);
  expect(targetLightnesses(3, { light: 90, dark: 30 }, 'dark-first', 'lightness')).toEqual([30, 60, 90]);
});

test('targets even in Munsell value keep the ends and differ between them', () => {
  const munsell = targetLightnesses(9, { light: 96, dark: 20 }, 'light-first', 'munsell');
  expect(munsell[0]).toBeCloseTo(96, 5);
  expect(munsell[8]).toBeCloseTo(20, 5);
  expect(Math.abs((munsell[4] ?? 0) - 58)).toBeGreaterThan(0.05);
});

test('anchors: the medium, the student’s own ends, or theory', () => {
  const own = [90, 70, 60, 45, 30];
  expect(targetsFor({ ...terms, anchor: 'own' }, own)).toEqual([90, 75, 60, 45, 30]);
  expect(targetsFor({ ...terms, anchor: 'theoretical' }, own)).toEqual([100, 75, 50, 25, 0]);
});

test('a gap is too close under half and too wide over one and a half of the ideal', () => {
  expect(flagsOf([96, 78, 60, 42, 24])).toEqual([[], [], [], []]);
  expect(flagsOf([96, 88.1, 60, 42, 24])[0]).toEqual(['too_close']);
  expect(flagsOf([96, 86.9, 60, 42, 24])[0]).toEqual([]);
  expect(flagsOf([96, 68.9, 60, 42, 24])[0]).toEqual(['too_wide']);
});

test('a reversal must be larger than 1 L* and than what the readings are sure of', () => {
  expect(flagsOf([96, 60, 60.9, 42, 24])[1]).toEqual(['too_close']);
  expect(flagsOf([96, 60, 61.1, 42, 24])[1]).toEqual(['reversed']);
  expect(flagsOf([96, 60, 62, 42, 24], [0, 3, 3, 0, 0])[1]).toEqual(['too_close']);
});

test('read from the dark end, gaps are positive where the order is kept', () => {
  const gaps = measureGaps({ ...terms, order: 'dark-first' }, [24, 42, 60, 78, 96], sure);
  expect(gaps.map((g) => g.gap)).toEqual([18, 18, 18, 18]);
});

test('the ends have limits of their own', () => {
  const at = (light: number, dark: number) => valueFlags(terms, [light, 78, 60, 42, dark]).map((f) => f.join());
  expect(at(96, 24 + LIMITS.weakBlack + 0.1)).toEqual(['', '', '', '', 'weak_black']);
  expect(at(96 - LIMITS.weakWhite - 0.1, 24)).toEqual(['weak_white', '', '', '', '']);
  expect(at(92.1, 28.9)).toEqual(['', '', '', '', '']);
});

test('evenness is 0 for an even scale, and does not depend on its contrast', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 1, noNaN: true }),
      fc.double({ min: -4, max: 4, noNaN: true }),
      (contrast, shift) => {
        const uneven = [96, 80 + shift, 60, 42, 24];
        const flat = uneven.map((l) => 50 + contrast * (l - 50));
        expect(evenness(measureGaps(terms, flat, sure))).toBeCloseTo(evenness(measureGaps(terms, uneven, sure)), 9);
      },
    ),
  );
  expect(evenness(measureGaps(terms, targets, sure))).toBe(0);
});
