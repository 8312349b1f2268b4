/** Writes an OpenRaster file: layers of one size as PNG, what they come to together, and a small picture of that. */
import { type Layer, OPENRASTER_TYPE, stackXml } from '@/core/formats/openraster';
import sharp from 'sharp';
import yazl from 'yazl';

export interface LayerPicture {
  readonly layer: Layer;
  readonly png: Buffer;
}

const THUMBNAIL_PX = 256;

/** `layers` from the topmost down; `merged` is a PNG. */
export async function openRasterFile(
  { width, height }: { readonly width: number; readonly height: number },
  layers: readonly LayerPicture[],
  merged: Buffer,
): Promise<Uint8Array> {
  const zip = new yazl.ZipFile();
  // The format wants its type first, and as it is.
  zip.addBuffer(Buffer.from(OPENRASTER_TYPE), 'mimetype', { compress: false });
  zip.addBuffer(
    Buffer.from(
      stackXml(
        width,
        height,
        layers.map((l) => l.layer),
      ),
    ),
    'stack.xml',
  );
  for (const { layer, png } of layers) zip.addBuffer(png, layer.file);
  zip.addBuffer(merged, 'mergedimage.png');
  const small = sharp(merged).resize({ width: THUMBNAIL_PX, height: THUMBNAIL_PX, fit: 'inside' });
  zip.addBuffer(await small.png().toBuffer(), 'Thumbnails/thumbnail.png');
  zip.end();
  const chunks: Buffer[] = [];
  for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}
