import { sayGreyMix } from './grey-mix';
import { coveringLab, mixModel, paletteOf } from './paint-model';

const PAINTS = ['titanium-white', 'ivory-black'] as const;
const say = (l: number) => sayGreyMix(PAINTS, {}, 'acrylic', l);

test('whole parts that are said dry to about the grey that was asked for', () => {
  const palette = paletteOf(PAINTS);
  for (const wanted of [25, 35, 45]) {
    const said = /^(\d) parts? titanium white to (\d) parts? ivory black$/.exec(say(wanted) ?? '');
    const model = mixModel(palette, { 'titanium-white': Number(said?.[1]), 'ivory-black': Number(said?.[2]) });
    expect(Math.abs(coveringLab(model, 'satin')[0] - wanted)).toBeLessThan(4);
  }
});

test('near the ends it is a touch, and beyond them the tube', () => {
  expect(say(85)).toBe('titanium white with a touch of ivory black');
  expect(say(100)).toBe('titanium white');
  expect(say(2)).toBe('ivory black');
  expect(sayGreyMix(['ultramarine'], {}, 'acrylic', 50)).toBeNull();
});
