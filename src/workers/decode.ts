/** Photographs into rasters. What is no photograph, or too much of one, gets one clear sentence. */
import sharp, { type Metadata, type Sharp } from 'sharp';
import { raster, type Raster } from '@/core/raster/raster';

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

/** Turns stored pixels upright. Mirrors come before turns, as the numbers 5 and 7 of EXIF want it. */
function upright(image: Sharp, orientation: number | null): Sharp {
  switch (orientation) {
    case null:
      return image.autoOrient();
    case 2:
      return image.flop();
    case 3:
      return image.rotate(180);
    case 4:
      return image.flip();
    case 5:
      return image.flop().rotate(270);
    case 6:
      return image.rotate(90);
    case 7:
      return image.flop().rotate(90);
    case 8:
      return image.rotate(270);
    default:
      return image;
  }
}

/**
 * Upright 8-bit sRGB pixels; `orientation` is given when the file no longer holds it. Throws
 * UnusablePicture on anything that is not a whole, plain photograph.
 */
export async function decodePhoto(file: string | Buffer, orientation: number | null = null): Promise<Raster<'srgb8', 3>> {
  await inspectPicture(file);
  try {
    const image = sharp(file, { failOn: 'warning', limitInputPixels: MAX_PIXELS });
    const { data, info } = await upright(image, orientation)
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    if (info.channels !== 3) throw new UnusablePicture('This picture has no colours that can be read: send a photograph.');
    return raster('srgb8', info.width, info.height, 3, new Uint8Array(data.buffer, data.byteOffset, data.length));
  } catch (error) {
    if (error instanceof UnusablePicture) throw error;
    throw new UnusablePicture('This picture is damaged or not complete: send it once more.');
  }
}
