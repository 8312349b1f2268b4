/** Areas against a count of pixels that shares nothing with them but the picture's outline. */
import fc from 'fast-check';
import sharp from 'sharp';
import { MOTIFS } from '../exercise/terms';
import { defaultTerms } from '../kinds/table';
import { BAND_FRAME, bandPicture, nearestThird } from './band-picture';
import { DoesNotFit } from './motifs';
import { contains, edgeDistance, type Shape } from './shapes';

const terms = defaultTerms('bands');
const PX_PER_MM = 12;

/** Drawn by an image library from SVG and counted. */
async function countedArea(shape: Shape): Promise<number> {
  const { widthMm, heightMm } = BAND_FRAME;
  const d = shape
    .flat()
    .map((ring) => `M${ring.map(([x, y]) => `${x} ${y}`).join('L')}z`)
    .join('');
  const size = `width="${widthMm * PX_PER_MM}" height="${heightMm * PX_PER_MM}" viewBox="0 0 ${widthMm} ${heightMm}"`;
  const white = '<rect width="100%" height="100%" fill="#fff"/>';
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${white}<path fill-rule="evenodd" d="${d}"/></svg>`;
  const { data } = await sharp(Buffer.from(svg))
    .removeAlpha()
    .extractChannel(0)
    .raw()
    .toBuffer({ resolveWithObject: true });
  let covered = 0;
  for (const v of data) covered += 1 - v / 255;
  return covered / PX_PER_MM ** 2;
}

test.each(MOTIFS)('the areas of %s agree with counted pixels to half a percent', async (motif) => {
  for (const silhouettes of ['drawn', 'own'] as const) {
    const picture = bandPicture({ ...terms, motif, silhouettes, lamp: { x: 0.45, y: 0.42 } });
    for (const band of [...picture.bands, ...(picture.silhouette ? [picture.silhouette] : [])]) {
      const counted = await countedArea(band.shape);
      expect(Math.abs(band.areaMm2 - counted)).toBeLessThan(0.005 * counted);
    }
  }
});

test('bands and silhouette fill the frame once', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MOTIFS),
      fc.integer({ min: 3, max: 9 }),
      fc.double({ min: 0.4, max: 0.6, noNaN: true }),
      (motif, steps, x) => {
        const picture = bandPicture({ ...terms, motif, steps, brushMm: 3, lamp: { x, y: 0.45 } });
        const sum = picture.bands.reduce((s, b) => s + b.areaMm2, picture.silhouette?.areaMm2 ?? 0);
        expect(sum).toBeCloseTo(180 * 150, 3);
      },
    ),
    { numRuns: 40 },
  );
});

test('between its two neighbours no band is narrower than the brush', () => {
  for (const motif of MOTIFS)
    for (const steps of [4, 6, 8])
      for (const brushMm of [3, 6]) {
        const { bands } = bandPicture({
          ...terms,
          motif,
          steps,
          brushMm,
          silhouettes: 'own',
          lamp: { x: 0.45, y: 0.45 },
        });
        for (let k = 1; k + 1 < bands.length; k++) {
          const [before, band, after] = [bands[k - 1], bands[k], bands[k + 1]].map((b) => b?.shape ?? []) as [
            Shape,
            Shape,
            Shape,
          ];
          const shared = band.flat(2).filter(([x, y]) => edgeDistance(before, x, y) < 1e-6);
          expect(shared.length).toBeGreaterThan(3);
          for (const [x, y] of shared) expect(edgeDistance(after, x, y)).toBeGreaterThanOrEqual(0.99 * brushMm);
        }
      }
});

test('what does not fit says what to change', () => {
  expect(() => bandPicture({ ...terms, motif: 'stairwell', steps: 15, brushMm: 10 })).toThrow(DoesNotFit);
  expect(() => bandPicture({ ...terms, motif: 'ranges', steps: 15, brushMm: 12 })).toThrow(
    /do not fit here: take up to \d+ bands, a smaller brush/,
  );
  expect(() => bandPicture({ ...terms, motif: 'glow', steps: 15, brushMm: 20 })).toThrow(DoesNotFit);
});

test('the light is told from the nearest crossing of thirds', () => {
  expect(nearestThird(BAND_FRAME, { x: 1 / 3, y: 2 / 3 }).distanceMm).toBeCloseTo(0, 9);
  expect(nearestThird(BAND_FRAME, { x: 0.4, y: 0.3 })).toMatchObject({ at: [60, 50] });
  expect(nearestThird(BAND_FRAME, { x: 0.5, y: 0.5 }).distanceMm).toBeCloseTo(Math.hypot(30, 25), 9);
});

test('every band that shows has a place for its number inside it', () => {
  for (const motif of MOTIFS)
    for (const { shape, numberAt } of bandPicture({ ...terms, motif, lamp: { x: 0.45, y: 0.42 } }).bands)
      expect(numberAt && contains(shape, ...numberAt)).toBe(true);
});
