/** Tone planes as pictures without loss: the reference's tones, the painting's, and which named shape each place is of, in one PNG. */
import { raster, type Raster } from '@/core/raster/raster';
import type { TonePlane } from '@/core/tones/compare-tones';
import sharp from 'sharp';

export interface Planes {
  readonly wanted: TonePlane;
  readonly drawn: TonePlane;
  /** Number from 1 of the named shape of each place; 0 for none. */
  readonly nameOf: Uint8Array;
}

export async function planesToPng({ wanted, drawn, nameOf }: Planes): Promise<Uint8Array> {
  const { width, height } = wanted;
  const data = new Uint8Array(3 * width * height);
  for (let i = 0; i < width * height; i++) {
    data[3 * i] = wanted.toneOf[i] as number;
    data[3 * i + 1] = drawn.toneOf[i] as number;
    data[3 * i + 2] = nameOf[i] as number;
  }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .png({ compressionLevel: 9 })
    .toBuffer();
}

export async function planesFromPng(file: string): Promise<Planes> {
  const { data, info } = await sharp(file).raw().toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  const channel = (c: number) =>
    Uint8Array.from({ length: width * height }, (_, i) => data[channels * i + c] as number);
  return {
    wanted: { width, height, toneOf: channel(0) },
    drawn: { width, height, toneOf: channel(1) },
    nameOf: channel(2),
  };
}

/** A mask of zeros and ones, black and white for a person who opens it. */
export const maskToPng = (mask: Uint8Array, width: number, height: number): Promise<Uint8Array> =>
  sharp(
    mask.map((v) => 255 * v),
    { raw: { width, height, channels: 1 } },
  )
    .toColourspace('b-w')
    .png({ compressionLevel: 9 })
    .toBuffer();

/** Null where the mask is of another size than the grid that it is asked for. */
export async function maskFromPng(
  file: string,
  { width, height }: { readonly width: number; readonly height: number },
): Promise<Uint8Array | null> {
  const { data, info } = await sharp(file).raw().toBuffer({ resolveWithObject: true });
  if (info.width !== width || info.height !== height) return null;
  return Uint8Array.from({ length: width * height }, (_, i) => ((data[info.channels * i] as number) > 127 ? 1 : 0));
}

/** Grey codes as PNG. */
export const greyPng = (
  codes: Uint8Array,
  { width, height }: { readonly width: number; readonly height: number },
): Promise<Buffer> =>
  sharp(codes, { raw: { width, height, channels: 1 } })
    .toColourspace('b-w')
    .png()
    .toBuffer();

/** L* 0 to 100 over all that 16 bits hold. */
const CODES = 65535;
/** Codes are kept to a tenth of an L*, a tenth of the least that an eye tells apart: finer ones are grain, and grain can't be packed. */
const STEP = 64;

/** Lightness as a grey PNG of 16 bits: black is L* 0, white is L* 100. */
export function lightnessToPng({ data, width, height }: Raster<'lightness', 1>): Promise<Uint8Array> {
  const codes = new Uint16Array(data.length);
  for (let i = 0; i < data.length; i++) {
    const lightness = data[i] as number;
    codes[i] = lightness > 0 ? Math.min(CODES, STEP * ((lightness * (CODES / (100 * STEP)) + 0.5) | 0)) : 0;
  }
  return sharp(codes, { raw: { width, height, channels: 1 } })
    .toColourspace('grey16')
    .png({ compressionLevel: 1 })
    .toBuffer();
}

/** What `lightnessToPng` kept. */
export async function lightnessFromPng(file: string | Uint8Array): Promise<Raster<'lightness', 1>> {
  const { data, info } = await sharp(file).toColourspace('grey16').raw({ depth: 'ushort' }).toBuffer({
    resolveWithObject: true,
  });
  const codes = new Uint16Array(data.buffer, data.byteOffset, info.width * info.height);
  return raster(
    'lightness',
    info.width,
    info.height,
    1,
    Float32Array.from(codes, (c) => (100 * c) / CODES),
  );
}
