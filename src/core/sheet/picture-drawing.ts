/** Sheets of kinds that are painted as a picture: one frame, a set of small ones, or a banded picture to fill. */
import type { BandPicture } from '../bands/band-picture';
import type { Corner, Shape } from '../bands/shapes';
import { type Heading, frameMarks, type Mark, OUTLINE_CODE, OUTLINE_MM, type SheetDrawing, text } from './drawing';
import { grow } from './paper';
import type { PictureLayout } from './picture-layout';

/** Grey of numbers that stand where paint goes: paint covers them. */
const NUMBER_CODE = 170;

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

/** Half the length of the strokes that mark where the light sits, mm. */
const LIGHT_MM = 2.5;

export interface OwnBands {
  /** Middle of the light, mm in the frame; null where there is none. */
  readonly light: Corner | null;
  /** What stands in front, already drawn; null where that is left to the student too. */
  readonly silhouette: Shape | null;
}

/** The marks of a sheet whose bands are drawn by hand: an empty frame, where the light sits, and what stands in front. */
export function drawOwnBandSheet(layout: PictureLayout, { light, silhouette }: OwnBands, words: Heading): SheetDrawing {
  const frame = layout.cells[0];
  if (!frame) throw new RangeError('A banded picture needs a frame.');
  const faint = (rings: readonly (readonly (readonly [number, number])[])[]): Mark => ({
    kind: 'path',
    rings: rings.map((ring) => ring.map(([x, y]) => [frame.xMm + x, frame.yMm + y] as const)),
    code: OUTLINE_CODE,
    lineMm: OUTLINE_MM,
  });
  const stroke = ([x, y]: Corner, dx: number, dy: number) =>
    [
      [x - dx, y - dy],
      [x + dx, y + dy],
      [x - dx, y - dy],
    ] as const;
  return {
    widthMm: layout.widthMm,
    heightMm: layout.heightMm,
    title: words.title,
    marks: [
      ...frameMarks(layout, words),
      ...(light ? [faint([stroke(light, LIGHT_MM, 0), stroke(light, 0, LIGHT_MM)])] : []),
      ...(silhouette ? [faint(silhouette.flat())] : []),
    ],
  };
}

/** The marks of a sheet with a banded picture. `labels` name the bands, lightest first. */
export function drawBandSheet(
  layout: PictureLayout,
  picture: BandPicture,
  labels: readonly string[],
  words: Heading,
): SheetDrawing {
  const frame = layout.cells[0];
  if (!frame) throw new RangeError('A banded picture needs a frame.');
  const placed = (shape: BandPicture['bands'][number]['shape']) =>
    shape.flat().map((ring) => ring.map(([x, y]) => [frame.xMm + x, frame.yMm + y] as const));
  const outline = (shape: BandPicture['bands'][number]['shape']): Mark => ({
    kind: 'path',
    rings: placed(shape),
    code: OUTLINE_CODE,
    lineMm: OUTLINE_MM,
  });
  return {
    widthMm: layout.widthMm,
    heightMm: layout.heightMm,
    title: words.title,
    marks: [
      ...frameMarks(layout, words),
      ...picture.bands.map((b) => outline(b.shape)),
      ...picture.bands.flatMap((b): Mark[] =>
        b.numberAt
          ? [
              text(labels[b.index - 1] ?? '', frame.xMm + b.numberAt[0], frame.yMm + b.numberAt[1] + 1.2, 3.4, {
                align: 'centre',
                code: NUMBER_CODE,
              }),
            ]
          : [],
      ),
    ],
  };
}
