import { labToLinearRgb, linearRgbToLab } from '../colour/lab';
import { hueTurn, linearRgbToOklab, turnsTowards } from '../colour/oklab';
import type { PaintId } from '../exercise/paints';
import { glazed, underpaintingFor } from './layers';
import { limitedReach } from './limited';
import { coveringLab, filmRgb, mixModel, paletteOf } from './paint-model';
import { reachColour } from './reach';
import { dabVerdict } from './verdict';
import { darksOf, waysTo } from './ways';

const studio: PaintId[] = [
  'titanium-white',
  'ivory-black',
  'cadmium-red',
  'lemon-yellow',
  'ultramarine',
  'burnt-umber',
  'phthalo-green',
  'yellow-ochre',
  'rose-madder-hue',
];
const palette = paletteOf(studio);

test('Oklab gives the published values, and hue turns the short way round', () => {
  // B. Ottosson's own table: XYZ (0.950, 1, 1.089) is (1, 0, 0).
  linearRgbToOklab([1, 1, 1]).forEach((v, i) => expect(v).toBeCloseTo(i === 0 ? 1 : 0, 4));
  expect(linearRgbToOklab([1, 0, 0])[0]).toBeCloseTo(0.628, 3);
  expect(hueTurn([1, 0, 0], [1, 1, 0])).toBeGreaterThan(60);
  expect(hueTurn([1, 1, 0], [1, 0, 0])).toBeLessThan(-60);
  expect(hueTurn([0.5, 0.5, 0.5], [1, 0, 0])).toBeNull();
  const yellow = labToLinearRgb([88, -8, 78]);
  expect([
    turnsTowards(yellow, 4),
    turnsTowards(yellow, -4),
    turnsTowards([1, 0, 0], 3),
    turnsTowards([0, 0, 1], 3),
  ]).toEqual(['green', 'orange', 'orange', 'violet']);
});

test('a red is lightened by white or a lighter neighbour, darkened by black or its complement', () => {
  const lighter = waysTo(palette, 'cadmium-red', 62, 'satin').filter((w) => w.reachable);
  expect(lighter.map((w) => w.role)).toContain('white');
  expect(lighter.map((w) => w.role)).toContain('lighter-neighbour');
  const [white, neighbour] = [
    lighter.find((w) => w.role === 'white'),
    lighter.find((w) => w.role === 'lighter-neighbour'),
  ];
  expect(neighbour?.chroma).toBeGreaterThan(white?.chroma ?? 0);
  const darker = waysTo(palette, 'cadmium-red', 32, 'satin').filter((w) => w.reachable);
  expect(darker.map((w) => w.role)).toEqual(expect.arrayContaining(['black', 'complement']));
  for (const w of [...lighter, ...darker]) expect(w.lab[0]).toBeCloseTo(lighter.includes(w) ? 62 : 32, 3);
  expect(waysTo(palette, 'cadmium-red', 99, 'satin').every((w) => !w.reachable)).toBe(true);
});

test('only what greys a paint is its complement; what comes nearest is told with the colour that stays', () => {
  const role = (start: PaintId, by: PaintId) => {
    const way = waysTo(palette, start, start === 'ultramarine' ? 40 : 60, 'satin').find((w) => w.by === by);
    return way && [way.role, way.still];
  };
  // Red and a bluish green meet in a grey; yellow and blue lie across the circle, and make greens all the way.
  expect(role('cadmium-red', 'phthalo-green')).toEqual(['complement', null]);
  expect(role('phthalo-green', 'cadmium-red')).toEqual(['complement', null]);
  expect(role('lemon-yellow', 'ultramarine')).toEqual(['nearest-complement', 'green']);
  expect(role('ultramarine', 'lemon-yellow')).toEqual(['nearest-complement', 'green']);
  for (const start of studio)
    for (const way of waysTo(palette, start, 40, 'satin'))
      expect(way.still !== null).toBe(way.role === 'nearest-complement');
  // A black has no colour that could be greyed.
  expect(waysTo(palette, 'ivory-black', 40, 'satin').map((w) => w.role)).not.toContain('complement');
});

