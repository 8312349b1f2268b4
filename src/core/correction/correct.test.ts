import fc from 'fast-check';
import { lightnessToLuminance, linearRgbToLab, luminanceToLightness } from '../colour/lab';
import { linearToCode, LINEAR_OF_CODE } from '../colour/srgb';
import { glazed } from '../mixing/layers';
import { paletteOf } from '../mixing/paint-model';
import { corrected, correctBy, type Picture } from './correct';
import type { Change, Layer, MaskEdit } from './layer';
import { weightsOf } from './mask';

const [WIDTH, HEIGHT] = [120, 90];
const BOX: MaskEdit = {
  kind: 'outline',
  points: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.75, 0.75],
    [0.25, 0.75],
  ],
  adds: true,
};
const EVERYWHERE: MaskEdit = {
  ...BOX,
  points: [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ],
};
const layer = (change: Change, edits: MaskEdit[] = [BOX], soft = 0.03): Layer => ({
  ...{ id: 'one', name: '', change, mask: { edits, soft } },
});

/** A picture of one hue whose lightness is as a function of the place says. */
function picture(lightness: (x: number, y: number) => number, tint = [1, 0.9, 0.75]): Picture {
  const data = new Float32Array(3 * WIDTH * HEIGHT);
  for (let i = 0; i < WIDTH * HEIGHT; i++) {
    const y = lightnessToLuminance(lightness(i % WIDTH, Math.floor(i / WIDTH)));
    for (let c = 0; c < 3; c++) data[3 * i + c] = y * (tint[c] as number);
  }
  return { width: WIDTH, height: HEIGHT, data };
}
const rgbAt = ({ data }: Picture, x: number, y: number) => {
  const p = 3 * (y * WIDTH + x);
  return [data[p] as number, data[p + 1] as number, data[p + 2] as number] as const;
};
const lightnessAt = (own: Picture, x: number, y: number) => linearRgbToLab(rgbAt(own, x, y))[0];
/** As a file of eight bits keeps it. */
const written = (own: Picture): Picture => ({
  ...own,
  data: own.data.map((v) => LINEAR_OF_CODE[linearToCode(v)] as number),
});

/** Mean lightness over what a mask reaches wholly. */
function meanInside(own: Picture, edits: MaskEdit[], soft = 0.03): number {
  const weights = weightsOf({ edits, soft }, own);
  if (!weights) return NaN;
  const { box, wide, data } = weights;
  let [n, sum] = [0, 0];
  data.forEach((w, k) => {
    if (w < 0.999) return;
    n++;
    sum += lightnessAt(own, box[0] + (k % wide), box[1] + Math.floor(k / wide));
  });
  return sum / n;
}

test('a shape changes by as much as was wanted, whatever its texture, its colour and its softness', () => {
  const cases = fc.record({
    from: fc.double({ min: 18, max: 88, noNaN: true }),
    by: fc.double({ min: -14, max: 14, noNaN: true }),
    rough: fc.double({ min: 0, max: 9, noNaN: true }),
    soft: fc.double({ min: 0, max: 0.08, noNaN: true }),
    tint: fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.6, max: 1, noNaN: true }))),
  });
  fc.assert(
    fc.property(cases, ({ from, by, rough, soft, tint }) => {
      const was = picture((x, y) => from + rough * Math.sin(x * 1.7) * Math.cos(y * 2.3), [...tint]);
      const before = meanInside(was, [BOX], soft);
      // Nothing is darker than black, or lighter than white.
      fc.pre(before + by > 0.5 && before + by < 99.5);
      const is = written(corrected(was, [layer({ kind: 'lightness', by }, [BOX], soft)]));
      expect(Math.abs(meanInside(is, [BOX], soft) - before - by)).toBeLessThan(0.5);
    }),
    { numRuns: 60 },
  );
});

test('what is nearly black goes as far as it can, and the rest goes further for it', () => {
  const was = picture((x) => (x % 2 === 0 ? 4 : 30));
  const is = corrected(was, [layer({ kind: 'lightness', by: -10 })]);
  expect(meanInside(is, [BOX]) - meanInside(was, [BOX])).toBeCloseTo(-10, 0);
});

