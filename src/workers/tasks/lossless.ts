/** Pictures of kinds whose metadata is not taken out byte by byte are kept as lossless PNG: the same codes, the same profile. */
import { heifProfile } from '@/core/formats/icc-files';
import { pngWithProfile } from '@/core/formats/png-profile';
import { readFile } from 'node:fs/promises';
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { decodePixels, type Inspected, inspectPicture } from '../decoding/decode';

export interface LosslessTask {
  readonly task: 'lossless';
  readonly file: string;
}

export const keepsAsPng = ({ format }: Inspected): boolean =>
  format === 'heic' || format === 'avif' || format === 'tiff';

/** PNG bytes of the codes as they are stored, with the profile that they are to be read by. */
export async function losslessPng({ file }: LosslessTask): Promise<Uint8Array> {
  const meta = await inspectPicture(file);
  const { data, width, height } = await decodePixels(file, meta);
  const png = await sharp(data, { raw: { width, height, channels: 3 } })
    .png({ compressionLevel: 6 })
    .toBuffer();
  const icc = meta.icc ?? (meta.format === 'heic' ? heifProfile(await readFile(file)) : null);
  return icc && (meta.primaries !== null || meta.format === 'heic') ? pngWithProfile(png, deflateSync(icc)) : png;
}
