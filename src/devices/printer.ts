/**
 * The simulated printer: ink on paper from a sheet's PNG. It knows nothing of sheets; it sees codes.
 * `nominal` prints as the card says a print should be; `office` draws a machine of its own from the
 * seed: its paper, how black its ink is, how its dots gain, and a tint of each.
 */
import { labToLinearRgb } from '@/core/colour/lab';
import { LINEAR_OF_CODE, type Triple } from '@/core/colour/srgb';
import { raster } from '@/core/raster/raster';
import sharp from 'sharp';
import { chance } from './random';
import type { Surface } from './reflectance';

export const PRINTER_CONDITIONS = ['nominal', 'office'] as const;
export type PrinterCondition = (typeof PRINTER_CONDITIONS)[number];

export interface PrinterTruth {
  readonly device: 'printer';
  readonly seed: number;
  readonly condition: PrinterCondition;
  readonly paper: Triple;
  readonly black: Triple;
  /** Exponent on the share of bare paper; above 1 the dots gain and mid greys print dark. */
  readonly gain: number;
}

export async function print(
  png: Buffer,
  condition: PrinterCondition,
  seed: number,
): Promise<{ surface: Surface; truth: PrinterTruth }> {
  const own = chance(seed).fork('printer');
  const office = condition === 'office';
  const paper: Triple = office ? [own.between(93, 96.5), own.between(-0.5, 1), own.between(-4, 2)] : [95, 0, 0];
  const black: Triple = office ? [own.between(12, 22), own.between(-1, 1), own.between(-1.5, 1.5)] : [16, 0, 0];
  const gain = office ? own.between(0.92, 1.1) : 1;

  const source = sharp(png);
  const { density } = await source.metadata();
  const { data, info } = await source.toColourspace('srgb').removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const white = labToLinearRgb(paper);
  const ink = labToLinearRgb(black);
  /** Reflectance for each code of a channel. */
  const inked = (c: 0 | 1 | 2) => Float64Array.from(LINEAR_OF_CODE, (y) => ink[c] + (white[c] - ink[c]) * y ** gain);
  const [red, green, blue] = [inked(0), inked(1), inked(2)];
  const { width, height, channels } = info;
  const out = new Float32Array(width * height * 3);
  const grain = chance(seed).fork('grain');
  for (let i = 0, p = 0; p < out.length; i += channels, p += 3) {
    const fibre = 1 + 0.006 * (grain.next() - 0.5);
    out[p] = fibre * (red[data[i] as number] as number);
    out[p + 1] = fibre * (green[data[i + 1] as number] as number);
    out[p + 2] = fibre * (blue[data[i + 2] as number] as number);
  }
  return {
    surface: { reflectance: raster('linear', width, height, 3, out), dpi: density ?? 300 },
    truth: { device: 'printer', seed, condition, paper, black, gain },
  };
}
