/** Decodes one photograph and lets go of it: what any reading must do at the least. Runs in a worker thread. */
import sharp from 'sharp';

export default async function decodeOnly(file: string): Promise<number> {
  const { info } = await sharp(file).toColourspace('srgb').raw().toBuffer({ resolveWithObject: true });
  return info.size;
}
