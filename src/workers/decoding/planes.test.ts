/** Planes as pictures: what comes back is what was kept. */
import { raster } from '@/core/raster/raster';
import fc from 'fast-check';
import { lightnessFromPng, lightnessToPng, planesFromPng, planesToPng } from './planes';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';

/** Codes are kept to a tenth of an L*; so near to the top they end at it. */
const HALF_A_STEP = (64 * 100) / 65535 / 2;

test('continuous lightness comes back to half a tenth', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.float({ min: 0, max: 100, noNaN: true }), { minLength: 6, maxLength: 6 }),
      async (l) => {
        const png = await lightnessToPng(raster('lightness', 3, 2, 1, Float32Array.from(l)));
        const back = await lightnessFromPng(png);
        expect([back.width, back.height]).toEqual([3, 2]);
        l.forEach((v, i) => expect(Math.abs((back.data[i] as number) - v)).toBeLessThanOrEqual(HALF_A_STEP + 1e-5));
      },
    ),
    { numRuns: 30 },
  );
});

test('it is a grey picture that anybody can open, and nothing outside 0 to 100 comes of it', async () => {
  const png = await lightnessToPng(raster('lightness', 2, 1, 1, Float32Array.from([-3, 104])));
  expect(await sharp(png).metadata()).toMatchObject({ format: 'png', depth: 'ushort', channels: 1 });
  expect([...(await lightnessFromPng(png)).data]).toEqual([0, 100]);
});

test('tones and named shapes come back as they were', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-planes-'));
  const plane = (...toneOf: number[]) => ({ width: 2, height: 2, toneOf: Uint8Array.from(toneOf) });
  const kept = { wanted: plane(1, 2, 3, 4), drawn: plane(4, 4, 0, 1), nameOf: Uint8Array.from([0, 1, 17, 0]) };
  await writeFile(path.join(folder, 'planes'), await planesToPng(kept));
  expect(await planesFromPng(path.join(folder, 'planes'))).toEqual(kept);
  await rm(folder, { recursive: true });
});
