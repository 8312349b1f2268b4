/** A painting from life, photographed: masses that stray from their steps are told, and light and shadow that are crossed. */
import { openMassTrials } from './trials';

const trials = openMassTrials();
afterAll(() => trials.close());

test('masses shown on a photograph are read as they were painted', async () => {
  const [outcome] = await trials.run([
    { seed: 8123, scene: 'jug-and-eggs', tones: 4, way: 'sheet', camera: 'window', megapixels: 5 },
  ]);
  const { accepted, lightness, inside, outside, crossed } = outcome!;
  expect(accepted).toBe(true);
  expect(lightness.length).toBeGreaterThan(5);
  lightness.forEach((l) => expect(Math.abs(l)).toBeLessThan(3));
  inside.forEach((s) => expect(Math.abs(s)).toBeLessThan(0.05));
  for (const c of [outside, crossed]) expect([c.told, c.right]).toEqual([c.made, c.said]);
  expect(outside.made + crossed.made).toBeGreaterThan(0);
});
