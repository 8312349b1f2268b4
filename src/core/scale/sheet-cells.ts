/** The cells of an opened worksheet, read, and what in them speaks against the photograph. */
import { type Calibration, paperLightness } from '../capture/calibration';
import { enclosing, photoBox } from '../capture/check-photo';
import { type CaptureIssue, GATE, issue } from '../capture/gate';
import { meanLab, patchwork } from '../capture/patchwork';
import { lightnessToLuminance } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { median } from '../fitting/quantile';
import { type BoxMm, boxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { ScaleLayout } from '../sheet/scale-layout';
import { type CellReading, readCell } from './read-cell';
import { shineStrength } from './shine';

/** Median-like colour of a cell's middle third, for telling whose paint lies in a gap. */
function middleLab(photo: Photo, calibration: Calibration, cell: BoxMm): Triple {
  const box = boxMm(cell.xMm + cell.widthMm / 3, cell.yMm + cell.heightMm / 3, cell.widthMm / 3, cell.heightMm / 3);
  return meanLab(patchwork(photo, calibration, box));
}

/** Reads every cell of a sheet, each told apart from the paint of its neighbours. */
export function readCells(photo: Photo, calibration: Calibration, layout: ScaleLayout): CellReading[] {
  const ground = calibration.profile.paper;
  // Two passes would be needed to know the neighbours' paint; a coarse look at each cell's middle is enough.
  const rough = layout.cells.map((cell) => middleLab(photo, calibration, cell));
  return layout.cells.map((cell, i) => {
    const beside = [i - 1, i + 1].flatMap((k) => {
      const other = layout.cells[k];
      const lab = rough[k];
      return other && lab && other.yMm === cell.yMm ? [lab] : [];
    });
    return readCell(photo, calibration, cell, ground, beside);
  });
}

/**
 * With the code unread the cells decide: between neighbours there must be a strip of bare paper. Only
 * gaps beside clearly darker paint can tell.
 */
export function gapsMissing(
  photo: Photo,
  calibration: Calibration,
  layout: ScaleLayout,
  readings: readonly CellReading[],
): number {
  const paper = paperLightness(calibration);
  let [told, missing] = [0, 0];
  layout.cells.forEach((cell, i) => {
    const next = layout.cells[i + 1];
    if (!next || next.yMm !== cell.yMm) return;
    const [a, b] = [readings[i]?.lab[0] ?? 100, readings[i + 1]?.lab[0] ?? 100];
    if (Math.min(a, b) > paper - 15) return;
    told++;
    const gap = boxMm(cell.xMm + cell.widthMm + 0.6, cell.yMm + 8, 0.8, cell.heightMm - 16);
    if (median(patchwork(photo, calibration, gap).y) < 0.55 * lightnessToLuminance(paper)) missing++;
  });
  return told === 0 ? 0 : missing / told;
}

/** Shine on the paint, told once for all steps that it lies on. */
export function glareIssues(
  readings: readonly CellReading[],
  layout: ScaleLayout,
  calibration: Calibration,
): CaptureIssue[] {
  const shiny = layout.cells.flatMap((cell, i) => {
    const reading = readings[i];
    const strength = reading ? shineStrength(reading) : 0;
    return strength > GATE.glare.limit ? [{ cell, strength }] : [];
  });
  if (shiny.length === 0) return [];
  const named = `step${shiny.length > 1 ? 's' : ''} ${shiny.map((s) => s.cell.index).join(', ')}`;
  const boxes = shiny.map((s) => photoBox(calibration.plane, s.cell));
  return [
    issue(
      'glare',
      Math.max(...shiny.map((s) => s.strength)),
      `Shine lies on ${named}: turn the sheet away from the lamp until it leaves the paint.`,
      enclosing(boxes),
    ),
  ];
}
