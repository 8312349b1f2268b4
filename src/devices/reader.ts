/** The simulated reading instrument: the colour of a patch in the middle of a printed surface, with its own small error. */
import { linearRgbToLab } from '@/core/colour/lab';
import type { Triple } from '@/core/colour/srgb';
import { chance } from './random';
import type { Surface } from './reflectance';

export interface PatchMm {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Standard deviation of one reading, in L*, a* and b* alike. */
const READING_NOISE = 0.15;
/** The instrument looks at this share of a patch each way. */
const WINDOW = 0.4;

/** L*a*b* of each patch. */
export function readColours(surface: Surface, patches: readonly PatchMm[], seed: number): Triple[] {
  const own = chance(seed).fork('reader');
  const perMm = surface.dpi / 25.4;
  const { data, width } = surface.reflectance;
  return patches.map(({ xMm, yMm, widthMm, heightMm }) => {
    const x0 = Math.round((xMm + (0.5 - WINDOW / 2) * widthMm) * perMm);
    const x1 = Math.round((xMm + (0.5 + WINDOW / 2) * widthMm) * perMm);
    const y0 = Math.round((yMm + (0.5 - WINDOW / 2) * heightMm) * perMm);
    const y1 = Math.round((yMm + (0.5 + WINDOW / 2) * heightMm) * perMm);
    const sum: [number, number, number] = [0, 0, 0];
    let n = 0;
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++, n++)
        for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + (data[(y * width + x) * 3 + c] ?? 0);
    const [l, a, b] = linearRgbToLab([sum[0] / n, sum[1] / n, sum[2] / n]);
    return [l + READING_NOISE * own.gauss(), a + READING_NOISE * own.gauss(), b + READING_NOISE * own.gauss()];
  });
}

/** L* of each patch. */
export function readLightness(surface: Surface, patches: readonly PatchMm[], seed: number): number[] {
  return readColours(surface, patches, seed).map((lab) => lab[0]);
}
