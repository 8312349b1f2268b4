/** One photograph in every format that phones and scanners send: what is read of it is the same. */
import { linearRgbToLab } from '@/core/colour/lab';
import { applyMatrix } from '@/core/colour/primaries';
import { LINEAR_OF_CODE, type Triple } from '@/core/colour/srgb';
import { defaultScale } from '@/core/exercise/scale';
import type { Photo } from '@/core/raster/photo';
import { measureScale } from '@/core/scale/measure';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { losslessPng } from '../tasks/lossless';
import { decodePhoto, inspectPicture } from './decode';
import { loadOpenCv } from './opencv';
import { readQr } from './read-qr';

/** A simulated photograph whose paint is known, kept as HEIC since nothing here can write that. */
const HEIC = path.resolve('src/workers/decoding/fixtures/sheet.heic');
const TRUTH = [95.49, 84.53, 71.86, 60.8, 47.61, 36.04, 23.99];
/** Its printer is no nominal one: it reads everything alike by so much. */
const BIAS = 1.5;

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-formats-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function lightnessIn(photo: Photo): Promise<number[]> {
  const { cv } = await loadOpenCv();
  const result = await measureScale(
    photo,
    { terms: defaultScale('gouache', 7), hue: true, expected: { exercise: null, student: null } },
    { cv, readQr },
  );
  expect(result.capture.accepted).toBe(true);
  return result.steps.map((s) => s.lightness);
}

test('HEIC is read; its lossless copy and TIFF keep every code, AVIF says the same', async () => {
  const heic = await decodePhoto(HEIC);
  const own = await lightnessIn(heic);
  own.forEach((l, i) => expect(Math.abs(l - (TRUTH[i] ?? 0))).toBeLessThan(BIAS));
  const png = await losslessPng({ task: 'lossless', file: HEIC });
  const kept = await decodePhoto(Buffer.from(png));
  expect(Buffer.compare(kept.stored.data, heic.stored.data)).toBe(0);
  const copy = sharp(Buffer.from(png));
  expect(
    Buffer.compare(
      (await decodePhoto(await copy.clone().tiff({ compression: 'lzw' }).toBuffer())).stored.data,
      heic.stored.data,
    ),
  ).toBe(0);
  const avif = await lightnessIn(await decodePhoto(await copy.clone().avif({ quality: 80, effort: 1 }).toBuffer()));
  avif.forEach((l, i) => expect(Math.abs(l - (own[i] ?? 0))).toBeLessThan(0.3));
});

const labAt = (photo: Photo): Triple => {
  const linear = [0, 1, 2].map((c) => LINEAR_OF_CODE[photo.stored.data[c] ?? 0] ?? 0) as unknown as Triple;
  return linearRgbToLab(photo.primaries ? applyMatrix(photo.primaries, linear) : linear);
};

test('a wide-gamut photograph keeps its codes and its meaning; taken for sRGB its colours would be paler', async () => {
  const red = { create: { width: 8, height: 8, channels: 3 as const, background: { r: 230, g: 60, b: 40 } } };
  const plain = labAt(await decodePhoto(await sharp(red).png().toBuffer()));
  const wideFile = await sharp(red).withIccProfile('p3').png().toBuffer();
  const wide = await decodePhoto(wideFile);
  expect(wide.primaries).not.toBeNull();
  labAt(wide).forEach((v, i) => expect(Math.abs(v - (plain[i] ?? 0))).toBeLessThan(1.2));
  const mistaken = labAt({ ...wide, primaries: null });
  expect(Math.hypot(mistaken[1], mistaken[2])).toBeLessThan(Math.hypot(plain[1], plain[2]) - 6);
  // What is kept of a TIFF with such a profile is read by the same profile.
  const tiff = path.join(folder, 'wide.tif');
  writeFileSync(tiff, await sharp(red).withIccProfile('p3').tiff().toBuffer());
  expect(await inspectPicture(tiff)).toMatchObject({ format: 'tiff' });
  const kept = await decodePhoto(Buffer.from(await losslessPng({ task: 'lossless', file: tiff })));
  labAt(kept).forEach((v, i) => expect(Math.abs(v - (plain[i] ?? 0))).toBeLessThan(1.2));
});

test('a file cut off in the middle is told, whatever it is', async () => {
  const whole = await readFile(HEIC);
  await expect(decodePhoto(whole.subarray(0, 30_000))).rejects.toThrow(/damaged|not a picture/);
});
