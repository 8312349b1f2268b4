/** Where the frame of a picture, or the frames of a set of studies, stand on a sheet. */
import { boxMm } from '../geometry/box';
import { chromaRow } from './chroma';
import { sheetFrame } from './frame';
import type { IndexedBoxMm, SheetLayout } from './layout';
import { type PaperId } from './paper';

export interface PictureLayout extends SheetLayout {
  readonly kind: 'picture';
}

export const PICTURE_MM = { width: 180, height: 150 } as const;
const TOP_MM = 54;
const GAP_MM = 6;
const DAB_MM = 9;
export const MAX_FRAMES = 6;

/** Columns and rows for a number of frames that should not get too narrow. */
const GRIDS: Record<number, readonly [columns: number, rows: number]> = {
  1: [1, 1],
  2: [2, 1],
  3: [2, 2],
  4: [2, 2],
  5: [3, 2],
  6: [3, 2],
};

export interface PictureAsked {
  /** 1 to 6. */
  readonly frames?: number;
  /** Room to try so many mixes, up to 12. */
  readonly dabs?: number;
  /** Whether hue is judged: it has coloured patches then. */
  readonly hue?: boolean;
}

/** Layout of a sheet of pictures: one frame, room for five mixes and no colours unless asked for. Throws RangeError outside what it holds. */
export function pictureLayout(paper: PaperId, { frames = 1, dabs = 5, hue = false }: PictureAsked = {}): PictureLayout {
  const grid = GRIDS[frames];
  if (!grid) throw new RangeError(`A sheet holds 1 to ${MAX_FRAMES} frames, got ${frames}.`);
  const frame = sheetFrame(paper);
  const left = (frame.widthMm - PICTURE_MM.width) / 2;
  const [columns, rows] = grid;
  const width = (PICTURE_MM.width - (columns - 1) * GAP_MM) / columns;
  const height = (PICTURE_MM.height - (rows - 1) * GAP_MM) / rows;
  const cells = Array.from({ length: frames }, (_, i): IndexedBoxMm => {
    const [r, c] = [Math.floor(i / columns), i % columns];
    return { index: i + 1, ...boxMm(left + c * (width + GAP_MM), TOP_MM + r * (height + GAP_MM), width, height) };
  });
  const dabsTop = TOP_MM + PICTURE_MM.height + 9;
  return {
    ...frame,
    kind: 'picture',
    cells,
    dabs: Array.from({ length: Math.min(12, dabs) }, (_, i) => ({
      index: i + 1,
      ...boxMm(frame.inside.xMm + i * 14.5, dabsTop, DAB_MM, DAB_MM),
    })),
    chips: [],
    chroma: hue ? chromaRow(frame.chromaticRow) : [],
    wordsTopMm: dabsTop + DAB_MM + 1,
    wordsHeightMm: 1,
  };
}
