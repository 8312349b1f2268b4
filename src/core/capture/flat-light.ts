/**
 * The light over a sheet from a second photograph of it blank: richer than what shows between paint. Local linear
 * regression over its bare places (W. S. Cleveland, "Robust locally weighted regression", 1979, one pass).
 */
import type { Photo } from '../raster/photo';
import { blankPlaces } from '../sheet/blank';
import type { SheetLayout } from '../sheet/layout';
import { calibrate } from './calibrate';
import { type CardInPhoto, sheetCard } from './card-in-photo';
import { nominalProfile } from './card-profile';
import type { Plane } from './plane';
import { exposureOfCode } from './tone-curve';

const REACH_MM = 18;
const GRID_MM = 6;

interface Place {
  readonly x: number;
  readonly y: number;
  readonly light: number;
}

/** Plane through the places about a point, weighted by nearness; its height there. */
function heightAt(places: readonly Place[], x: number, y: number): number {
  let [w, wx, wy, wxx, wxy, wyy, wl, wxl, wyl] = [1e-9, 0, 0, 1e-3, 0, 1e-3, 0, 0, 0];
  for (const p of places) {
    const [dx, dy] = [(p.x - x) / REACH_MM, (p.y - y) / REACH_MM];
    const k = Math.exp(-(dx * dx + dy * dy) / 2) + 1e-9;
    w += k;
    wx += k * dx;
    wy += k * dy;
    wxx += k * dx * dx;
    wxy += k * dx * dy;
    wyy += k * dy * dy;
    wl += k * p.light;
    wxl += k * dx * p.light;
    wyl += k * dy * p.light;
  }
  const [mx, my, ml] = [wx / w, wy / w, wl / w];
  const [sxx, sxy, syy] = [wxx / w - mx * mx, wxy / w - mx * my, wyy / w - my * my];
  const [sxl, syl] = [wxl / w - mx * ml, wyl / w - my * ml];
  const det = sxx * syy - sxy * sxy + 1e-6;
  return ml - (mx * (sxl * syy - syl * sxy) + my * (syl * sxx - sxl * sxy)) / det;
}

/** ln of the light by place, or null where the blank photograph can't be calibrated. */
export function lightOfBlank(photo: Photo, plane: Plane, layout: SheetLayout): CardInPhoto['knownLight'] {
  const blank = { ...layout, cells: [], dabs: [], chips: [] };
  const { calibration, whites } = calibrate(
    photo,
    { ...sheetCard(plane, layout), blanks: blankPlaces(blank) },
    nominalProfile(layout),
  );
  if (!calibration) return null;
  const green = calibration.curves[1];
  const places = whites.map((w): Place => ({
    x: w.xMm,
    y: w.yMm,
    light: Math.log(Math.max(1e-4, exposureOfCode(green, w.codes[1]) - green.stray)),
  }));
  const [columns, rows] = [Math.ceil(layout.widthMm / GRID_MM) + 1, Math.ceil(layout.heightMm / GRID_MM) + 1];
  const grid = Float64Array.from({ length: columns * rows }, (_, i) =>
    heightAt(places, (i % columns) * GRID_MM, Math.floor(i / columns) * GRID_MM),
  );
  const middle = grid.reduce((a, b) => a + b, 0) / grid.length;
  return (xMm, yMm) => {
    const [u, v] = [
      Math.min(columns - 1.001, Math.max(0, xMm / GRID_MM)),
      Math.min(rows - 1.001, Math.max(0, yMm / GRID_MM)),
    ];
    const [c, r] = [Math.floor(u), Math.floor(v)];
    const [fx, fy] = [u - c, v - r];
    const at = r * columns + c;
    return (
      (1 - fy) * ((1 - fx) * (grid[at] as number) + fx * (grid[at + 1] as number)) +
      fy * ((1 - fx) * (grid[at + columns] as number) + fx * (grid[at + columns + 1] as number)) -
      middle
    );
  };
}
