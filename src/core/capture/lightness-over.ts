/** The lightness of a painted area, sample by sample. */
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

/** L* over a box of the sheet at every `stepMm`, smoothed in linear light by `blur` samples. */
export function lightnessOver(
  photo: Photo,
  calibration: Calibration,
  box: BoxMm,
  stepMm: number,
  blur: number,
): Raster<'lightness', 1> {
  const p = patchwork(photo, calibration, box, stepMm);
  const { columns, rows } = p.samples;
  fillOutside(p.y);
  const soft = gaussianBlur(p.y, columns, rows, blur);
  return raster(
    'lightness',
    columns,
    rows,
    1,
    soft.map((y) => luminanceToLightness(y)),
  );
}
