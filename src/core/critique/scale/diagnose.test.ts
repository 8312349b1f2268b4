import { defaultScale } from '../../exercise/scale';
import { targetLightnesses } from '../../exercise/targets';
import { diagnose } from './diagnose';

const terms = defaultScale('gouache', 9);
const even = targetLightnesses(9, terms.ends, terms.order, terms.spacing);
const sure = even.map(() => 0.3);
const moved = (...shifts: readonly (readonly [step: number, by: number])[]) =>
  even.map((l, i) => l + (shifts.find(([step]) => step === i + 1)?.[1] ?? 0));

test('an even scale has nothing to mend', () => {
  expect(diagnose(terms, even, sure)).toEqual([]);
});

test('one misplaced step is told once, whatever flags it raises', () => {
  const [only, ...rest] = diagnose(terms, moved([5, 7]), sure);
  expect(rest).toEqual([]);
  expect(only).toMatchObject({ code: 'too_close', steps: [5], pair: [4, 5] });
});

test('a reversed pair is named as a pair', () => {
  expect(diagnose(terms, moved([5, -6.5], [6, 6.5]), sure)).toMatchObject([
    { code: 'reversed', steps: [5, 6], pair: [5, 6] },
  ]);
});

test('a run that errs the same way is one cause', () => {
  expect(diagnose(terms, moved([4, -8], [5, -8], [6, -8]), sure)).toMatchObject([
    { code: 'off_target', steps: [4, 5, 6] },
  ]);
});

test('a black that does not get down is told, one that goes further is not', () => {
  expect(diagnose(terms, moved([9, 8]), sure)).toMatchObject([{ code: 'weak_black', steps: [9] }]);
  expect(diagnose(terms, moved([9, -4]), sure)).toEqual([]);
});
