/** Rendered pictures as they are painted from and measured against; each is rendered once and kept. */
import { srgbToLinear } from '@/core/colour/srgb';
import { linearRgbToLab } from '@/core/colour/lab';
import type { SeenPicture } from '@/devices/drawing-hand';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { rendered } from './scenes';

export interface Reference extends SeenPicture {
  /** The picture as a file, for whatever measures against it. */
  readonly png: Buffer;
}

const FOLDER = path.join(tmpdir(), 'fair-grey-scenes');

/** Raises when scenes or the renderer change: kept pictures are of another one then. */
const VERSION = 1;

export async function referenceOf(seed: number): Promise<Reference> {
  const [picture, shapes] = ['picture', 'shapes'].map((what) =>
    path.join(FOLDER, `${VERSION}-${seed}-${what}.png`),
  ) as [string, string];
  if (!existsSync(shapes)) {
    const { width, height, codes, shapeOf } = rendered(seed);
    mkdirSync(FOLDER, { recursive: true });
    const keep = async (data: Uint8Array, channels: 1 | 3, file: string) => {
      const half = `${file}.${process.pid}`;
      writeFileSync(half, await sharp(data, { raw: { width, height, channels } }).png().toBuffer());
      renameSync(half, file);
    };
    await keep(codes, 3, picture);
    await keep(shapeOf, 1, shapes);
  }
  const png = readFileSync(picture);
  const { data: codes, info } = await sharp(png).raw().toBuffer({ resolveWithObject: true });
  const shapeOf = await sharp(shapes).toColourspace('b-w').raw().toBuffer();
  const light = (k: number) => srgbToLinear((codes[k] as number) / 255);
  return {
    width: info.width,
    height: info.height,
    png,
    shapeOf: new Uint8Array(shapeOf),
    lightness: Float32Array.from(
      { length: info.width * info.height },
      (_, i) => linearRgbToLab([light(3 * i), light(3 * i + 1), light(3 * i + 2)])[0],
    ),
  };
}
