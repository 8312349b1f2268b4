/** Bands that nobody printed: drawn by hand, photographed, found and read. */
import type { Trial } from './trial-outcome';
import { openTrials } from './trials';

const trials = openTrials();
afterAll(() => trials.close());

const trial = (more: Partial<Trial> & Pick<Trial, 'drawn' | 'seed'>): Trial => ({
  steps: 7,
  paper: 'a4',
  paint: 'fine',
  camera: 'studio',
  printer: 'office',
  card: 'measured',
  way: 'sheet',
  megapixels: 3,
  ...more,
});

test.each([
  ['rings on a sheet, with a post of the student’s own', trial({ drawn: 'glow', seed: 730 }), 1],
  ['ridges on a board with corner pieces', trial({ drawn: 'ranges', seed: 731, way: 'brackets', camera: 'window' }), 1],
  ['walls between marked corners', trial({ drawn: 'stairwell', seed: 732, way: 'corners', printer: 'nominal' }), 2.5],
])('%s are read', async (_, asked, limit) => {
  const [outcome] = await trials.run([asked]);
  const { accepted, codes, readings } = outcome!;
  expect([accepted, codes.filter((c) => c !== 'outside_card')]).toEqual([true, []]);
  expect(readings).toHaveLength(7);
  readings.forEach((r) => expect(Math.abs(r.read - r.truth)).toBeLessThan(limit));
});

test('where a band hardly shows, that is told, and not that the sheet is another’s', async () => {
  const [outcome] = await trials.run([
    trial({ drawn: 'stairwell', steps: 12, camera: 'lamp', seed: 767613, megapixels: 6 }),
  ]);
  expect([outcome?.accepted, outcome?.codes]).toEqual([false, ['cut_off']]);
});
