import { defaultScale } from '../exercise/scale';
import { targetsFor } from './flags';
import { leastWork, withinTolerance } from './least-work';

/** Numbers between 0 and 1 that are the same in every run. */
function numbers(seed: number): () => number {
  let n = seed;
  return () => (n = (n * 1664525 + 1013904223) >>> 0) / 2 ** 32;
}

test('agrees with trying every choice on 200 random scales of up to nine steps', () => {
  const next = numbers(20260);
  let repainted = 0;
  for (let trial = 0; trial < 200; trial++) {
    const steps = 3 + Math.floor(7 * next());
    const terms = {
      ...defaultScale('gouache', steps),
      toleranceSteps: [0.3, 0.5, 0.9][trial % 3] ?? 0.5,
      order: trial % 2 === 0 ? ('light-first' as const) : ('dark-first' as const),
    };
    const targets = targetsFor(terms, []);
    const size = Math.abs((targets[0] ?? 0) - (targets[1] ?? 0));
    const lightness = targets.map((t) => t + (next() - 0.5) * 2.4 * size * next());
    let fewest = Infinity;
    for (let choice = 0; choice < 2 ** steps; choice++) {
      const painted = lightness.map((l, i) => ((choice >> i) & 1 ? (targets[i] ?? l) : l));
      const count = choice.toString(2).replaceAll('0', '').length;
      if (count < fewest && withinTolerance(terms, lightness, painted)) fewest = count;
    }
    const found = leastWork(terms, lightness);
    expect(found).toHaveLength(fewest);
    const painted = lightness.map((l, i) => found.find((f) => f.step === i + 1)?.to ?? l);
    expect(withinTolerance(terms, lightness, painted)).toBe(true);
    repainted += fewest;
  }
  expect(repainted).toBeGreaterThan(200);
});

test('an even scale needs nothing, an end that reaches further neither, and a lone slip one step', () => {
  const terms = defaultScale('gouache', 5);
  const even = targetsFor(terms, []);
  expect(leastWork(terms, even)).toEqual([]);
  expect(
    leastWork(
      terms,
      even.map((l, i) => (i === 4 ? l - 9 : l)),
    ),
  ).toEqual([]);
  expect(
    leastWork(
      terms,
      even.map((l, i) => (i === 2 ? l + 12 : l)),
    ),
  ).toEqual([{ step: 3, from: 72, to: 60 }]);
});
