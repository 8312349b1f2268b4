/** The lightness and the colour of a painted area, sample by sample. */
import { luminanceToLightness } from '../colour/lab';
import { median } from '../fitting/quantile';
import type { BoxMm } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import type { Calibration } from './calibration';
import { patchwork } from './patchwork';

/** What lies outside the photograph becomes as light as what is usual: it must not spread into its neighbours. */
function fillOutside(y: Float32Array): void {
  if (!y.some(Number.isNaN)) return;
  const usual = median(y.filter((v) => !Number.isNaN(v)));
  for (let i = 0; i < y.length; i++) if (Number.isNaN(y[i])) y[i] = usual;
}

/** A painted area on a grid of samples. */
export interface PaintOver {
  /** L*, smoothed in linear light. */
  readonly lightness: Raster<'lightness', 1>;
  /** The same with all its grain, worked out when it is asked for. */
  readonly grainy: () => Raster<'lightness', 1>;
  /** Linear RGB, as it is; NaN outside the photograph. */
  readonly colours: Raster<'linear', 3>;
}

/** What was painted over a box of the sheet at every `stepMm`; its lightness is smoothed by `blur` samples. */
export function paintOver(photo: Photo, calibration: Calibration, box: BoxMm, stepMm: number, blur: number): PaintOver {
  const { samples, rgb, y } = patchwork(photo, calibration, box, stepMm);
  const { columns, rows } = samples;
  fillOutside(y);
  const lightnessOf = (luminance: Float32Array) => {
    const lightness = new Float32Array(luminance.length);
    for (let i = 0; i < lightness.length; i++) lightness[i] = luminanceToLightness(luminance[i] as number);
    return raster('lightness', columns, rows, 1, lightness);
  };
  return {
    lightness: lightnessOf(gaussianBlur(y, columns, rows, blur)),
    grainy: () => lightnessOf(y),
    colours: raster('linear', columns, rows, 3, rgb),
  };
}
