/**
 * A picture by its local contrast: how each place stands out of what lies about it, against how much things stand out there.
 * Drawing is compared on it, since a painting that is too dark, too flat or in one hue has nearly the same.
 */
import type { Plane } from '../../raster/between';
import { wideBlur } from '../../raster/blur';

/** What lies about a place, share of the width. */
const ABOUT = 0.05;
/** Contrast below this (L*) is grain, and stays small. */
const GRAIN = 2.5;

/** Of a plane of L*, after a blur by so many places. The result lies mostly between -2 and 2. */
export function localContrast({ width, height, data }: Plane, blur: number): Plane {
  const soft = blur > 0 ? wideBlur(data, width, height, blur) : data;
  const sigma = ABOUT * width;
  const mean = wideBlur(soft, width, height, sigma);
  const off = new Float32Array(soft.length);
  const squared = new Float32Array(soft.length);
  for (let i = 0; i < off.length; i++) {
    const own = (soft[i] as number) - (mean[i] as number);
    off[i] = own;
    squared[i] = own * own;
  }
  const spread = wideBlur(squared, width, height, sigma);
  for (let i = 0; i < off.length; i++)
    off[i] = (off[i] as number) / Math.sqrt(Math.max(0, spread[i] as number) + GRAIN * GRAIN);
  return { width, height, data: off };
}
