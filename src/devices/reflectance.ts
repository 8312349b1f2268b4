/**
 * A sheet as a thing in the world: linear reflectance per pixel. On disk it is a 16-bit RGB PNG whose
 * samples are linear (65535 = reflects everything), with the resolution in the file.
 */
import { raster, type Raster } from '@/core/raster/raster';
import sharp from 'sharp';

export interface Surface {
  readonly reflectance: Raster<'linear', 3>;
  readonly dpi: number;
}

export async function writeSurface(surface: Surface): Promise<Buffer> {
  const { width, height, data } = surface.reflectance;
  const samples = new Uint16Array(data.length);
  for (let i = 0; i < data.length; i++) samples[i] = Math.round(65535 * Math.min(1, Math.max(0, data[i] as number)));
  return sharp(samples, { raw: { width, height, channels: 3 } })
    .toColourspace('rgb16')
    .withMetadata({ density: surface.dpi })
    .png({ compressionLevel: 1 })
    .toBuffer();
}

export async function readSurface(bytes: Buffer): Promise<Surface> {
  const source = sharp(bytes);
  const { density } = await source.metadata();
  const { data, info } = await source
    .toColourspace('rgb16')
    .raw({ depth: 'ushort' })
    .toBuffer({ resolveWithObject: true });
  if (info.channels !== 3) throw new RangeError('A surface needs three channels.');
  const samples = new Uint16Array(data.buffer, data.byteOffset, data.byteLength / 2);
  const linear = new Float32Array(samples.length);
  for (let i = 0; i < samples.length; i++) linear[i] = (samples[i] as number) / 65535;
  return {
    reflectance: raster('linear', info.width, info.height, 3, linear),
    dpi: density ?? 300,
  };
}
