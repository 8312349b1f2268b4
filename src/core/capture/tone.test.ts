import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { linearToSrgb } from '../colour/srgb';
import { fitTone } from './tone';
import { reflectanceAt } from './tone-curve';
import { type ToneSample } from './tone-sample';

/** A camera with an S-shaped curve over sRGB, light falling off two to one, and a little stray light. */
function codeOf(reflectance: number, x: number): number {
  const level = reflectance * 0.85 * Math.exp(-0.35 * (x + 1)) + 0.01;
  const v = linearToSrgb(level);
  return 255 * (v + 0.3 * 0.6 * (v * v * (3 - 2 * v) - v));
}

function card(): ToneSample[] {
  const samples: ToneSample[] = [];
  const white = lightnessToLuminance(95);
  for (let i = 0; i < 100; i++) {
    const [x, y] = [-1 + (2 * (i % 10)) / 9, -1 + (2 * Math.floor(i / 10)) / 9];
    samples.push({ x, y, code: codeOf(white, x), reflectance: white, patch: 0, knownLight: 0 });
  }
  for (let i = 0; i < 20; i++) {
    const up = i < 10;
    const reflectance = lightnessToLuminance(16 + 7.9 * (up ? i : 19 - i));
    const x = -0.8 + (1.6 * (i % 10)) / 9;
    samples.push({ x, y: up ? -0.9 : 0.9, code: codeOf(reflectance, x), reflectance, patch: i + 1, knownLight: 0 });
  }
  return samples;
}

test('greys read alike wherever they lie under uneven light and a curve outside the fitted family', () => {
  const { curve } = fitTone(card());
  for (const lightness of [20, 35, 50, 65, 80, 92])
    for (const x of [-0.7, 0, 0.7]) {
      const r = reflectanceAt(curve, codeOf(lightnessToLuminance(lightness), x), x, 0.2);
      expect(Math.abs(luminanceToLightness(r) - lightness)).toBeLessThan(1);
    }
});

test('too few samples are refused with both numbers', () => {
  expect(() => fitTone(card().slice(0, 5))).toThrow('at least 20 samples, got 5');
});
