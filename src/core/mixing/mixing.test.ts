/** Reference values that hold for any paint, and the closed form of a film against the equations that it solves. */
import fc from 'fast-check';
import { PAINT_IDS, type PaintId } from '../exercise/paints';
import { absorptionRatio, coveringReflectance, filmReflectance } from './kubelka-munk';
import { coatsToCover, coveringLab, filmRgb, mixModel, modelOf, paletteOf } from './paint-model';
import { shareFor } from './reach';
import { internalReflectance, seenReflectance, SURFACES, type SurfaceId } from './surface';

const surfaces = Object.keys(SURFACES) as SurfaceId[];
const palette = paletteOf(PAINT_IDS);
const anyPaint = fc.constantFrom(...PAINT_IDS);
const anySurface = fc.constantFrom(...surfaces);
const amount = fc.double({ min: 0.01, max: 8, noNaN: true });

/** Runge-Kutta of fourth order on dR/dx = S - 2 (K + S) R + S R^2, from the ground upwards. */
function integrated(k: number, s: number, x: number, ground: number): number {
  const slope = (r: number) => s - 2 * (k + s) * r + s * r * r;
  const steps = 20_000;
  const h = x / steps;
  let r = ground;
  for (let i = 0; i < steps; i++) {
    const a = slope(r);
    const b = slope(r + (h / 2) * a);
    const c = slope(r + (h / 2) * b);
    r += (h / 6) * (a + 2 * b + 2 * c + slope(r + h * c));
  }
  return r;
}

test.each([
  [0.5, 2, 0.7, 0.9],
  [12, 0.5, 0.2, 0.8],
  [0, 3, 1.1, 0.05],
  [4, 0, 0.3, 0.6],
  [1e-4, 1, 5, 0.02],
  [30, 5, 0.01, 1],
])('a film of K %d, S %d, %d thick over %d is what the two fluxes give', (k, s, x, ground) => {
  expect(filmReflectance(k, s, x, ground)).toBeCloseTo(integrated(k, s, x, ground), 6);
});

test('layers chain: two films are one of both thicknesses, none is the ground, a thick one the mass tone', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 20, noNaN: true }),
      fc.double({ min: 0.001, max: 20, noNaN: true }),
      fc.double({ min: 0.001, max: 0.5, noNaN: true }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (k, s, x, ground) => {
        expect(filmReflectance(k, s, x, filmReflectance(k, s, x, ground))).toBeCloseTo(
          filmReflectance(k, s, 2 * x, ground),
          9,
        );
        expect(filmReflectance(k, s, 0, ground)).toBe(ground);
        expect(filmReflectance(k, s, 1e4, ground)).toBeCloseTo(coveringReflectance(k, s), 9);
        expect(coveringReflectance(absorptionRatio(ground), 1)).toBeCloseTo(ground, 9);
      },
    ),
  );
  expect(() => filmReflectance(-1, 1, 1, 1)).toThrow(RangeError);
  expect(() => absorptionRatio(0)).toThrow(RangeError);
});

test('a paint mixed with itself changes nothing, and neither do order or scale', () => {
  fc.assert(
    fc.property(anyPaint, anyPaint, amount, amount, anySurface, (a, b, p, q, surface) => {
      expect(coveringLab(mixModel(palette, { [a]: p + q }), surface)[0]).toBeCloseTo(
        coveringLab(mixModel(palette, { [a]: 1 }), surface)[0],
        9,
      );
      const [one, other] = [
        mixModel(palette, { [a]: p, [b]: q }),
        mixModel(palette, { [b]: 3 * q, [a]: a === b ? 3 * q : 3 * p }),
      ];
      if (a !== b)
        coveringLab(one, surface).forEach((v, c) => expect(v).toBeCloseTo(coveringLab(other, surface)[c] ?? 0, 9));
    }),
  );
});

