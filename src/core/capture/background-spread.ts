/**
 * How much a flat tone varies in this photograph for no fault of the painter's: grain, the camera's
 * sharpening and compression, the paper's tooth. Measured on the printed patches, which are flat, the
 * same way as on the cells, and interpolated over lightness.
 */
import { luminanceToLightness } from '../colour/lab';
import { grow } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { type Calibration } from './calibration';
import { patchwork, SAMPLE_MM } from './patchwork';

/** Blur before streaks are measured, mm: what is finer is the camera's. */
export const STREAK_BLUR_MM = 0.5;

/** Population standard deviation. */
export function deviation(values: readonly number[]): number {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((a, v) => a + (v - mean) ** 2, 0) / values.length);
}

/** A function from lightness (L*) to the standard deviation (L*) of a flat tone. */
export function backgroundSpread(photo: Photo, calibration: Calibration): (lightness: number) => number {
  const ramp = calibration.patches.slice(0, calibration.patches.length / 2);
  const points = ramp
    .map((patch, i) => {
      const p = patchwork(photo, calibration, grow(patch, -1.5));
      const soft = gaussianBlur(p.y, p.samples.columns, p.samples.rows, STREAK_BLUR_MM / SAMPLE_MM);
      return {
        lightness: calibration.profile.greys[i]?.[0] ?? 0,
        spread: deviation(Array.from(soft, luminanceToLightness)),
      };
    })
    .sort((a, b) => a.lightness - b.lightness);
  return (lightness) => {
    const above = points.findIndex((p) => p.lightness >= lightness);
    if (above === 0) return points[0]?.spread ?? 0;
    if (above < 0) return points.at(-1)?.spread ?? 0;
    const [a, b] = [points[above - 1], points[above]];
    if (!a || !b) return 0;
    const t = (lightness - a.lightness) / (b.lightness - a.lightness);
    return a.spread + (b.spread - a.spread) * t;
  };
}
