/** Photographs into rasters. What is no photograph, or too much of one, gets one clear sentence. */
import type { ColourMatrix } from '@/core/colour/primaries';
import { profilePrimaries } from '@/core/formats/icc';
import { heifProfile, isHeic } from '@/core/formats/icc-files';
import { type Orientation, type Photo, uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { open, readFile } from 'node:fs/promises';
import sharp, { type Metadata, type OutputInfo, type Sharp } from 'sharp';

export const MAX_PIXELS = 60_000_000;
/** As sharp names them; AVIF is a kind of heif to it. */
const FORMATS = ['jpeg', 'png', 'webp', 'tiff', 'heif'];
const SEND = 'send a photograph as JPEG, HEIC, PNG, WebP, AVIF or TIFF.';

/** The picture can't be used; `message` is for the person who sent it. */
export class UnusablePicture extends Error {
  override readonly name = 'UnusablePicture';
  /** By name: routes are bundled apart, and the pool that throws was opened by another one's copy of this class. */
  static override [Symbol.hasInstance](error: unknown): boolean {
    return error instanceof Error && error.name === 'UnusablePicture';
  }
}

export interface Inspected extends Pick<Metadata, 'width' | 'height' | 'orientation'> {
  readonly format: 'jpeg' | 'png' | 'webp' | 'tiff' | 'avif' | 'heic';
  /** To sRGB's primaries, where the embedded profile has others. */
  readonly primaries: ColourMatrix | null;
  readonly icc: Uint8Array | null;
  readonly seeThrough: boolean;
}

/** The first bytes of a file, enough to tell its kind. */
async function head(file: string | Buffer): Promise<Uint8Array> {
  if (typeof file !== 'string') return file.subarray(0, 64);
  const handle = await open(file, 'r');
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(64), 0, 64, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}

/** A photograph so many times as long as it is wide is none, and nothing can be made of it. */
const LONGEST = 1000;

function checkSize(width: number, height: number): void {
  if (Math.max(width, height) > LONGEST * Math.min(width, height))
    throw new UnusablePicture('This picture is a strip, far longer than it is wide: send a photograph of the whole.');
  if (width * height > MAX_PIXELS)
    throw new UnusablePicture(
      `This picture has ${Math.round((width * height) / 1e6)} megapixels; up to 60 can be read. Send a smaller one.`,
    );
}

/** Header of a picture that may be decoded. Throws UnusablePicture otherwise. */
export async function inspectPicture(file: string | Buffer): Promise<Inspected> {
  const heic = isHeic(await head(file));
  let meta: Metadata;
  try {
    meta = await sharp(file, { failOn: 'warning', limitInputPixels: false }).metadata();
  } catch {
    throw new UnusablePicture(`This file is not a picture that can be read: ${SEND}`);
  }
  if (!FORMATS.includes(meta.format)) throw new UnusablePicture(`This is ${article(meta.format)} file: ${SEND}`);
  if ((meta.pages ?? 1) > 1 && !heic)
    throw new UnusablePicture('This picture moves or has several pages: send a still photograph.');
  checkSize(meta.width, meta.height);
  if (meta.space === 'cmyk')
    throw new UnusablePicture(
      'This picture is made for a printing press (CMYK): send the photograph as the phone took it.',
    );
  const icc = meta.icc ?? null;
  const format = heic ? 'heic' : meta.format === 'heif' ? 'avif' : (meta.format as Inspected['format']);
  // A HEIF decoder turns the picture upright itself.
  const turned = format === 'heic' || format === 'avif' ? 1 : meta.orientation;
  return {
    width: meta.width,
    height: meta.height,
    ...(turned !== undefined && { orientation: turned }),
    format,
    icc,
    seeThrough: meta.hasAlpha === true,
    primaries: icc ? profilePrimaries(icc) : null,
  };
}

function article(format: string): string {
  const name = format.toUpperCase();
  return /^[AEFHILMNORSX]/.test(name) ? `an ${name}` : `a ${name}`;
}

const ORIENTATIONS: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8] satisfies Orientation[];
const isOrientation = (n: number): n is Orientation => ORIENTATIONS.includes(n);

