import fc from 'fast-check';
import { labToLinearRgb, lightnessToLuminance, linearRgbToLab, luminanceToLightness } from './lab';
import { lightnessToMunsellValue, munsellValueToLightness, munsellValueToLuminance } from './munsell';
import { applyMatrix, applyMatrixToAll, type ColourMatrix, inverseMatrix } from './primaries';
import { linearToSrgb, srgbToLinear } from './srgb';
import { temperatureWord, warmth } from './temperature';
import { LUMINANCE_WEIGHTS } from './xyz';

const SKEWED: ColourMatrix = [
  [0.8, 0.15, 0.05],
  [0.1, 0.7, 0.2],
  [0.02, 0.08, 0.9],
];

test('a grey has no colour and white is L* 100', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (y) => {
      const [, a, b] = linearRgbToLab([y, y, y]);
      expect(Math.abs(a)).toBeLessThan(1e-9);
      expect(Math.abs(b)).toBeLessThan(1e-9);
    }),
  );
  expect(linearRgbToLab([1, 1, 1])[0]).toBeCloseTo(100, 9);
  expect(LUMINANCE_WEIGHTS.reduce((s, w) => s + w, 0)).toBeCloseTo(1, 12);
});

test('conversions come back to where they began', () => {
  const channel = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(channel, channel, channel, (r, g, b) => {
      const back = labToLinearRgb(linearRgbToLab([r, g, b]));
      [r, g, b].forEach((v, i) => expect(back[i]).toBeCloseTo(v, 9));
      expect(srgbToLinear(linearToSrgb(r))).toBeCloseTo(r, 6);
      expect(lightnessToLuminance(luminanceToLightness(g))).toBeCloseTo(g, 12);
    }),
  );
});

test('Munsell value 10 is white and inverts to a millionth', () => {
  expect(munsellValueToLuminance(10)).toBeCloseTo(1, 3);
  for (const v of [0.5, 2, 5, 8, 9.5]) expect(lightnessToMunsellValue(munsellValueToLightness(v))).toBeCloseTo(v, 6);
});

test('warm and cool are told against a neighbour', () => {
  expect(warmth([50, 2, 6], [50, 2, 6])).toBe(0);
  expect(temperatureWord(warmth([50, 3, 8], [50, 2, 4]))).toBe('warmer');
  expect(temperatureWord(warmth([50, 2, 1], [50, 2, 4]))).toBe('cooler');
  expect(temperatureWord(warmth([50, 2, 4.5], [50, 2, 4]))).toBe('alike');
});

test('a whole picture goes through a matrix as each of its colours does, and back', () => {
  const entry = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(entry, entry, entry), { minLength: 1, maxLength: 9 }), (colours) => {
      const all = Float32Array.from(colours.flat());
      applyMatrixToAll(SKEWED, all);
      const wanted = colours.flatMap((c) => applyMatrix(SKEWED, c));
      all.forEach((v, i) => expect(v).toBeCloseTo(wanted[i] as number, 5));
      applyMatrixToAll(inverseMatrix(SKEWED), all);
      all.forEach((v, i) => expect(v).toBeCloseTo(colours.flat()[i] as number, 5));
    }),
  );
});
