/** The simulated tubes: what holds for any paint, so that what is tried on them is fair. */
import { paintedMix, painterPaints } from './spectral-paint';

const SEEDS = Array.from({ length: 30 }, (_, i) => 100 + i);

test('white is light, black is dark, and each bit of black darkens', () => {
  for (const seed of SEEDS) {
    const tubes = painterPaints(seed);
    const lightness = [0, 0.002, 0.01, 0.05, 0.2, 0.6, 1].map((share) => paintedMix(tubes, share)[0]);
    expect(lightness).toEqual([...lightness].sort((a, b) => b - a));
    expect(lightness[0]).toBeGreaterThan(94);
    expect(lightness[0]).toBeLessThan(100);
    expect(lightness.at(-1)).toBeGreaterThan(14);
    expect(lightness.at(-1)).toBeLessThan(32);
  }
});

test('greys are nearly neutral, and mostly cooler than the white they hold', () => {
  const shifts = SEEDS.map((seed) => {
    const tubes = painterPaints(seed);
    const [white, grey] = [paintedMix(tubes, 0), paintedMix(tubes, 0.03)];
    expect(Math.hypot(grey[1], grey[2])).toBeLessThan(8);
    return grey[2] - white[2];
  });
  expect(shifts.filter((s) => s < 0).length).toBeGreaterThan(0.7 * SEEDS.length);
});

test('strengths lie up to three times off, both ways, and a seed gives the same tubes again', () => {
  const strengths = SEEDS.map((s) => painterPaints(s).strength);
  expect(Math.min(...strengths)).toBeGreaterThanOrEqual(1 / 3);
  expect(Math.max(...strengths)).toBeLessThanOrEqual(3);
  expect(strengths.filter((s) => s < 0.7).length).toBeGreaterThan(3);
  expect(strengths.filter((s) => s > 1.4).length).toBeGreaterThan(3);
  expect(painterPaints(7)).toEqual(painterPaints(7));
  expect(paintedMix(painterPaints(7), 0.1)).not.toEqual(paintedMix(painterPaints(8), 0.1));
});