test('lightness falls with black, and the share for a lightness gives it back', () => {
  const [white, black] = [palette.get('zinc-white'), palette.get('mars-black')];
  if (!white || !black) throw new Error('paints');
  for (const surface of surfaces) {
    const found = [90, 75, 60, 45, 30].map((l) => shareFor(white, black, l, surface));
    expect(found.map((f) => f.share)).toEqual([...found.map((f) => f.share)].sort((a, b) => a - b));
    found.forEach((f, i) => expect(f.lightness).toBeCloseTo([90, 75, 60, 45, 30][i] ?? 0, 6));
    expect(shareFor(white, black, 99, surface)).toMatchObject({ share: 0, reachable: false });
    expect(shareFor(white, black, 1, surface)).toMatchObject({ share: 1, reachable: false });
  }
});

test('step 2 of nine takes about half a percent of ivory black in titanium white', () => {
  const [white, black] = [palette.get('titanium-white'), palette.get('ivory-black')];
  if (!white || !black) throw new Error('paints');
  const { share } = shareFor(white, black, 87, 'matt');
  expect(share).toBeGreaterThan(0.003);
  expect(share).toBeLessThan(0.008);
});

test('a medium’s surface sets how dark its blacks can be, as studios know them', () => {
  const dark = (surface: SurfaceId) => coveringLab(mixModel(palette, { 'ivory-black': 1 }), surface)[0];
  expect(dark('matt')).toBeGreaterThan(20);
  expect(dark('matt')).toBeLessThan(28);
  expect(dark('satin')).toBeCloseTo(16, 3);
  expect(dark('gloss')).toBeLessThan(dark('satin'));
  fc.assert(
    fc.property(fc.double({ min: 0.06, max: 0.9, noNaN: true }), anySurface, (r, surface) =>
      expect(seenReflectance(internalReflectance(r, surface), surface)).toBeCloseTo(r, 9),
    ),
  );
});

test('the catalogue’s paints look from the tube as it says', () => {
  for (const id of PAINT_IDS.filter(
    (p) =>
      ![
        'ultramarine',
        'cadmium-yellow',
        'lemon-yellow',
        'phthalo-blue',
        'phthalo-green',
        'cobalt-blue',
        'cerulean-blue',
      ].includes(p),
  )) {
    const figures = {
      massTone: coveringLab(mixModel(palette, { [id]: 1 }), 'satin') as [number, number, number],
      tinting: 1,
    };
    expect(coveringLab(modelOf(figures, false), 'satin')[0]).toBeCloseTo(figures.massTone[0], 1);
  }
  const lightest = (id: PaintId) => coveringLab(mixModel(palette, { [id]: 1 }), 'satin');
  expect(lightest('cadmium-red')[1]).toBeGreaterThan(40);
  expect(lightest('lemon-yellow')[2]).toBeGreaterThan(60);
});

test('a film of no thickness is the ground, and enough coats cover it', () => {
  const model = mixModel(palette, { 'titanium-white': 1 });
  const black = [0.02, 0.02, 0.02] as const;
  filmRgb(model, 0, black, 'matt').forEach((v) => expect(v).toBe(0.02));
  filmRgb(model, 0, [0.3, 0.5, 0.7], 'gloss').forEach((v, c) => expect(v).toBeCloseTo([0.3, 0.5, 0.7][c] ?? 0, 9));
  expect(coatsToCover(model, 0.15, black, 'matt')).toBeGreaterThan(1);
  expect(coatsToCover(mixModel(palette, { 'ivory-black': 1 }), 0.15, [0.9, 0.9, 0.9], 'matt')).toBe(1);
});

test('what can’t be mixed is told', () => {
  expect(() => mixModel(palette, {})).toThrow('at least one part');
  expect(() => mixModel(palette, { 'ivory-black': -1 })).toThrow('negative');
  expect(() => mixModel(paletteOf(['ivory-black']), { 'titanium-white': 1 })).toThrow('not on this palette');
});
