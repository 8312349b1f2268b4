/** Gate checks of exposure and light on a located sheet. */
import { type Calibration, lightRatio, unexplainedLight, type WhitePlace } from './calibrate';
import { GATE, type CaptureIssue, issue } from './gate';

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** Exposure, from the bare paper as the camera saw it. */
export function checkExposure(whites: readonly WhitePlace[]): CaptureIssue[] {
  const bright = median(whites.map((w) => Math.max(...w.codes)));
  if (bright < GATE.too_dark.limit)
    return [issue('too_dark', bright, 'The picture is too dark: go nearer to the window or put the lamp on.')];
  const clipped = whites.filter((w) => w.clipped > 0.2).length / Math.max(1, whites.length);
  if (clipped > GATE.clipped.limit)
    return [issue('clipped', clipped, 'The paper is so bright that its whites are lost: tap on the paper to darken the picture, or move out of direct sun.')];
  return [];
}

/** The paper may depart this much (L*) from smooth light; more is a shadow's edge, which no fit can undo. */
const SHADOW_EDGE = 2.5;

/** Evenness of the light. */
export function checkLight(calibration: Calibration): CaptureIssue[] {
  const ratio = lightRatio(calibration);
  if (ratio > GATE.uneven_light.limit)
    return [
      issue('uneven_light', ratio, 'One side of the sheet gets far more light than the other: move the lamp away, or turn the sheet so that the light comes evenly.'),
    ];
  const shadow = unexplainedLight(calibration);
  if (shadow > SHADOW_EDGE)
    return [{ ...issue('uneven_light', shadow, 'A shadow falls on the sheet: step aside, or turn the sheet, until the paper is evenly lit.'), limit: SHADOW_EDGE }];
  return [];
}
