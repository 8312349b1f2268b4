import fc from 'fast-check';
import { piecewiseFits } from './piecewise';

/** Every way of cutting n values into pieces of at least `least`, tried one by one. */
function cheapest(profile: Float64Array, pieces: number, least: number, from = 0): number {
  const scatter = (a: number, b: number) => {
    const part = Array.from(profile.subarray(a, b));
    const mean = part.reduce((s, v) => s + v, 0) / part.length;
    return part.reduce((s, v) => s + (v - mean) ** 2, 0);
  };
  if (pieces === 1) return profile.length - from >= least ? scatter(from, profile.length) : Infinity;
  let best = Infinity;
  for (let to = from + least; to <= profile.length - least; to++)
    best = Math.min(best, scatter(from, to) + cheapest(profile, pieces - 1, least, to));
  return best;
}

test('with every number of pieces the fit is as good as the best of all cuts', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 8, maxLength: 14 }), (values) => {
      const profile = Float64Array.from(values);
      const fits = piecewiseFits(profile, 3, 2);
      for (const pieces of [1, 2, 3]) expect(fits.cost(pieces)).toBeCloseTo(cheapest(profile, pieces, 2), 6);
    }),
  );
});

test('pieces that do not fit are told, and cost everything', () => {
  const fits = piecewiseFits(Float64Array.from([1, 2, 3, 4]), 3, 2);
  expect(fits.cost(3)).toBe(Infinity);
  expect(() => fits.cuts(3)).toThrow('3 pieces of 2 to 4 do not make up 4');
  expect(fits.cuts(2)).toEqual([0, 2, 4]);
});
