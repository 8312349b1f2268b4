import fc from 'fast-check';
import { ciede2000 } from './ciede2000';
import { labToLinearRgb, lightnessToLuminance, linearRgbToLab, luminanceToLightness } from './lab';
import { lightnessToMunsellValue, munsellValueToLightness, munsellValueToLuminance } from './munsell';
import { linearToSrgb, srgbToLinear } from './srgb';
import { LUMINANCE_WEIGHTS } from './xyz';

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

test('CIEDE2000 agrees with published pairs', () => {
  expect(ciede2000([50, 2.6772, -79.7751], [50, 0, -82.7485])).toBeCloseTo(2.0425, 4);
  expect(ciede2000([50, -1.3802, -84.2814], [50, 0, -82.7485])).toBeCloseTo(1.0, 4);
  expect(ciede2000([50, 2.5, 0], [73, 25, -18])).toBeCloseTo(27.1492, 4);
  expect(ciede2000([2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514])).toBeCloseTo(0.9082, 4);
});

test('Munsell value 10 is white and inverts to a millionth', () => {
  expect(munsellValueToLuminance(10)).toBeCloseTo(1, 3);
  for (const v of [0.5, 2, 5, 8, 9.5]) expect(lightnessToMunsellValue(munsellValueToLightness(v))).toBeCloseTo(v, 6);
});