export interface Pixels {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

async function heicPixels(file: string | Buffer): Promise<Pixels> {
  // Loaded only when asked for: it brings a decoder of its own.
  const { default: decodeHeic } = await import('heic-decode');
  const { width, height, data } = await decodeHeic({ buffer: typeof file === 'string' ? await readFile(file) : file });
  checkSize(width, height);
  const rgb = new Uint8Array(width * height * 3);
  for (let i = 0, p = 0; p < rgb.length; i += 4, p += 3) {
    rgb[p] = data[i] as number;
    rgb[p + 1] = data[i + 1] as number;
    rgb[p + 2] = data[i + 2] as number;
  }
  return { data: rgb, width, height };
}

/** Memory of a photograph that was let go of, for the next one. */
let spare: Uint8Array | null = null;
/** No larger one is kept for long. */
const MOST_SPARE = 75_000_000;

/** A photograph's pixels in memory of our own. */
function kept(pixels: Uint8Array): Uint8Array {
  const room = spare && spare.buffer.byteLength >= pixels.length ? spare.buffer : new ArrayBuffer(pixels.length);
  spare = null;
  const own = new Uint8Array(room, 0, pixels.length);
  own.set(pixels);
  return own;
}

/**
 * The decoder's pixels, copied where it calls back with them, so that theirs are gone while they are young. A promise of
 * them holds them until they have outlasted the collector's short rounds, and for each photograph or two it goes through
 * its whole heap: four times what copying them takes.
 */
function rawPixels(opened: Sharp): Promise<{ data: Uint8Array; info: OutputInfo }> {
  return new Promise((resolve, reject) => {
    opened.raw().toBuffer((error, data, info) => {
      if (error) reject(error);
      else resolve({ data: kept(data), info });
    });
  });
}

/**
 * Codes as they are stored, not turned. A profile of three primaries is left to the reader, who converts in linear
 * light without cutting anything off; any other is brought to sRGB here.
 */
export async function decodePixels(
  file: string | Buffer,
  { format, primaries, seeThrough }: Inspected,
): Promise<Pixels> {
  try {
    if (format === 'heic') return await heicPixels(file);
    const opened = sharp(file, { failOn: 'warning', limitInputPixels: MAX_PIXELS, ignoreIcc: primaries !== null });
    // Laying a photograph on white costs a pass over it, and most have nothing to see through.
    const { data, info } = await rawPixels(
      (seeThrough ? opened.flatten({ background: '#fff' }) : opened).toColourspace('srgb'),
    );
    if (info.channels !== 3)
      throw new UnusablePicture('This picture has no colours that can be read: send a photograph.');
    return { data, width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof UnusablePicture) throw error;
    throw new UnusablePicture('This picture is damaged or not complete: send it once more.');
  }
}

/**
 * The photograph in 8-bit codes of its own primaries; `orientation` is given when the file no longer holds it. Throws
 * UnusablePicture on anything that is not a whole, plain photograph.
 */
export async function decodePhoto(file: string | Buffer, orientation: number | null = null): Promise<Photo> {
  const meta = await inspectPicture(file);
  const { data, width, height } = await decodePixels(file, meta);
  const icc =
    meta.format === 'heic' && !meta.icc ? heifProfile(typeof file === 'string' ? await readFile(file) : file) : null;
  const turned = orientation ?? meta.orientation ?? 1;
  return uprightPhoto(
    raster('srgb8', width, height, 3, data),
    isOrientation(turned) ? turned : 1,
    icc ? profilePrimaries(icc) : meta.primaries,
  );
}

/** Decodes a photograph for `use`; nothing may be read from it afterwards, its memory is taken for the next one. Throws as decodePhoto. */
export async function withPhoto<T>(
  file: string | Buffer,
  orientation: number | null,
  use: (photo: Photo) => Promise<T> | T,
): Promise<T> {
  const photo = await decodePhoto(file, orientation);
  try {
    return await use(photo);
  } finally {
    const { data } = photo.stored;
    if (data.buffer.byteLength <= MOST_SPARE && data.buffer.byteLength > (spare?.buffer.byteLength ?? 0)) spare = data;
  }
}
