import { PAINT_IDS, type PaintId } from '../exercise/paints';
import { dryOf, fitDryShift, USUAL_SHIFT, wetOf } from './dry-shift';
import { fitPaints, mixToAskFor } from './fit';
import { checkMix, type LoggedMix, loggedMixSchema, NonsenseMix, sameMix, sayParts } from './logged-mix';
import { coveringLab, type Figures, mixModel, paletteOf, type Parts } from './paint-model';

const PAINTS: readonly PaintId[] = ['titanium-white', 'ivory-black'];
const mix = (black: number, lightness: number, more: Partial<LoggedMix> = {}): LoggedMix => ({
  parts: { 'titanium-white': 100 - black, 'ivory-black': black },
  lightness,
  a: null,
  b: null,
  wet: false,
  noise: 1,
  ...more,
});
const strong: Figures = { 'ivory-black': { massTone: [18, 0, 0], tinting: 10 } };
const truth = (parts: Parts) => coveringLab(mixModel(paletteOf(PAINTS, strong), parts), 'matt');
const read = (black: number) => mix(black, truth({ 'titanium-white': 100 - black, 'ivory-black': black })[0]);

test('without mixes the catalogue stands, and is unsure of its greys', () => {
  const fit = fitPaints(PAINTS, [], 'gouache');
  expect(fit.figures['ivory-black']?.tinting).toBeCloseTo(4, 6);
  expect(fit.uncertaintyOf({ 'titanium-white': 95, 'ivory-black': 5 })).toBeGreaterThan(4);
  expect(fit.after).toEqual([]);
});

test('a black far stronger than usual is found from three mixes, and the greys grow surer with each', () => {
  const logs = [read(5), read(100), read(1)];
  const sure = [0, 1, 2, 3].map((n) =>
    fitPaints(PAINTS, logs.slice(0, n), 'gouache').uncertaintyOf({ 'titanium-white': 95, 'ivory-black': 5 }),
  );
  sure.slice(1).forEach((s, i) => expect(s).toBeLessThan((sure[i] ?? 0) + 0.05));
  expect(sure[3]).toBeLessThan(1.1);
  const fit = fitPaints(PAINTS, logs, 'gouache');
  expect(fit.figures['ivory-black']?.tinting).toBeGreaterThan(7);
  expect(Math.max(...fit.after.map(Math.abs))).toBeLessThan(0.5);
  expect(Math.max(...fit.before.map(Math.abs))).toBeGreaterThan(5);
  expect(fit.odd).toEqual([]);
});

test('colour readings settle the cast of a paint', () => {
  const bluish: Figures = { 'ivory-black': { massTone: [18, 0, -6], tinting: 4 } };
  const lab = coveringLab(mixModel(paletteOf(PAINTS, bluish), { 'ivory-black': 1 }), 'matt');
  const fit = fitPaints(PAINTS, [mix(100, lab[0], { a: lab[1], b: lab[2] })], 'gouache');
  expect(fit.figures['ivory-black']?.massTone[2]).toBeLessThan(-2);
});

test('one wrong reading among good ones is pointed out and pulls little', () => {
  const logs = [read(5), read(1), read(20), read(50), { ...read(10), lightness: read(10).lightness + 15 }];
  const fit = fitPaints(PAINTS, logs, 'gouache');
  expect(fit.odd).toEqual([4]);
  expect(Math.max(...fit.after.slice(0, 4).map(Math.abs))).toBeLessThan(2.5);
});

test('wet readings count as what they dry to, and pairs teach the medium’s shift', () => {
  const shift = [8, 5, -4] as const;
  const pairs = [15, 30, 58, 80, 95, 20, 60, 90].map((wet) => ({ wet, dry: dryOf(wet, [...shift]) }));
  const found = fitDryShift(pairs, USUAL_SHIFT.gouache);
  found.forEach((f, i) => expect(f).toBeCloseTo(shift[i] ?? 0, -0.3));
  for (const l of [5, 25, 50, 70, 99]) expect(wetOf(dryOf(l, [...shift]), [...shift])).toBeCloseTo(l, 3);
  fitDryShift([], USUAL_SHIFT.oil).forEach((v, i) => expect(v).toBeCloseTo(USUAL_SHIFT.oil[i] ?? 9, 9));
  const twin = [read(5), { ...read(5), wet: true, lightness: read(5).lightness - 4 }];
  expect(fitPaints(PAINTS, twin, 'gouache').shift[1]).toBeGreaterThan(USUAL_SHIFT.gouache[1]);
});

