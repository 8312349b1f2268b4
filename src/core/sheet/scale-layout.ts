/** Where the cells and test dabs of a scale stand on a sheet. */
import { type BoxMm, boxMm } from '../geometry/box';
import { chromaRow } from './chroma';
import { sheetFrame } from './frame';
import type { IndexedBoxMm, SheetLayout } from './layout';
import { type PaperId } from './paper';

export interface ScaleLayout extends SheetLayout {
  readonly kind: 'scale';
  readonly steps: number;
}

/** What fits on both papers, 18 mm wide at least. */
export const MIN_STEPS = 3;
export const MAX_STEPS = 15;

export const CELL_HEIGHT_MM = 30;
const CELL_GAP_MM = 2;
const CELL_MAX_WIDTH_MM = 36;
const MAX_IN_ROW = 9;
const CELLS_TOP_MM = 58;
const ROW_PITCH_MM = CELL_HEIGHT_MM + 10;
const DABS_TOP_MM = 140;
const DAB_MM = 10;
const CHIP_HEIGHT_MM = 11;
const CHIP_GAP_MM = 2;
const CHIPS_BELOW_DABS_MM = 12;

function row(indexes: readonly number[], across: number, inside: BoxMm, yMm: number): IndexedBoxMm[] {
  const free = inside.widthMm - (across - 1) * CELL_GAP_MM;
  const width = Math.min(CELL_MAX_WIDTH_MM, free / across);
  return indexes.map((index, i) => ({
    index,
    ...boxMm(inside.xMm + i * (width + CELL_GAP_MM), yMm, width, CELL_HEIGHT_MM),
  }));
}

/**
 * The layout of a scale of 3 to 15 steps. Up to nine cells stand in one row; more fill two rows
 * evenly, the first taking the odd one. Rows of chips stand under them, a column a step;
 * where hue is judged, coloured patches at the foot. Throws RangeError
 * outside that range.
 */
export function scaleLayout(
  steps: number,
  paper: PaperId,
  { chipRows = 0, hue = false }: { readonly chipRows?: number; readonly hue?: boolean } = {},
): ScaleLayout {
  if (!Number.isInteger(steps) || steps < MIN_STEPS || steps > MAX_STEPS)
    throw new RangeError(`A scale needs ${MIN_STEPS} to ${MAX_STEPS} steps, got ${steps}.`);
  const frame = sheetFrame(paper);
  const rows = steps > MAX_IN_ROW ? 2 : 1;
  const across = Math.ceil(steps / rows);
  const indexes = Array.from({ length: steps }, (_, i) => i + 1);
  const cells = Array.from({ length: rows }, (_, r) =>
    row(indexes.slice(r * across, (r + 1) * across), across, frame.inside, CELLS_TOP_MM + r * ROW_PITCH_MM),
  ).flat();
  const dabsTop = rows === 1 ? DABS_TOP_MM - ROW_PITCH_MM : DABS_TOP_MM;
  const pitch = Math.min(16, (frame.inside.widthMm - DAB_MM) / (steps - 1));
  const dabs = indexes.map((index, i) => ({
    index,
    ...boxMm(frame.inside.xMm + i * pitch, dabsTop, DAB_MM, DAB_MM),
  }));
  const columnPitch = frame.inside.widthMm / steps;
  const chipPitch = CHIP_HEIGHT_MM + CHIP_GAP_MM;
  const chips = Array.from({ length: chipRows * steps }, (_, i) => ({
    index: i + 1,
    ...boxMm(
      frame.inside.xMm + (i % steps) * columnPitch,
      dabsTop + DAB_MM + CHIPS_BELOW_DABS_MM + Math.floor(i / steps) * chipPitch,
      columnPitch - CHIP_GAP_MM,
      CHIP_HEIGHT_MM,
    ),
  }));
  const below = chipRows === 0 ? 0 : CHIPS_BELOW_DABS_MM + chipRows * chipPitch;
  // Two rows of cells and three of chips leave less room for words: the order of work with chips is short.
  return {
    ...frame,
    kind: 'scale',
    steps,
    cells,
    dabs,
    chips,
    chroma: hue ? chromaRow(frame.chromaticRow) : [],
    wordsTopMm: dabsTop + DAB_MM + 6 + below,
    wordsHeightMm: 62 - (rows === 2 ? below / 2 : 0),
  };
}
