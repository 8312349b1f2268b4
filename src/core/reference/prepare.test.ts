import { lightnessToLuminance } from '../colour/lab';
import { raster } from '../raster/raster';
import { NothingToPrepare, prepareTones } from './prepare';

/** A light square on a dark ground, with a streak of middle grey beside it. */
function picture(width = 80, height = 60) {
  const at = (x: number, y: number) => (x >= 10 && x < 40 && y >= 10 && y < 40 ? 90 : x >= 50 && x < 60 ? 55 : 15);
  return raster(
    'linear',
    width,
    height,
    1,
    Float32Array.from({ length: width * height }, (_, i) => lightnessToLuminance(at(i % width, Math.floor(i / width)))),
  );
}
const ends = { light: 95, dark: 25 };

test('three tones: their shares, the greys to paint them in, their shapes from the largest on', () => {
  const { thresholds, tones, shapes } = prepareTones(picture(), { tones: 3, squintPercent: 0, ends });
  expect(thresholds[0]).toBeGreaterThan(15);
  expect(thresholds[1]).toBeLessThan(90);
  expect(tones).toEqual([
    { index: 1, lightness: 95, share: 900 / 4800 },
    { index: 2, lightness: 60, share: 600 / 4800 },
    { index: 3, lightness: 25, share: 3300 / 4800 },
  ]);
  expect(shapes.map((s) => s.tone)).toEqual([3, 3, 1, 2]);
  expect(shapes[2]).toEqual({
    tone: 1,
    box: { x: 10 / 80, y: 10 / 60, width: 30 / 80, height: 30 / 60 },
    area: 900 / 4800,
  });
});

test('a squint lets small shapes go', () => {
  const speckled = picture();
  for (let i = 0; i < speckled.data.length; i += 37) speckled.data[i] = 1 - (speckled.data[i] as number);
  const count = (squintPercent: number) => prepareTones(speckled, { tones: 2, squintPercent, ends }).shapes.length;
  expect(count(0)).toBeGreaterThan(50);
  expect(count(3)).toBeLessThan(10);
});

test('thresholds by hand are taken as they are; crossing ones are told', () => {
  const by = (thresholds: number[]) => prepareTones(picture(), { tones: 3, squintPercent: 0, ends, thresholds });
  expect(by([20, 80]).thresholds).toEqual([20, 80]);
  expect(() => by([80, 20])).toThrow('3 tones need 2 thresholds that rise, got 80, 20.');
  expect(() => by([50])).toThrow('3 tones need 2 thresholds');
});

test('a picture one pixel high is told with what to send', () => {
  const thin = raster('linear', 900, 1, 1, new Float32Array(900));
  expect(() => prepareTones(thin, { tones: 2, squintPercent: 0, ends })).toThrow(NothingToPrepare);
  expect(() => prepareTones(thin, { tones: 2, squintPercent: 0, ends })).toThrow('at least 32 each way');
});
