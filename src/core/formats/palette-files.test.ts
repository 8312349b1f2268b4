import { PAINTS } from '../exercise/paints';
import { BadPalette, formatPalette, parsePalette } from './palette-csv';
import { BadSwatches, formatGpl, gplColours, parseGpl, swatchLab } from './palette-gpl';

test('paints come back from their own file, and from a spreadsheet’s', () => {
  const rows = [
    { paint: 'ivory-black' as const, massTone: [16.5, 0.3, -0.6] as const, tinting: 4.25 },
    { paint: 'titanium-white' as const, massTone: [97, -0.5, 1.2] as const, tinting: 1 },
  ];
  expect(parsePalette(formatPalette(rows))).toEqual(rows);
  expect(parsePalette('"Paint";"Tinting";"lightness";a;b\r\n"ivory-black";"4,25";"16,5";0,3;-0,6\r\n')).toEqual(
    rows.slice(0, 1),
  );
});

test.each([
  ['name,L\nivory black,16', 'must name the columns paint, lightness, a, b, tinting'],
  ['paint,lightness,a,b,tinting\nsnow,1,0,0,1', 'Line 2: “snow” is no paint'],
  ['paint,lightness,a,b,tinting\nivory black,116,0,0,1', 'Line 2, ivory black: Lightness is 0 to 100.'],
  ['paint,lightness,a,b,tinting\nivory black,16,0,0,0', 'more than 0'],
  ['paint,lightness,a,b,tinting\nivory black,16,x,0,1', 'a is -128 to 128.'],
  [`paint,lightness,a,b,tinting\n${'ivory black,16,0,0,1\n'.repeat(3000)}`, 'has 3000 paints'],
])('paints that can’t be read say what to change: %#', (text, words) => {
  expect(() => parsePalette(text)).toThrow(BadPalette);
  expect(() => parsePalette(text)).toThrow(words);
});

test('swatches go out and come in with their names and codes', () => {
  const swatches = gplColours([
    { name: PAINTS['cadmium-red'].name, lab: [45, 60, 42] },
    { name: 'grey 5', lab: [60, 0, 0] },
  ]);
  const text = formatGpl('Tidewell, gouache', swatches);
  expect(text.split('\n').slice(0, 4)).toEqual(['GIMP Palette', 'Name: Tidewell, gouache', 'Columns: 9', '#']);
  expect(parseGpl(text)).toEqual(swatches);
  expect(swatchLab(swatches[1] ?? { name: '', rgb: [0, 0, 0] })[0]).toBeCloseTo(60, 0);
  expect(parseGpl('GIMP Palette\r\n# none\r\n  1   2 255\r\n')).toEqual([{ name: '', rgb: [1, 2, 255] }]);
});

test.each([
  ['1 2 3 red', 'no GPL palette'],
  ['GIMP Palette\n300 0 0 too red', 'Line 2 is no colour'],
  ['GIMP Palette\nred', 'Line 2 is no colour'],
  [`GIMP Palette\n${'1 2 3 x\n'.repeat(5000)}`, 'has 5000 colours'],
])('swatches that can’t be read say what to change: %#', (text, words) => {
  expect(() => parseGpl(text)).toThrow(BadSwatches);
  expect(() => parseGpl(text)).toThrow(words);
});
