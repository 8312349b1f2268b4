/** Paintings in few tones, photographed: what was flipped is told, what is only ragged is not. */
import type { NotanOutcome } from './notan-trial';
import { openNotanTrials } from './trials';

const trials = openNotanTrials();
afterAll(() => trials.close());

const ASKED = [
  { tones: 2, way: 'sheet', camera: 'lamp' },
  { tones: 3, way: 'corners', camera: 'window' },
] as const;
/** The bench takes its seeds from the clock; a test fails for the change at hand, not by luck. */
const SEED = 12;

test('paintings in two and three tones, on sheets and between corners', async () => {
  const outcomes = await trials.run(ASKED.map((asked) => ({ megapixels: 3, ...asked, seed: SEED })));
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
