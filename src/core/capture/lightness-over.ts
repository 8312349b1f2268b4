/** The lightness of a painted area, sample by sample. */
import { luminanceToLightness } from '../colour/lab';
import { median } from '../fitting/quantile';
import type { BoxMm } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import type { Calibration } from './calibration';
import { patchwork } from './patchwork';

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
  // What lies outside the photograph is as light as what is usual: it must not spread into its neighbours.
  const usual = median(p.y.filter((y) => !Number.isNaN(y)));
  const filled = p.y.map((y) => (Number.isNaN(y) ? usual : y));
  const soft = gaussianBlur(filled, columns, rows, blur);
  return raster(
    'lightness',
    columns,
    rows,
    1,
    soft.map((y) => luminanceToLightness(y)),
  );
}
