/** Reads the steps of a painted strip that has no sheet: on a board with corner pieces, between dragged corners, or scanned. */
import type { Calibration } from '../capture/calibration';
import { type CaptureIssue, issue } from '../capture/gate';
import { anchored } from '../capture/open-corners';
import { lightnessToLuminance } from '../colour/lab';
import type { Ends, ReadingOrder } from '../exercise/scale';
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { IndexedBoxMm } from '../sheet/layout';
import { cutStrip } from './cut-strip';
import { type CellReading, readPlainCell } from './read-cell';

export interface StripReading {
  readonly calibration: Calibration;
  readonly cells: readonly IndexedBoxMm[];
  readonly readings: readonly CellReading[];
  readonly issues: CaptureIssue[];
}

/** More left over along the strip (L*) than any painted step has: what lies between the corners is no strip of so many steps. */
const NO_STRIP = 9;
/** Less between its ends (L* as read) can't be told apart from one tone. */
const LEAST_RANGE = 12;

const mean = (v: readonly number[]): number => v.reduce((a, b) => a + b, 0) / v.length;

/** Cells in reading order: a strip may lie either way round, and is read from the end that the exercise begins with. */
function inOrder<T extends { readonly lab: readonly [number, number, number] }>(
  readings: readonly T[],
  order: ReadingOrder,
): boolean {
  const half = readings.length / 2;
  const first = mean(readings.slice(0, Math.floor(half)).map((r) => r.lab[0]));
  const last = mean(readings.slice(Math.ceil(half)).map((r) => r.lab[0]));
  return order === 'light-first' ? first >= last : first <= last;
}

function read(photo: Photo, calibration: Calibration, cells: readonly IndexedBoxMm[]): CellReading[] {
  return cells.map((cell) => readPlainCell(photo, calibration, cell));
}

function turnIfNeeded(cells: readonly IndexedBoxMm[], readings: readonly CellReading[], order: ReadingOrder) {
  if (inOrder(readings, order)) return { cells, readings };
  const turned = [...cells].reverse().map((c, i) => ({ ...c, index: i + 1 }));
  return { cells: turned, readings: [...readings].reverse() };
}

function looksLikeNoStrip(leftOver: number, readings: readonly CellReading[], steps: number): CaptureIssue[] {
  const lightness = readings.map((r) => r.lab[0]);
  if (leftOver <= NO_STRIP && Math.max(...lightness) - Math.min(...lightness) >= LEAST_RANGE) return [];
  return [
    issue(
      'no_target',
      0,
      `No painted strip of ${steps} steps can be made out there: photograph the worksheet with its four corner squares, or drag the corners onto the strip.`,
    ),
  ];
}

/** A strip on a calibrated board. */
export function readStrip(
  photo: Photo,
  calibration: Calibration,
  box: BoxMm,
  steps: number,
  order: ReadingOrder,
): StripReading {
  const cut = cutStrip(photo, calibration, box, steps);
  const plain = read(photo, calibration, cut.cells);
  return {
    calibration,
    ...turnIfNeeded(cut.cells, plain, order),
    issues: looksLikeNoStrip(cut.leftOver, plain, steps),
  };
}

/** A strip of which only order and gaps are known: its lightest and darkest step are placed at the ends. */
export function readRelativeStrip(
  photo: Photo,
  opened: { readonly calibration: Calibration; readonly box: BoxMm },
  steps: number,
  order: ReadingOrder,
  ends: Ends,
): StripReading {
  const cut = cutStrip(photo, opened.calibration, opened.box, steps);
  const plain = read(photo, opened.calibration, cut.cells);
  const issues = looksLikeNoStrip(cut.leftOver, plain, steps);
  const y = plain.map((r) => lightnessToLuminance(r.lab[0]));
  const calibration = anchored(
    opened.calibration,
    { light: Math.max(...y), dark: Math.min(...y) },
    { light: lightnessToLuminance(ends.light), dark: lightnessToLuminance(ends.dark) },
  );
  return { calibration, ...turnIfNeeded(cut.cells, read(photo, calibration, cut.cells), order), issues };
}