test('what was not drawn stays, and so does the picture itself', () => {
  const was = picture((x, y) => 40 + 0.2 * x + 0.1 * y);
  const before = was.data.slice();
  const is = corrected(was, [layer({ kind: 'lightness', by: 8 })]);
  expect(was.data).toEqual(before);
  expect(lightnessAt(is, 20, 45)).toBeCloseTo(lightnessAt(was, 20, 45), 4);
  expect(lightnessAt(is, 60, 15)).toBeCloseTo(lightnessAt(was, 60, 15), 4);
});

test('a change of light keeps the colour', () => {
  const was = picture(() => 40, [1, 0.8, 0.6]);
  const is = corrected(was, [layer({ kind: 'lightness', by: 12 })]);
  const [r, g, b] = rgbAt(is, 60, 45);
  expect(g / r).toBeCloseTo(0.8, 3);
  expect(b / r).toBeCloseTo(0.6, 3);
});

test('light comes before colour where a colour can’t be so light', () => {
  const was = picture(() => 80, [1, 0.4, 0.2]);
  const is = corrected(was, [layer({ kind: 'lightness', by: 15 }, [BOX], 0)]);
  expect(Math.max(...rgbAt(is, 60, 45))).toBeLessThanOrEqual(1.0001);
  expect(lightnessAt(is, 60, 45)).toBeCloseTo(lightnessAt(was, 60, 45) + 15, 1);
});

test('a rim fades, and the middle gets all of it', () => {
  const was = picture(() => 50, [1, 1, 1]);
  const is = corrected(was, [layer({ kind: 'lightness', by: -20 }, [BOX], 0.08)]);
  expect(lightnessAt(is, 60, 45)).toBeCloseTo(30, 1);
  const rim = lightnessAt(is, 32, 45);
  expect(rim).toBeGreaterThan(31);
  expect(rim).toBeLessThan(49.9);
});

test.each([
  ['nothing', [] as MaskEdit[]],
  ['what was taken away again', [BOX, { ...BOX, adds: false }]],
  [
    'a line without any width',
    [
      {
        ...BOX,
        points: [
          [0.2, 0.2],
          [0.8, 0.8],
          [0.2, 0.2],
        ] as [number, number][],
      },
    ],
  ],
])('a mask of %s changes nothing', (_, edits) => {
  const was = picture(() => 50);
  expect(correctBy({ ...was, data: was.data.slice() }, layer({ kind: 'lightness', by: 9 }, edits))).toBeNull();
  expect(corrected(was, [layer({ kind: 'lightness', by: 9 }, edits)]).data).toEqual(was.data);
});

test.each<[string, Change]>([
  ['lightness', { kind: 'lightness', by: 10 }],
  ['a shape', { kind: 'shape', lightness: 70 }],
  ['softening', { kind: 'soften', by: 0.02 }],
  ['a move', { kind: 'move', dx: 0.1, dy: 0, wider: 1.2, taller: 1, turn: 20 }],
])('a mask of all of the picture is carried out too: %s', (_, change) => {
  const is = corrected(
    picture(() => 50),
    [layer(change, [EVERYWHERE], 0.05)],
  );
  expect(is.data.every((v) => Number.isFinite(v))).toBe(true);
  if (change.kind === 'lightness') expect(lightnessAt(is, 0, 0)).toBeCloseTo(lightnessAt(is, 60, 45), 3);
});

test('brush strokes add to a mask, and take from it', () => {
  const stroke: MaskEdit = { kind: 'stroke', width: 0.2, points: [0.1, 0.5, 0.9, 0.5], adds: true };
  const taken: MaskEdit = { ...stroke, points: [0.5, 0.3, 0.5, 0.7], adds: false };
  const was = picture(() => 50);
  const is = corrected(was, [layer({ kind: 'lightness', by: 10 }, [stroke, taken], 0)]);
  expect(lightnessAt(is, 20, 45)).toBeCloseTo(lightnessAt(was, 20, 45) + 10, 1);
  expect(lightnessAt(is, 60, 45)).toBeCloseTo(lightnessAt(was, 60, 45), 3);
});

