/** What changed between two tries. */
import { readFigure } from './figure-words';
import type { Figures, StepFigure } from './figures';
import { figureChanges, stepsMoved } from './since-then';

const NONE: Figures = {
  ...{ error: null, worst: null, bias: null, evenness: null, darkest: null, lightest: null },
  ...{ agreement: null, drawing: null, edges: null },
};
const step = (n: number, error: number): StepFigure => ({
  ...{ step: n, lightness: 50, target: 50, error, a: null, b: null, flags: [], gapFlags: [] },
});

test.each([
  ['error', 0.6, 0.3, 'better'],
  ['error', 0.3, 0.6, 'worse'],
  ['error', 0.3, 0.32, 'same'],
  ['bias', -0.5, 0.2, 'better'],
  ['bias', 0.1, -0.5, 'worse'],
  ['agreement', 0.8, 0.9, 'better'],
  ['agreement', 0.9, 0.897, 'same'],
  ['darkest', 30, 22, 'other'],
  ['edges', 3, 1, 'better'],
] as const)('%s from %d to %d is %s', (key, before, now, way) => {
  expect(figureChanges({ ...NONE, [key]: before }, { ...NONE, [key]: now })).toEqual([{ key, before, now, way }]);
});

test('the first try has nothing before it, and what was not read is left out', () => {
  expect(figureChanges(null, { ...NONE, error: 0.4 })).toEqual([{ key: 'error', before: null, now: 0.4, way: 'same' }]);
});

test('steps that came closer, whichever side they were on', () => {
  const before = [step(1, 0.1), step(2, -0.8), step(3, 0.4), step(4, 0.3)];
  const now = [step(1, 0.15), step(2, 0.2), step(3, -0.9), step(4, 0.25), step(5, 2)];
  expect(stepsMoved(before, now)).toEqual({ closer: [2], further: [3] });
});

test('figures as they are read', () => {
  expect(readFigure('error', 0.456)).toBe('0.46');
  expect(readFigure('bias', -0.3)).toBe('\u22120.30');
  expect(readFigure('bias', -0.001)).toBe('0.00');
  expect(readFigure('agreement', 0.934)).toBe('93');
});
