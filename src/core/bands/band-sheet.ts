/** Sheets of banded pictures: with their outlines, or with an empty frame to draw them in. */
import {
  frameMarks,
  type Heading,
  type Mark,
  OUTLINE_CODE,
  OUTLINE_MM,
  type SheetDrawing,
  text,
} from '../sheet/drawing';
import { NUMBER_CODE } from '../sheet/picture-drawing';
import type { PictureLayout } from '../sheet/picture-layout';
import type { BandPicture } from './band-picture';
import type { Corner, Shape } from './shapes';

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
