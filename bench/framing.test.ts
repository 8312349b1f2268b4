/** Photographs without a worksheet: a board with corner pieces, one of them covered; corners marked by hand; strong cameras. */
import type { Trial, TrialOutcome } from './trial-outcome';
import { openTrials } from './trials';

const trials = openTrials();
afterAll(() => trials.close());

/** Boards are larger than sheets, and so are their pictures. */
const BOARD_MEGAPIXELS = 8;
const MEGAPIXELS = 4;
/** Divisible by four: the bottom right piece is left out. */
const COVERED = 5204;
const trial = (change: Partial<Trial>): Trial => ({
  steps: 7,
  paper: 'a4',
  paint: 'fine',
  camera: 'studio',
  printer: 'office',
  card: 'measured',
  seed: 4711,
  megapixels: MEGAPIXELS,
  ...change,
});
const worst = (o: TrialOutcome | undefined) => Math.max(...(o?.readings ?? []).map((r) => Math.abs(r.read - r.truth)));

test('boards are read by their corner pieces to 1 L*, one piece missing or none', async () => {
  const outcomes = await trials.run([
    trial({ way: 'brackets', seed: COVERED, megapixels: BOARD_MEGAPIXELS }),
    trial({ way: 'brackets', camera: 'window', seed: COVERED + 1, megapixels: BOARD_MEGAPIXELS }),
  ]);
  for (const o of outcomes) {
    expect(o.codes.filter((c) => c !== 'outside_card')).toEqual([]);
    expect(o.readings).toHaveLength(7);
    expect(worst(o)).toBeLessThan(1);
  }
});

test('between marked corners readings are relative: to 2.5 L* where paper shows, to 4 where none does', async () => {
  const [paper, bare] = await trials.run([
    trial({ way: 'corners', printer: 'nominal' }),
    trial({ way: 'corners-bare', camera: 'even-light', megapixels: BOARD_MEGAPIXELS }),
  ]);
  expect(paper?.accepted && bare?.accepted).toBe(true);
  expect(worst(paper)).toBeLessThan(2.5);
  expect(worst(bare)).toBeLessThan(4);
  // No colour is claimed without a known white.
  expect(paper?.readings.every((r) => Number.isNaN(r.ab[0]))).toBe(true);
});

test('strong tone curves in light of two to one, and a sensor of other primaries, are taken out', async () => {
  const [lifted, toe, coloured] = await trials.run([
    trial({ camera: 'curve-lifted', steps: 9 }),
    trial({ camera: 'curve-toe', steps: 9 }),
    trial({ camera: 'other-primaries', hue: true, pixels: true }),
  ]);
  expect(worst(lifted)).toBeLessThan(1.5);
  expect(worst(toe)).toBeLessThan(1.5);
  expect(Math.max(...(coloured?.readings ?? []).flatMap((r) => r.ab.map(Math.abs)))).toBeLessThan(3);
  expect(coloured?.pixels).toBeLessThan(3);
});
