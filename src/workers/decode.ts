/** Photographs into rasters. What is no photograph, or too much of one, gets one clear sentence. */
import sharp, { type Metadata } from 'sharp';
import { type Orientation, type Photo, uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';

export const MAX_PIXELS = 60_000_000;
const FORMATS = ['jpeg', 'png', 'webp'];

/** The picture can't be used; `message` is for the person who sent it. */
export class UnusablePicture extends Error {
  override readonly name = 'UnusablePicture';
}

/** Header of a picture that may be decoded. Throws UnusablePicture otherwise. */
export async function inspectPicture(file: string | Buffer): Promise<Metadata> {
  let meta: Metadata;
  try {
    meta = await sharp(file, { failOn: 'warning', limitInputPixels: false }).metadata();
  } catch {
    throw new UnusablePicture('This file is not a picture that can be read: send a photograph as JPEG, PNG or WebP.');
  }
  if (!FORMATS.includes(meta.format))
    throw new UnusablePicture(`This is ${article(meta.format)} file: send a photograph as JPEG, PNG or WebP.`);
  if ((meta.pages ?? 1) > 1) throw new UnusablePicture('This picture moves: send a still photograph.');
  if (meta.width * meta.height > MAX_PIXELS)
    throw new UnusablePicture(
      `This picture has ${Math.round((meta.width * meta.height) / 1e6)} megapixels; up to 60 can be read. Send a smaller one.`,
    );
  if (meta.space === 'cmyk')
    throw new UnusablePicture('This picture is made for a printing press (CMYK): send the photograph as the phone took it.');
  return meta;
}

function article(format: string): string {
  const name = format.toUpperCase();
  return /^[AEFHILMNORSX]/.test(name) ? `an ${name}` : `a ${name}`;
}

const ORIENTATIONS: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8] satisfies Orientation[];
const isOrientation = (n: number): n is Orientation => ORIENTATIONS.includes(n);

/**
 * The photograph in 8-bit sRGB; `orientation` is given when the file no longer holds it. Throws
 * UnusablePicture on anything that is not a whole, plain photograph.
 */
export async function decodePhoto(file: string | Buffer, orientation: number | null = null): Promise<Photo> {
  const meta = await inspectPicture(file);
  const turned = orientation ?? meta.orientation ?? 1;
  try {
    const { data, info } = await sharp(file, { failOn: 'warning', limitInputPixels: MAX_PIXELS })
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    if (info.channels !== 3) throw new UnusablePicture('This picture has no colours that can be read: send a photograph.');
    const stored = raster('srgb8', info.width, info.height, 3, new Uint8Array(data.buffer, data.byteOffset, data.length));
    return uprightPhoto(stored, isOrientation(turned) ? turned : 1);
  } catch (error) {
    if (error instanceof UnusablePicture) throw error;
    throw new UnusablePicture('This picture is damaged or not complete: send it once more.');
  }
}
