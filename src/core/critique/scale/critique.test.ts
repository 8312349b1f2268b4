import { defaultScale } from '../../exercise/scale';
import { measureGaps, targetsFor, valueFlags } from '../../scale/flags';
import { type MeasuredStep, type ScaleResult } from '../../scale/result';
import { sampleScale, sampleSteps } from '../../scale/sample-result';
import { critiqueScale } from './critique';
import { inSteps } from '../amounts';

const terms = defaultScale('gouache', 9);

function measured(
  lightness: readonly number[],
  craft: Partial<Record<number, Partial<MeasuredStep>>> = {},
): ScaleResult {
  const targets = targetsFor(terms, lightness);
  const flags = valueFlags(terms, lightness);
  const own = Object.fromEntries(flags.map((f, i) => [i + 1, { flags: f, ...craft[i + 1] }]));
  return sampleScale(sampleSteps({ targets, lightness, own }), {
    gaps: measureGaps(
      terms,
      lightness,
      lightness.map(() => 0.3),
    ),
  });
}

const even = targetsFor(terms, []);
const shifted = (step: number, by: number) => even.map((l, i) => (i + 1 === step ? l + by : l));

test('a fine scale is praised for what was measured and has nothing to mend', () => {
  const found = critiqueScale(measured(even), terms, 'white-is-one');
  expect(found.map((f) => f.code)).toEqual(['works_even', 'works_ends', 'works_flat']);
});

test('what works comes first, then what to mend, heaviest first', () => {
  const lightness = shifted(5, 7).map((l, i) => (i === 8 ? l + 14 : l));
  const found = critiqueScale(measured(lightness, { 3: { spread: 2.4, flags: ['streaky'] } }), terms, 'white-is-one');
  const firstFix = found.findIndex((f) => f.kind === 'fix');
  expect(found.slice(firstFix).every((f) => f.kind === 'fix')).toBe(true);
  const weights = found.slice(firstFix).map((f) => f.weight);
  expect(weights).toEqual([...weights].sort((a, b) => b - a));
  expect(
    found
      .slice(firstFix)
      .map((f) => f.code)
      .sort(),
  ).toEqual(['streaky', 'too_close', 'weak_black']);
});

test('a finding speaks the class’s numbering and says one thing to do', () => {
  const [fix] = critiqueScale(measured(shifted(5, 7)), terms, 'black-is-one').filter((f) => f.kind === 'fix');
  expect(fix?.say).toBe('Steps 6 and 5 are too close: a quarter of a step lies between them.');
  expect(fix?.do).toMatch(/^Mix step 5 once more, three quarters of a step darker/);
  expect(fix?.evidence).toMatchObject({ gap: 2, ideal: 9 });
});

test('bare ground and paint past the line are told where they are', () => {
  const craft = {
    4: { bareGround: 0.1, flags: ['bare_ground'] as MeasuredStep['flags'] },
    6: { overflow: 0.05, flags: ['over_the_line'] as MeasuredStep['flags'] },
  };
  const found = critiqueScale(measured(even, craft), terms, 'white-is-one').filter((f) => f.kind === 'fix');
  expect(found.map((f) => [f.code, ...f.where.steps])).toEqual([
    ['bare_ground', 4],
    ['over_the_line', 6],
  ]);
});

test('nothing is said of a photograph in which nothing was read', () => {
  expect(critiqueScale({ ...measured(even), steps: [], gaps: [] }, terms, 'white-is-one')).toEqual([]);
});

test('distances are said in the words of the studio', () => {
  expect([0.1, -0.25, 0.5, 1, 2, 4.2].map(inSteps)).toEqual([
    'a touch',
    'a quarter of a step',
    'half a step',
    'a whole step',
    'two steps',
    '4 steps',
  ]);
});
