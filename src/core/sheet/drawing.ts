/**
 * A sheet as a list of marks in millimetres. The PDF and the PNG are both drawn from this list, so
 * they can't disagree. Greys are 8-bit sRGB codes, 255 is bare paper.
 */
import { MEDIA, type MediumId } from '../exercise/media';
import { MARKER_MODULES, markerModuleIsBlack } from './markers';
import { type BoxMm, boxMm } from './paper';
import { formatSheetTag } from './qr';
import type { ScaleLayout } from './scale-layout';

export type Mark =
  | { readonly kind: 'fill'; readonly box: BoxMm; readonly code: number }
  | { readonly kind: 'outline'; readonly box: BoxMm; readonly code: number; readonly lineMm: number }
  | { readonly kind: 'qr'; readonly box: BoxMm; readonly text: string }
  | {
      readonly kind: 'text';
      readonly text: string;
      readonly xMm: number;
      /** Baseline of the first line. */
      readonly yMm: number;
      readonly sizeMm: number;
      readonly weight: 'regular' | 'strong';
      readonly align: 'left' | 'centre' | 'right';
      /** Lines are broken to this width; null keeps one line. */
      readonly wrapMm: number | null;
    };

export interface SheetDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly title: string;
  readonly marks: readonly Mark[];
}

/** Grey of the outlines that paint covers. */
export const OUTLINE_CODE = 200;
const OUTLINE_MM = 0.25;

export interface ScaleSheetWords {
  readonly title: string;
  readonly subtitle: string;
  /** The student's display name, or a number where a glyph is missing; empty for a sheet to all. */
  readonly name: string;
  readonly labels: readonly string[];
  readonly work: readonly string[];
  readonly medium: MediumId;
  readonly exercise: string | null;
  readonly student: string | null;
}

function text(
  words: string,
  xMm: number,
  yMm: number,
  sizeMm: number,
  more: Partial<Extract<Mark, { kind: 'text' }>> = {},
): Mark {
  return { kind: 'text', text: words, xMm, yMm, sizeMm, weight: 'regular', align: 'left', wrapMm: null, ...more };
}

function markerMarks(layout: ScaleLayout): Mark[] {
  return layout.markers.flatMap((marker) => {
    const module = marker.sizeMm / MARKER_MODULES;
    const marks: Mark[] = [
      { kind: 'fill', box: boxMm(marker.xMm, marker.yMm, marker.sizeMm, marker.sizeMm), code: 0 },
    ];
    for (let r = 0; r < MARKER_MODULES; r++)
      for (let c = 0; c < MARKER_MODULES; c++)
        if (!markerModuleIsBlack(marker.id, r, c))
          marks.push({
            kind: 'fill',
            box: boxMm(marker.xMm + c * module, marker.yMm + r * module, module, module),
            code: 255,
          });
    return marks;
  });
}

/** The marks of a scale sheet. */
export function drawScaleSheet(layout: ScaleLayout, words: ScaleSheetWords): SheetDrawing {
  const left = layout.inside.xMm;
  const column = (layout.inside.widthMm - 8) / 2;
  const firstDab = layout.dabs[0];
  const marks: Mark[] = [
    ...markerMarks(layout),
    ...layout.patches.map((p): Mark => ({ kind: 'fill', box: p, code: p.code })),
    ...layout.ticks.map((box): Mark => ({ kind: 'fill', box, code: 0 })),
    {
      kind: 'qr',
      box: layout.qrBox,
      text: formatSheetTag({
        kind: 'scale',
        steps: layout.steps,
        paper: layout.paper,
        exercise: words.exercise,
        student: words.student,
      }),
    },
    text(words.title, left, 32, 5, { weight: 'strong' }),
    text(words.subtitle, left, 38, 3.4),
    text(words.name, left, 46, 4.2, { weight: 'strong' }),
    ...[...layout.cells, ...layout.dabs].map(
      (box): Mark => ({ kind: 'outline', box, code: OUTLINE_CODE, lineMm: OUTLINE_MM }),
    ),
    ...layout.cells.map((cell) =>
      text(words.labels[cell.index - 1] ?? '', cell.xMm + cell.widthMm / 2, cell.yMm - 3, 4, {
        align: 'centre',
        weight: 'strong',
      }),
    ),
    ...(firstDab ? [text('Test dabs', left, firstDab.yMm - 2.5, 3)] : []),
  ];
  let y = layout.wordsTopMm + 4;
  marks.push(text('Order of work', left, y, 3.6, { weight: 'strong' }));
  marks.push(text('Care', left + column + 8, y, 3.6, { weight: 'strong' }));
  marks.push(text(MEDIA[words.medium].caution, left + column + 8, y + 6, 3.2, { wrapMm: column }));
  y += 6;
  marks.push(
    text(words.work.map((line, i) => `${i + 1}.  ${line}`).join('\n'), left, y, 3.2, { wrapMm: column }),
  );
  return { widthMm: layout.widthMm, heightMm: layout.heightMm, title: words.title, marks };
}
