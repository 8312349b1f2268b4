/** Reflectance over a box of the sheet, on the sampling grid that cells are read on. */
import { linearRgbToLab } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { LUMINANCE_WEIGHTS } from '../colour/xyz';
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { type Calibration, reflectances } from './calibration';
import { sampleBox, type SheetSamples } from './sample';

/** Distance of samples on the sheet. */
export const SAMPLE_MM = 1 / 3;

export interface Patchwork {
  readonly samples: SheetSamples;
  /** Linear RGB, three a place. */
  readonly rgb: Float32Array;
  /** Relative luminance Y. */
  readonly y: Float32Array;
}

/** Reflectance (linear, 0 to 1 and beyond) over a box of the sheet in mm, every `stepMm`; NaN outside the photograph. */
export function patchwork(photo: Photo, calibration: Calibration, box: BoxMm, stepMm: number = SAMPLE_MM): Patchwork {
  const samples = sampleBox(photo, calibration.plane, box, stepMm);
  const rgb = reflectances(calibration, samples);
  const y = new Float32Array(rgb.length / 3);
  const [wr, wg, wb] = LUMINANCE_WEIGHTS;
  for (let i = 0; i < y.length; i++)
    y[i] = wr * (rgb[3 * i] as number) + wg * (rgb[3 * i + 1] as number) + wb * (rgb[3 * i + 2] as number);
  return { samples, rgb, y };
}

/** Colour at one place. */
export function labOf(rgb: Float32Array, i: number): Triple {
  return linearRgbToLab([rgb[3 * i] as number, rgb[3 * i + 1] as number, rgb[3 * i + 2] as number]);
}

/** Plain mean colour of a patchwork, in linear light. */
export function meanLab(p: Patchwork): Triple {
  const n = p.y.length;
  const sum: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < n; i++) for (let c = 0; c < 3; c++) sum[c] = (sum[c] as number) + (p.rgb[3 * i + c] as number);
  return linearRgbToLab([sum[0] / n, sum[1] / n, sum[2] / n]);
}

/** A mask grown by `reach` samples each way: along the rows first, then along the columns. */
export function grown(mask: Uint8Array, columns: number, rows: number, reach: number): Uint8Array {
  const wide = new Uint8Array(mask.length);
  for (let r = 0; r < rows; r++) {
    let last = -Infinity;
    let next = 0;
    for (let c = 0; c < columns; c++) {
      for (; next < columns && next <= c + reach; next++) if (mask[r * columns + next] === 1) last = next;
      if (last >= c - reach) wide[r * columns + c] = 1;
    }
  }
  const out = new Uint8Array(mask.length);
  for (let r = 0; r < rows; r++)
    for (let from = Math.max(0, r - reach); from <= Math.min(rows - 1, r + reach); from++)
      for (let c = 0; c < columns; c++) if (wide[from * columns + c] === 1) out[r * columns + c] = 1;
  return out;
}
