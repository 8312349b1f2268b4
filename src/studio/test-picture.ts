/** A picture, and paintings of it, for tests. */
import type { TermsOf } from '@/core/exercise/terms';
import { defaultTerms } from '@/core/kinds/table';
import { judgePainting } from '@/core/notan/judge-painting';
import { sampleNotan } from '@/core/notan/sample-result';
import type { PaintingResult } from '@/core/painting/result';
import { samplePainting } from '@/core/painting/sample-result';
import { raster } from '@/core/raster/raster';
import { massSchema } from '@/core/tones/mass';
import { newId } from '@/data/schema/ids';
import { lightnessToPng, planesToPng } from '@/workers/decoding/planes';
import type { NotanHandIn } from '@/workers/tasks/notan-hand-in';
import type { PaintingHandIn } from '@/workers/tasks/painting-hand-in';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { measureAttempt } from './hand-in/measuring';
import { setExercise } from './plan/exercises';
import { bringIn } from './reference/references';
import { type TestStudio } from './test-studio';

export const ORIGIN = { title: 'Jug', source: 'own photograph', licence: 'this class only' };
export const [W, H] = [120, 100];

/** A dark square on a light ground, as a file on its way in. */
export async function pictureFile({ house }: TestStudio, seed = 0, wide = W, high = H, flat = false): Promise<string> {
  const data = Uint8Array.from({ length: 3 * wide * high }, (_, i) => {
    const [x, y] = [Math.floor(i / 3) % wide, Math.floor(i / 3 / wide)];
    return flat ? 120 : x > 0.3 * wide && x < 0.7 * wide && y > 0.3 * high && y < 0.7 * high ? 40 + seed : 220;
  });
  const file = path.join(house.files.incoming, `test-${newId()}`);
  await writeFile(
    file,
    await sharp(data, { raw: { width: wide, height: high, channels: 3 } })
      .png()
      .toBuffer(),
  );
  return file;
}

const plane = (at: (x: number, y: number) => number) => ({
  width: W,
  height: H,
  toneOf: Uint8Array.from({ length: W * H }, (_, i) => at(i % W, Math.floor(i / W))),
});
const square = (x: number, y: number, x0: number, y0: number, side: number) =>
  x >= x0 && x < x0 + side && y >= y0 && y < y0 + side;

/** A painting in which the right-hand square was lost. */
async function painting(side: number): Promise<NotanHandIn> {
  const wanted = plane((x, y) => (square(x, y, 10, 20, 40) || square(x, y, 70, 30, side) ? 2 : 1));
  const drawn = plane((x, y) => (square(x, y, 10, 20, 40) ? 2 : 1));
  const judged = judgePainting({
    drawn,
    reference: wanted,
    readings: [],
    named: null,
    tones: [94, 25].map((lightness) => ({ lightness, spread: 1 })),
    targets: [94, 25],
  });
  const result = sampleNotan({
    ...judged,
    shapes: { large: 1, middle: 0, small: 0, largest: 0.8, variety: null, slivers: 0, ragged: 0.1 },

    targets: [94, 25],
  });
  const names = [massSchema.parse({ name: 'jug', emphasis: 1 })];
  return {
    result,
    planes: await planesToPng({ wanted, drawn, nameOf: new Uint8Array(W * H) }),
    names,
    lightness: null,
  };
}

export async function paintedFrom(studio: TestStudio): Promise<{ referenceId: string; exerciseId: string }> {
  const { house, teacher, classId } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'Two tones',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('notan'), school: 'threshold' },
    referenceId,
  });
  return { referenceId, exerciseId };
}

export async function handedIn(
  studio: TestStudio,
  exerciseId: string,
  who = studio.bea,
  shade = 100,
  side = 40,
): Promise<string> {
  studio.nextNotan(await painting(side));
  const id = await studio.send(who, shade, exerciseId);
  await measureAttempt(studio.house, id);
  return id;
}

/** A painting in many values, its right half a little too light; `more` says what was measured of it, and `left` how light its left half is. */
export async function paintedInValues(more: Partial<PaintingResult> = {}, left = 30): Promise<PaintingHandIn> {
  const half = (right: number) =>
    lightnessToPng(
      raster(
        'lightness',
        W,
        H,
        1,
        Float32Array.from({ length: W * H }, (_, i) => (i % W < W / 2 ? left : right)),
      ),
    );
  return { result: samplePainting(more), wanted: await half(60), laid: await half(70) };
}

/** An exercise in many values, painted from a picture of its own. */
export async function valuesFrom(
  studio: TestStudio,
  more: Partial<TermsOf<'monochrome-painting'>> = {},
): Promise<{ referenceId: string; exerciseId: string }> {
  const { house, teacher, classId } = studio;
  const referenceId = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'In all its values',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('monochrome-painting'), ...more },
    referenceId,
  });
  return { referenceId, exerciseId };
}