test.each([0.01, 0.04, 0.1])('a glaze of %s mm is what the mixing model says, within 1 L*', (mm) => {
  const [[paint, model]] = paletteOf(['burnt-umber']) as unknown as [['burnt-umber', never]];
  const glaze = { kind: 'glaze' as const, paint, model, surface: 'gloss' as const, mm };
  for (const ground of [12, 30, 50, 70, 92]) {
    const was = picture(() => ground, [1, 1, 1]);
    const is = written(corrected(was, [layer(glaze, [BOX], 0)]));
    const wanted = glazed(ground, model, mm, 'gloss');
    expect(Math.abs(lightnessAt(is, 60, 45) - wanted[0])).toBeLessThan(1);
  }
});

test('a new shape has its value, and the colour of what it lies on', () => {
  const was = picture((x) => 30 + 0.3 * x, [1, 0.9, 0.8]);
  const is = corrected(was, [layer({ kind: 'shape', lightness: 64 }, [BOX], 0)]);
  expect(lightnessAt(is, 40, 45)).toBeCloseTo(64, 3);
  expect(lightnessAt(is, 80, 45)).toBeCloseTo(64, 3);
  const [r, , b] = rgbAt(is, 60, 45);
  expect(b / r).toBeCloseTo(0.8, 2);
});

test('an edge that is softened goes over slowly, and no light is lost', () => {
  const was = picture((x) => (x < 60 ? 30 : 70), [1, 1, 1]);
  const is = corrected(was, [layer({ kind: 'soften', by: 0.03 }, [BOX], 0)]);
  expect(lightnessAt(is, 59, 45)).toBeGreaterThan(38);
  const light = (own: Picture) =>
    Array.from({ length: 60 }, (_, k) => rgbAt(own, 30 + k, 45)[0]).reduce((a, b) => a + b, 0);
  expect(light(is) / light(was)).toBeCloseTo(1, 2);
});

describe('a thing that is moved', () => {
  const DARK: MaskEdit = {
    ...BOX,
    points: [
      [0.2, 0.3],
      [0.45, 0.3],
      [0.45, 0.6],
      [0.2, 0.6],
    ],
  };
  const inside = (x: number, y: number) => x >= 28 && x < 50 && y >= 30 && y < 51;
  const was = picture((x, y) => (inside(x, y) ? 20 : 70), [1, 1, 1]);
  const move = { kind: 'move' as const, dx: 0.3, dy: 0.1, wider: 1, taller: 1, turn: 0 };

  test('stands where it was set, and its place is filled from about it', () => {
    const is = corrected(was, [layer(move, [DARK], 0)]);
    expect(lightnessAt(is, 39 + 36, 40 + 9)).toBeCloseTo(20, 1);
    expect(lightnessAt(is, 35, 40)).toBeCloseTo(70, 1);
  });

  test('is wider, and turned, about its middle', () => {
    const wide = corrected(was, [layer({ ...move, dx: 0, dy: 0, wider: 1.8 }, [DARK], 0)]);
    expect(lightnessAt(wide, 23, 40)).toBeCloseTo(20, 1);
    const turned = corrected(was, [layer({ ...move, dx: 0, dy: 0, wider: 2, turn: 90 }, [DARK], 0)]);
    expect(lightnessAt(turned, 39, 22)).toBeCloseTo(20, 1);
    expect(lightnessAt(turned, 22, 40)).toBeCloseTo(70, 1);
  });

  test('that leaves the picture is gone from it', () => {
    const is = corrected(was, [layer({ ...move, dx: 1 }, [DARK], 0)]);
    expect(lightnessAt(is, 39, 40)).toBeCloseTo(70, 1);
    expect(is.data.every((v) => Number.isFinite(v))).toBe(true);
  });
});

test('layers are carried out one after the other', () => {
  const was = picture(() => 40, [1, 1, 1]);
  const is = corrected(was, [layer({ kind: 'lightness', by: 10 }), layer({ kind: 'lightness', by: -4 })]);
  expect(luminanceToLightness(rgbAt(is, 60, 45)[0])).toBeCloseTo(46, 1);
});
