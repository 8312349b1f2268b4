/** Sheets to paint a picture on: one frame, or a set of small ones. */
import { grow } from '../geometry/box';
import { frameMarks, type Heading, type Mark, OUTLINE_CODE, OUTLINE_MM, type SheetDrawing, text } from './drawing';
import type { PictureLayout } from './picture-layout';

/** Grey of numbers that stand where paint goes: paint covers them. */
export const NUMBER_CODE = 170;

export interface PictureWords extends Heading {
  /** A line under each frame, such as a study's goal. */
  readonly captions: readonly string[];
  /** Whether a frame is to be painted round each. */
  readonly blackFrame: boolean;
}

const FRAME_MM = 6;

/** The marks of a sheet with empty frames. */
export function drawPictureSheet(layout: PictureLayout, words: PictureWords): SheetDrawing {
  const inset = words.blackFrame ? FRAME_MM + 3 : 3;
  const frames = words.blackFrame
    ? layout.cells.map((cell): Mark => ({
        kind: 'outline',
        box: grow(cell, -FRAME_MM),
        code: OUTLINE_CODE,
        lineMm: OUTLINE_MM,
      }))
    : [];
  const captions = layout.cells.flatMap((cell, i): Mark[] => {
    const caption = words.captions[i];
    return caption
      ? [
          text(`${i + 1}. ${caption}`, cell.xMm + inset, cell.yMm + inset + 3, 3, {
            code: NUMBER_CODE,
            wrapMm: cell.widthMm - 2 * inset,
          }),
        ]
      : [];
  });
  return {
    widthMm: layout.widthMm,
    heightMm: layout.heightMm,
    title: words.title,
    marks: [...frameMarks(layout, words), ...frames, ...captions],
  };
}
