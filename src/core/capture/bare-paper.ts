/** What bare paper tells of the light on a sheet: how much it varies, and what smooth light leaves over. */
import { quantile } from '../fitting/quantile';
import type { Calibration, WhitePlace } from './calibration';
import { exposureOfCode } from './tone-curve';

/** Largest over smallest light on the bare paper (green), a fiftieth left out at each end. */
export function lightRatio(calibration: Calibration): number {
  const [, green] = calibration.curves;
  const light = calibration.whites.map((w) => exposureOfCode(green, w.codes[1]) - green.stray).sort((a, b) => a - b);
  const cut = Math.floor(light.length / 50);
  return (light[light.length - 1 - cut] ?? 1) / Math.max(1e-6, light[cut] ?? 1);
}

/** How far (L*) bare paper departs from what the fitted light makes it, nineteen places in twenty. */
export function unexplainedLight(calibration: Calibration): number {
  const off = calibration.whites.flatMap((w) => (w.residual === null ? [] : [Math.abs(w.residual)]));
  return quantile(off, 0.95);
}

/** Bare places nearer to each other than this (mm) are neighbours: one step of their grid along or across it. */
const NEIGHBOURS_MM = 19;

/** How much neighbouring bare places differ in what smooth light leaves over, L*: all but one in a hundred pairs differ less. */
export function steepestLight({ whites }: Calibration): number {
  const told = whites.filter((w) => w.residual !== null);
  const steps: number[] = [];
  for (let i = 0; i < told.length; i++) {
    const a = told[i] as WhitePlace;
    for (let k = i + 1; k < told.length; k++) {
      const b = told[k] as WhitePlace;
      const [dx, dy] = [a.xMm - b.xMm, a.yMm - b.yMm];
      if (dx * dx + dy * dy < NEIGHBOURS_MM * NEIGHBOURS_MM)
        steps.push(Math.abs((a.residual as number) - (b.residual as number)));
    }
  }
  return quantile(steps, 0.99);
}
