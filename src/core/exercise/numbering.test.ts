import { NUMBERING_IDS, stepLabels, valueLabel } from './numbering';
import { orderOfWork } from './order-of-work';
import { defaultScale, endsSchema, scaleExerciseSchema, stepsSchema } from './scale';

const five = defaultScale('gouache', 5);

test('each numbering names the same cells in its own way', () => {
  expect(stepLabels('white-is-one', five)).toEqual(['1', '2', '3', '4', '5']);
  expect(stepLabels('black-is-one', five)).toEqual(['5', '4', '3', '2', '1']);
  expect(stepLabels('percent-black', five)).toEqual(['0 %', '25 %', '50 %', '75 %', '100 %']);
  expect(stepLabels('ten-is-white', five)[0]).toBe('9.6');
});

test('a scale read from the dark end keeps its names', () => {
  const dark = { ...five, order: 'dark-first' as const };
  expect(stepLabels('white-is-one', dark)).toEqual(['5', '4', '3', '2', '1']);
  expect(stepLabels('percent-black', dark)[0]).toBe('100 %');
});

test('labels of a scale never repeat', () => {
  for (const numbering of NUMBERING_IDS)
    for (let steps = 3; steps <= 15; steps++) {
      const labels = stepLabels(numbering, defaultScale('oil', steps));
      expect(new Set(labels).size).toBe(steps);
    }
});

test('a lightness is said in the class’s numbering, or as L* where steps are only counted', () => {
  expect(valueLabel('percent-black', 60, five.ends)).toBe('50 %');
  expect(valueLabel('white-is-one', 60.4, five.ends)).toBe('L* 60');
});

test('the number of steps and the ends are checked with words', () => {
  expect(stepsSchema.safeParse(2).error?.issues[0]?.message).toBe('A scale needs 3 to 15 steps, got 2.');
  expect(stepsSchema.safeParse(16).success).toBe(false);
  expect(stepsSchema.safeParse(4.5).success).toBe(false);
  expect(endsSchema.safeParse({ light: 50, dark: 40 }).error?.issues[0]?.message).toMatch(/at least 20/);
  expect(scaleExerciseSchema.safeParse({ ...five, medium: 'lard' }).success).toBe(false);
});

test('every step is mixed in every order of work', () => {
  for (const order of ['ends-first', 'dark-to-light', 'light-to-dark'] as const) {
    const labels = stepLabels('white-is-one', defaultScale('acrylic', 9));
    const text = orderOfWork(9, 'light-first', order, labels).join(' ');
    for (const label of ['1', '5', '9']) expect(text).toMatch(new RegExp(`\\b${label}\\b`));
  }
});