test('the mix that is asked for next leaves less to doubt than any other would', () => {
  const greys = [1, 3, 8, 20, 60].map((b): Parts => ({ 'titanium-white': 100 - b, 'ivory-black': b }));
  const asked = mixToAskFor(PAINTS, [], greys, greys, 'gouache');
  if (!asked) throw new Error('Nothing was asked for.');
  const left = (parts: Parts) => {
    const { uncertaintyOf } = fitPaints(
      PAINTS,
      [mix(parts['ivory-black'] ?? 0, coveringLab(mixModel(paletteOf(PAINTS), parts), 'matt')[0])],
      'gouache',
    );
    return greys.reduce((sum, g) => sum + uncertaintyOf(g) ** 2, 0);
  };
  for (const other of greys) expect(left(asked)).toBeLessThanOrEqual(left(other) + 1e-9);
  expect(
    mixToAskFor(
      PAINTS,
      greys.map((g) => read(g['ivory-black'] ?? 0)),
      greys,
      greys,
      'gouache',
    ),
  ).toBeNull();
});

const palette = paletteOf(PAINTS);
test.each([
  [mix(50, 99.9), [], /lighter than the lightest paint/],
  [mix(50, 5), [], /darker than the darkest paint/],
  [mix(10, 45), [mix(10, 52), mix(20, 40)], /same mix was read as L\* 52 before and 45 now/],
  [{ ...mix(10, 50), parts: { 'burnt-umber': 1 } }, [], /burnt umber is not on this palette/],
] as const)('a mix that can’t be is refused with why: %#', (given, before, words) => {
  expect(() => checkMix(given, before, palette, 'matt')).toThrow(NonsenseMix);
  expect(() => checkMix(given, before, palette, 'matt')).toThrow(words);
});

test('a mix that can be is taken, again too, and in other numbers', () => {
  checkMix(mix(10, 50), [mix(10, 52), mix(10, 44, { wet: true })], palette, 'matt');
  expect(
    sameMix({ 'titanium-white': 9, 'ivory-black': 1 }, { 'titanium-white': 18, 'ivory-black': 2, 'burnt-umber': 0 }),
  ).toBe(true);
  expect(sameMix({ 'titanium-white': 9, 'ivory-black': 1 }, { 'titanium-white': 8, 'ivory-black': 1 })).toBe(false);
  expect(sayParts({ 'titanium-white': 7.5, 'ivory-black': 1, 'raw-umber': 0 })).toBe(
    '7.5 titanium white : 1 ivory black',
  );
});

test.each([
  [{ parts: {} }, /at least one part/],
  [{ parts: { 'ivory-black': 0 } }, /at least one part/],
  [{ parts: { 'ivory-black': -1 } }, /can’t be negative/],
  [{ lightness: 120 }, /0 to 100/],
  [{ lightness: Number.NaN }, /as a number/],
])('what is no mix is refused: %j', (change, words) => {
  const checked = loggedMixSchema.safeParse({ ...mix(10, 50), ...change });
  expect(checked.success).toBe(false);
  expect(checked.error?.issues[0]?.message).toMatch(words);
});

test('every paint of the catalogue can be fitted along with white', () => {
  for (const id of PAINT_IDS.filter((p) => p !== 'titanium-white')) {
    const parts = { 'titanium-white': 3, [id]: 1 };
    const lab = coveringLab(mixModel(paletteOf(['titanium-white', id]), parts), 'satin');
    const fit = fitPaints(['titanium-white', id], [{ ...mix(0, Math.max(2, lab[0] - 3)), parts }], 'acrylic');
    expect(Number.isFinite(fit.after[0])).toBe(true);
    expect(Math.abs(fit.after[0] ?? 9)).toBeLessThan(Math.abs(fit.before[0] ?? 0));
  }
});