test('darks of three schools, the darkest first, with the drift of their greys', () => {
  const darks = darksOf(palette, 'satin');
  expect(new Set(darks.map((d) => d.school))).toEqual(new Set(['tube', 'earths', 'complements']));
  expect(darks.map((d) => d.lab[0])).toEqual(darks.map((d) => d.lab[0]).sort((a, b) => a - b));
  expect(darks.find((d) => d.school === 'tube')?.warmth).toBeCloseTo(0, 9);
  for (const d of darks) expect(d.lab[0]).toBeLessThan(35);
});

test('a colour is reached where it can be, and else the nearest is told with its distance', () => {
  const parts = { 'titanium-white': 3, 'cadmium-red': 1, 'yellow-ochre': 1 };
  const wanted = coveringLab(mixModel(palette, parts), 'satin');
  expect(reachColour(palette, wanted, 'satin').off).toBeLessThan(0.5);
  const far = reachColour(palette, [50, -80, 60], 'satin');
  expect(far.off).toBeGreaterThan(10);
  expect(Object.values(far.parts).reduce((a, b) => a + (b ?? 0), 0)).toBeCloseTo(1, 9);
  expect(() => reachColour(paletteOf([]), wanted, 'satin')).toThrow(RangeError);
});

test('an underpainting must be lighter than what a dark glaze is to give, and a glaze that covers keeps nothing', () => {
  const umber = mixModel(palette, { 'burnt-umber': 1 });
  const [middle] = underpaintingFor([50], umber, 0.0008, { light: 95, dark: 20 }, 'gloss');
  expect(middle?.kept).toBe(true);
  expect(middle?.below).toBeGreaterThan(52);
  expect(glazed(middle?.below ?? 0, umber, 0.0008, 'gloss')[0]).toBeCloseTo(50, 3);
  const covered = underpaintingFor([90, 60], umber, 0.3, { light: 95, dark: 20 }, 'gloss');
  expect(covered.every((u) => !u.kept)).toBe(true);
  const milky = underpaintingFor(
    [22],
    mixModel(palette, { 'titanium-white': 1 }),
    0.01,
    { light: 95, dark: 20 },
    'gloss',
  );
  expect(milky[0]).toMatchObject({ kept: false, below: 20 });
});

test('a paint fewer loses colours, and white loses the lights', () => {
  const few = paletteOf(['titanium-white', 'ivory-black', 'yellow-ochre', 'cadmium-red']);
  const { reach, losses } = limitedReach(few, 'satin');
  expect(reach.light).toBeCloseTo(97, 1);
  for (const l of losses) expect(l.lost).toBeGreaterThan(0);
  expect(losses.find((l) => l.without === 'titanium-white')?.reach.light).toBeLessThan(75);
  expect(losses.find((l) => l.without === 'ivory-black')?.reach.dark).toBeGreaterThan(reach.dark + 5);
  expect(losses.map((l) => l.lost)).toEqual(losses.map((l) => l.lost).sort((a, b) => a - b));
  expect(() => limitedReach(paletteOf(['ivory-black']), 'satin')).toThrow('2 to 8');
});

test('a dab is right, too thin, or another mix; where thin and lighter look alike it says so', () => {
  const ochre = mixModel(palette, { 'yellow-ochre': 2, 'burnt-umber': 1 });
  const paper = labToLinearRgb([95, 0, -1]);
  const thin = linearRgbToLab(filmRgb(ochre, 0.01, paper, 'matt'));
  const others = [1, 2, 4, 8].map((w) =>
    coveringLab(mixModel(palette, { 'yellow-ochre': 2, 'burnt-umber': 1, 'titanium-white': w }), 'matt'),
  );
  expect(dabVerdict(coveringLab(ochre, 'matt'), ochre, paper, others, 'matt')).toBe('right');
  expect(dabVerdict(thin, ochre, paper, [], 'matt')).toBe('too-thin');
  expect(dabVerdict([40, 30, -30], ochre, paper, others, 'matt')).toBe('wrong-mix');
  const grey = mixModel(palette, { 'titanium-white': 10, 'ivory-black': 1 });
  const greys = [20, 30, 50, 80, 150].map((w) =>
    coveringLab(mixModel(palette, { 'titanium-white': w, 'ivory-black': 1 }), 'matt'),
  );
  const thinGrey = linearRgbToLab(filmRgb(grey, 0.006, paper, 'matt'));
  expect(dabVerdict(thinGrey, grey, paper, greys, 'matt')).toBe('too-thin-or-wrong');
});
