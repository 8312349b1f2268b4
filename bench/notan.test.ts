/** Paintings in few tones, photographed: what was flipped is told, what is only ragged is not. */
import { openNotanTrials } from './trials';

const trials = openNotanTrials();
afterAll(() => trials.close());

test.each([
  ['two tones on a sheet', { seed: 12, tones: 2, way: 'sheet', camera: 'studio' }],
  ['three tones between marked corners', { seed: 35, tones: 3, way: 'corners', camera: 'window' }],
] as const)('%s', async (_, asked) => {
  const [outcome] = await trials.run([{ megapixels: 4, ...asked }]);
  const { accepted, shares, agreement, flips } = outcome!;
  expect(accepted).toBe(true);
  shares.forEach((s) => expect(Math.abs(s)).toBeLessThan(0.008));
  expect(Math.abs(agreement)).toBeLessThan(0.008);
  expect(flips.told).toBe(flips.made);
  expect(flips.right).toBe(flips.said);
});
