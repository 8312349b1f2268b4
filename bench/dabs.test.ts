/** Test dabs on photographs: read near enough to say what to add, and an empty one told from paint. */
import { openDabTrials } from './trials';

const trials = openDabTrials();
afterAll(() => trials.close());

const SEED = 5160;

test('dabs of any lightness are read to 1.5 L*, and an empty one is bare', async () => {
  const outcomes = await trials.run([
    {
      steps: 9,
      dabs: [
        [2, 88],
        [5, 61],
        [9, 22],
      ],
      camera: 'window',
      seed: SEED,
    },
    {
      steps: 12,
      dabs: [
        [3, 80],
        [7, 47],
        [12, 30],
      ],
      camera: 'lamp',
      seed: SEED + 1,
    },
    {
      steps: 5,
      dabs: [
        [3, 66],
        [4, 38],
      ],
      camera: 'phone',
      seed: SEED + 2,
    },
    {
      steps: 9,
      dabs: [
        [1, 93],
        [6, 55],
      ],
      camera: 'tilted',
      seed: SEED + 3,
    },
  ]);
  const readings = outcomes.flatMap((o) => o.readings);
  expect(readings).toHaveLength(10);
  for (const r of readings) {
    expect(Math.abs(r.read - r.truth)).toBeLessThan(1.5);
    expect(Math.abs(r.read - r.truth)).toBeLessThan(r.uncertainty);
  }
  expect(outcomes.map((o) => o.bareIsBare)).toEqual([true, true, true, true]);
});

test('a photograph that can’t be used gives no reading, with the code of its fault', async () => {
  const [blurred, none] = await trials.run([
    { steps: 9, dabs: [[5, 60]], camera: 'blurred', seed: SEED },
    { steps: 9, dabs: [[5, 60]], camera: 'no-sheet', seed: SEED },
  ]);
  expect([blurred?.codes.includes('blur'), blurred?.readings, none?.codes, none?.readings]).toEqual([
    true,
    [],
    ['no_target'],
    [],
  ]);
});
