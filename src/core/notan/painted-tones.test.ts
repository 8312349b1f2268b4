import { raster } from '../raster/raster';
import { matchTones } from '../tones/match-tones';
import { paintedTones } from './painted-tones';

const WIDTH = 60;
/** Upright stripes, each so many places wide, with strokes across them. */
function painted(parts: readonly (readonly [wide: number, lightness: number, streak: number])[]) {
  const columns = parts.flatMap(([wide, lightness, streak]) =>
    Array.from({ length: wide }, () => ({ lightness, streak })),
  );
  const data = Float32Array.from({ length: columns.length * WIDTH }, (_, i) => {
    const column = columns[i % columns.length] as (typeof columns)[number];
    return column.lightness + column.streak * Math.sin(Math.floor(i / columns.length) * 0.4);
  });
  return raster('lightness', columns.length, WIDTH, 1, data);
}

test('tones are those that were painted, however much there is of each', () => {
  const { tones } = paintedTones(
    painted([
      [90, 92, 2],
      [6, 55, 2],
      [24, 24, 2],
    ]),
    3,
  );
  expect(tones.map((t) => Math.round(t.lightness))).toEqual([92, 55, 24]);
  expect(tones.map((t) => t.share)).toEqual([0.75, 0.05, 0.2]);
  tones.forEach((t) => expect(t.spread).toBeCloseTo(2 / Math.SQRT2, 0));
});

test('a streaky tone is not two, and a painting of fewer tones has fewer', () => {
  expect(
    paintedTones(
      painted([
        [90, 90, 3],
        [40, 25, 3],
      ]),
      4,
    ).tones,
  ).toHaveLength(2);
  expect(paintedTones(painted([[90, 60, 3]]), 3).tones).toHaveLength(1);
});

test('the soft edge between light and dark is no tone of its own', () => {
  const edge = Array.from({ length: 9 }, (_, k) => [1, 92 - 7.5 * (k + 1), 0] as const);
  expect(paintedTones(painted([[60, 92, 1], ...edge, [60, 20, 1]]), 3).tones).toHaveLength(2);
});

test('where a tone is missing the others stand for what most of the picture says', () => {
  const wanted = Uint8Array.from([1, 1, 2, 2, 3, 3, 3, 4]);
  // Painted in two tones: the light with all that is light, the dark with the rest.
  const drawn = Uint8Array.from([1, 1, 2, 2, 2, 2, 2, 2]);
  expect(matchTones(drawn, wanted, [90, 40], [95, 70, 45, 20])).toEqual([1, 3]);
  // Of ways that agree alike, the one whose lightness is nearer.
  expect(matchTones(Uint8Array.from([1, 1, 2]), Uint8Array.from([1, 1, 4]), [90, 46], [95, 70, 45, 20])).toEqual([
    1, 4,
  ]);
  expect(matchTones(Uint8Array.from([1, 1, 2]), Uint8Array.from([1, 1, 1]), [90, 46], [95, 70, 45, 20])).toEqual([
    1, 3,
  ]);
});
