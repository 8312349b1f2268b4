/** The gate's rules on a reduced copy of a photograph, before it is sent: what would be refused is told at once. */
import type { Photo } from '../raster/photo';
import type { SheetLayout } from '../sheet/layout';
import type { PaperId } from '../sheet/paper';
import type { OpenCv } from '../vision/opencv';
import { calibrate } from './calibrate';
import { sheetCard } from './card-in-photo';
import { nominalProfile } from './card-profile';
import { checkExposure, checkLight } from './check-light';
import { checkGeometry, explainNotLocated } from './check-photo';
import { type CaptureIssue, GATE, issue, refuses } from './gate';
import { locateSheet } from './locate';
import { resolutionAt } from './plane';

/** Lengthwise pixels of the copy: the quickest at which every rule still holds. */
export const QUICK_PX = 1600;

/**
 * What the whole photograph would be refused for, as far as its copy shows. `reducedBy` is how many pixels of the
 * photograph lie along one of the copy. Nothing here reads paint: shine is left to the measurement.
 */
export function quickCheck(
  cv: OpenCv,
  copy: Photo,
  reducedBy: number,
  layoutOn: (paper: PaperId) => SheetLayout,
): CaptureIssue[] {
  const located = locateSheet(cv, copy);
  if (located.kind !== 'located') return explainNotLocated(copy, located);
  const { plane, frame, edges, unevenMm } = located;
  const layout = layoutOn(frame.paper);
  const whole =
    Math.min(...frame.markers.map((m) => resolutionAt(plane, m.xMm + m.sizeMm / 2, m.yMm + m.sizeMm / 2))) * reducedBy;
  // The copy is coarser than the photograph: its own resolution says nothing.
  const issues = checkGeometry(plane, frame, edges).filter((i) => i.code !== 'low_resolution');
  if (whole < GATE.low_resolution.limit)
    issues.push(
      issue('low_resolution', whole, 'The sheet is too small in the picture: go closer until it fills the frame.'),
    );
  const { calibration, whites } = calibrate(copy, sheetCard(plane, layout), nominalProfile(layout));
  issues.push(...checkExposure(whites));
  if (calibration) issues.push(...checkLight(calibration, unevenMm));
  return issues.filter((i) => refuses([i]));
}
