/** Paintings in few tones, photographed: what was flipped is told, what is only ragged is not. */
import type { NotanOutcome } from './notan-trial';
import { openNotanTrials } from './trials';

const trials = openNotanTrials();
afterAll(() => trials.close());

const ASKED = [
  ['two tones on a sheet', { tones: 2, way: 'sheet', camera: 'studio' }],
  ['two tones under a lamp', { tones: 2, way: 'sheet', camera: 'lamp' }],
  ['three tones between marked corners', { tones: 3, way: 'corners', camera: 'window' }],
] as const;
/** The bench takes its seeds from the clock; a test fails for the change at hand, not by luck. */
const SEEDS = [12, 35];

test.each(ASKED)('%s', async (_, asked) => {
  const outcomes = await trials.run(SEEDS.map((seed) => ({ megapixels: 3, ...asked, seed })));
  outcomes.forEach(told);
});

function told(outcome: NotanOutcome) {
  const { accepted, shares, agreement, flips } = outcome;
  expect(accepted).toBe(true);
  shares.forEach((s) => expect(Math.abs(s)).toBeLessThan(0.008));
  expect(Math.abs(agreement)).toBeLessThan(0.008);
  expect(flips.told).toBe(flips.made);
  expect(flips.right).toBe(flips.said);
}
