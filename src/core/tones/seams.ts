/** Whether the seams between a painting's tones lie between their neighbours: no light gap, no dark line drawn round a shape. */
import type { Raster } from '../raster/raster';

/** A seam is looked at this far to both sides, share of the longer side. */
const REACH = 0.006;
/** Lighter or darker than both neighbours by more than this (L*) is a gap or a line. */
const BEYOND = 6;

/** Share of all seams that lie between their neighbours, 0 to 1; null where there is no seam. `lightness` is that of each tone, the lightest first. */
export function seamsBetween(
  plane: Raster<'lightness', 1>,
  toneOf: Uint8Array,
  lightness: readonly number[],
): number | null {
  const { width, height, data } = plane;
  const r = Math.max(2, Math.round(REACH * Math.max(width, height)));
  let [all, between] = [0, 0];
  const look = (i: number, step: number, from: number, to: number) => {
    const [a, b] = [toneOf[i] as number, toneOf[i + step] as number];
    if (a === b) return;
    const [x, y] = [lightness[a - 1] ?? 0, lightness[b - 1] ?? 0];
    const [low, high] = [Math.min(x, y) - BEYOND, Math.max(x, y) + BEYOND];
    all++;
    for (let k = from; k <= to; k++) {
      const l = data[i + k * step] as number;
      if (l < low || l > high) return;
    }
    between++;
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (x + 1 < width) look(i, 1, -Math.min(r, x), Math.min(r, width - 1 - x));
      if (y + 1 < height) look(i, width, -Math.min(r, y), Math.min(r, height - 1 - y));
    }
  return all === 0 ? null : between / all;
}
