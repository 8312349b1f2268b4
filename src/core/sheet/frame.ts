/**
 * What every sheet has in common: corner markers, two grey ramps that run in opposite directions
 * (so that light falling off along the sheet can't hide in the camera's tone curve), ticks down both
 * sides that show a sheet that is not flat, the QR code, and a row kept free for chromatic patches.
 * All later sheets use this frame; only what stands inside differs.
 */
import { boxMm, type BoxMm } from '../geometry/box';
import { cardLightness, RAMP_CODES } from './card';
import { PAPERS, type PaperId } from './paper';

export const MARKER_MM = 14;
export const MARKER_QUIET_MM = 2.5;
export const MARGIN_MM = 8;

export interface MarkerMm {
  readonly id: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly sizeMm: number;
}

export interface PatchMm extends BoxMm {
  readonly code: number;
  readonly lightness: number;
  readonly a: number;
  readonly b: number;
}

export interface SheetFrame {
  readonly paper: PaperId;
  readonly widthMm: number;
  readonly heightMm: number;
  /** In the order top-left, top-right, bottom-right, bottom-left. */
  readonly markers: readonly MarkerMm[];
  /** Top ramp from left to right, then the bottom ramp from left to right. */
  readonly patches: readonly PatchMm[];
  readonly ticks: readonly BoxMm[];
  readonly qrBox: BoxMm;
  /** Kept free on black-and-white sheets. */
  readonly chromaticRow: BoxMm;
  /** Where a kind may lay out its own things. */
  readonly inside: BoxMm;
}

const RAMP_GAP_MM = 1.5;
const RAMP_HEIGHT_MM = 12;
const TICK = { longMm: 4, thickMm: 1.5, pitchMm: 12, insetMm: 9 } as const;
const QR_MM = 22;
const SIDE_MM = 16;

function ramp(widthMm: number, yMm: number, codes: readonly number[]): PatchMm[] {
  const from = MARGIN_MM + MARKER_MM + MARKER_QUIET_MM + 1;
  const each = (widthMm - 2 * from - (codes.length - 1) * RAMP_GAP_MM) / codes.length;
  return codes.map((code, i) => ({
    ...boxMm(from + i * (each + RAMP_GAP_MM), yMm, each, RAMP_HEIGHT_MM),
    code,
    lightness: cardLightness(code),
    a: 0,
    b: 0,
  }));
}

function sideTicks(widthMm: number, heightMm: number): BoxMm[] {
  const ticks: BoxMm[] = [];
  for (let y = 30; y + TICK.thickMm <= heightMm - 30; y += TICK.pitchMm) {
    ticks.push(boxMm(TICK.insetMm, y, TICK.longMm, TICK.thickMm));
    ticks.push(boxMm(widthMm - TICK.insetMm - TICK.longMm, y, TICK.longMm, TICK.thickMm));
  }
  return ticks;
}

/** The frame of a paper. */
export function sheetFrame(paper: PaperId): SheetFrame {
  const { widthMm, heightMm, markerIds } = PAPERS[paper];
  const far = (length: number) => length - MARGIN_MM - MARKER_MM;
  const corners = [
    [MARGIN_MM, MARGIN_MM],
    [far(widthMm), MARGIN_MM],
    [far(widthMm), far(heightMm)],
    [MARGIN_MM, far(heightMm)],
  ] as const;
  const rampInset = MARGIN_MM + (MARKER_MM - RAMP_HEIGHT_MM) / 2;
  return {
    paper,
    widthMm,
    heightMm,
    markers: corners.map(([xMm, yMm], i) => ({
      id: markerIds[i] ?? 0,
      xMm: boxMm(xMm, 0, 0, 0).xMm,
      yMm: boxMm(0, yMm, 0, 0).yMm,
      sizeMm: MARKER_MM,
    })),
    patches: [
      ...ramp(widthMm, rampInset, RAMP_CODES),
      ...ramp(widthMm, heightMm - rampInset - RAMP_HEIGHT_MM, [...RAMP_CODES].reverse()),
    ],
    ticks: sideTicks(widthMm, heightMm),
    qrBox: boxMm(widthMm - SIDE_MM - QR_MM, 27, QR_MM, QR_MM),
    chromaticRow: boxMm(SIDE_MM, heightMm - 38.5, widthMm - 2 * SIDE_MM, 12),
    inside: boxMm(SIDE_MM, 26, widthMm - 2 * SIDE_MM, heightMm - 26 - 40),
  };
}
